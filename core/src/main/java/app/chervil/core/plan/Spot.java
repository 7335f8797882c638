package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Reach;
import java.util.Arrays;

/** What is done by day at the filter, the tank and in the room of a lane; lanes of one place share their counts. */
final class Spot {
    private final Counts.OfTank tank;
    private final int[] inRoom;
    private final int[] intoRoom;
    private final int[] opened;
    private final boolean opens;
    private final boolean changesWater;
    private final int openingMinutes;
    private final int tankMinutes;
    private final int roomMinutes;

    /** Minutes of coming to the tank that an occurrence would add to a day. */
    private final int[] toTank;

    /** {@code counts} are those of the whole board. */
    Spot(Counts counts, Sites sites, SetUps setUps, Lane lane) {
        tank = counts.ofTank[sites.tankOf[lane.index]];
        inRoom = counts.inRoom[sites.roomOf[lane.index]];
        intoRoom = counts.intoRoom[sites.roomOf[lane.index]];
        opened = counts.opened[sites.filterOf[lane.index]];
        opens = lane.chain.work().reach() == Reach.OPENED;
        changesWater = lane.chain.work().reach() == Reach.WATER_CHANGE;
        openingMinutes = sites.openingMinutes[lane.index];
        tankMinutes = setUps.tankMinutes();
        roomMinutes = setUps.roomMinutes();
        toTank = changesWater ? tank.forWater : tank.forOthers;
    }

    /** Occurrences by place and day, and the minutes of coming there that a further one would add. */
    static final class Counts {
        private final int[][] opened;
        private final int[][] inRoom;
        private final int[][] intoRoom;
        private final OfTank[] ofTank;

        Counts(Sites sites, SetUps setUps, int days) {
            opened = new int[sites.filters][days];
            inRoom = new int[sites.rooms][days];
            intoRoom = new int[sites.rooms][days];
            ofTank = new OfTank[sites.tanks];
            for (int[] room : intoRoom) {
                Arrays.fill(room, setUps.roomMinutes());
            }
            Arrays.setAll(ofTank, tank -> new OfTank(days, setUps.tankMinutes()));
        }

        /** At one tank: a water change brings everything there that other work needs. */
        private static final class OfTank {
            private final int[] occurrences;
            private final int[] waterChanges;
            private final int[] forWater;
            private final int[] forOthers;

            OfTank(int days, int tankMinutes) {
                occurrences = new int[days];
                waterChanges = new int[days];
                forWater = new int[days];
                forOthers = new int[days];
                Arrays.fill(forOthers, tankMinutes);
            }
        }
    }

    /** Set-up minutes that an occurrence may spare a day. */
    int mostSaved() {
        return changesWater ? tankMinutes : 0;
    }

    /**
     * Counts an occurrence on a day, or no longer.
     *
     * @param sign 1 or -1
     * @return set-up minutes that this adds to the day; fewer than none if it saves some
     */
    int count(int day, int sign) {
        int added = sign > 0 ? added(day) : 0;
        opened[day] += opens ? sign : 0;
        inRoom[day] += sign;
        intoRoom[day] = inRoom[day] == 0 ? roomMinutes : 0;
        tank.waterChanges[day] += changesWater ? sign : 0;
        tank.occurrences[day] += sign;
        boolean there = tank.occurrences[day] > 0;
        boolean watered = tank.waterChanges[day] > 0;
        tank.forOthers[day] = there ? 0 : tankMinutes;
        tank.forWater[day] = there && !watered ? -tankMinutes : 0;
        return sign > 0 ? added : -added(day);
    }

    /** Set-up minutes that an occurrence would add to a day; fewer than none if it saves some. */
    int added(int day) {
        int added = toTank[day] + intoRoom[day];
        return openingMinutes > 0 && opened[day] == 0 ? added + openingMinutes : added;
    }
}
