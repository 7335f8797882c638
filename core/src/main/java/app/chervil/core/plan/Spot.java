package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Reach;

/** What is done by day at the filter, the tank and in the room of a lane; lanes of one place share their counts. */
final class Spot {
    private final short[] opened;
    private final short[] atTank;
    private final short[] waterChanges;
    private final short[] inRoom;
    private final boolean opens;
    private final boolean changesWater;
    private final int openingMinutes;
    private final int tankMinutes;
    private final int roomMinutes;

    /** {@code counts} are those of the whole board. */
    Spot(Counts counts, Sites sites, SetUps setUps, Lane lane) {
        opened = counts.opened[sites.filterOf[lane.index]];
        atTank = counts.atTank[sites.tankOf[lane.index]];
        waterChanges = counts.waterChanges[sites.tankOf[lane.index]];
        inRoom = counts.inRoom[sites.roomOf[lane.index]];
        opens = lane.chain.work().reach() == Reach.OPENED;
        changesWater = lane.chain.work().reach() == Reach.WATER_CHANGE;
        openingMinutes = sites.openingMinutes[lane.index];
        tankMinutes = setUps.tankMinutes();
        roomMinutes = setUps.roomMinutes();
    }

    /** Occurrences by place and day. */
    static final class Counts {
        private final short[][] opened;
        private final short[][] atTank;
        private final short[][] waterChanges;
        private final short[][] inRoom;

        Counts(Sites sites, int days) {
            opened = new short[sites.filters][days];
            atTank = new short[sites.tanks][days];
            waterChanges = new short[sites.tanks][days];
            inRoom = new short[sites.rooms][days];
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
        opened[day] += (short) (opens ? sign : 0);
        waterChanges[day] += (short) (changesWater ? sign : 0);
        atTank[day] += (short) sign;
        inRoom[day] += (short) sign;
        return sign > 0 ? added : -added(day);
    }

    /** Set-up minutes that an occurrence would add to a day; fewer than none if it saves some. */
    int added(int day) {
        int added = (inRoom[day] == 0 ? roomMinutes : 0) + (opened[day] == 0 ? openingMinutes : 0);
        if (waterChanges[day] > 0) {
            return added;
        }
        boolean there = atTank[day] > 0;
        if (changesWater) {
            return there ? added - tankMinutes : added;
        }
        return there ? added : added + tankMinutes;
    }
}
