package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Place;
import app.chervil.core.plan.Chain.Reach;
import app.chervil.core.plan.Instance.Logged;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Numbers for tanks, filters and rooms, and which lanes meet where. */
final class Sites {
    private static final int[] ALONE = {};

    final int tanks;
    final int filters;
    final int rooms;
    final int[] tankOf;
    final int[] filterOf;
    final int[] roomOf;
    final int[] openingMinutes;
    final int[] partner;
    final boolean[] linked;
    final int[][] partners;
    final List<List<Integer>> lanesOfTank = new ArrayList<>();
    final List<List<Integer>> spacedOfTank = new ArrayList<>();
    final List<List<Logged>> loggedOfTank = new ArrayList<>();
    private final Map<Long, Integer> tankNumbers = new HashMap<>();
    private final Map<Long, Integer> filterNumbers = new HashMap<>();
    private final Map<Integer, Integer> roomNumbers = new HashMap<>();

    Sites(Instance instance, List<Lane> lanes) {
        int count = lanes.size();
        tankOf = new int[count];
        filterOf = new int[count];
        roomOf = new int[count];
        openingMinutes = new int[count];
        partner = new int[count];
        linked = new boolean[count];
        partners = new int[count][];
        lanes.forEach(lane -> place(lane, instance.setUps()));
        link(lanes);
        for (Logged logged : instance.before().logged()) {
            Integer tank = tankNumbers.get(logged.place().tank());
            if (tank != null) {
                loggedOfTank.get(tank).add(logged);
            }
        }
        tanks = lanesOfTank.size();
        filters = filterNumbers.size();
        rooms = roomNumbers.size();
    }

    private void place(Lane lane, SetUps setUps) {
        Place place = lane.chain.place();
        int tank = number(tankNumbers, place.tank());
        if (tank == lanesOfTank.size()) {
            lanesOfTank.add(new ArrayList<>());
            spacedOfTank.add(new ArrayList<>());
            loggedOfTank.add(new ArrayList<>());
        }
        lanesOfTank.get(tank).add(lane.index);
        if (lane.chain.demand().spaced()) {
            spacedOfTank.get(tank).add(lane.index);
        }
        tankOf[lane.index] = tank;
        filterOf[lane.index] = number(filterNumbers, place.filter());
        roomOf[lane.index] = number(roomNumbers, setUps.rooms().getOrDefault(place.tank(), 0));
        openingMinutes[lane.index] = lane.chain.work().reach() == Reach.OPENED
                ? setUps.openingMinutes().getOrDefault(place.filter(), 0)
                : 0;
    }

    private void link(List<Lane> lanes) {
        Map<ChainId, Integer> byId = new HashMap<>();
        lanes.forEach(lane -> byId.put(lane.chain.id(), lane.index));
        Arrays.fill(partner, -1);
        lanes.forEach(
                lane -> lane.chain.demand().with().ifPresent(id -> partner[lane.index] = byId.getOrDefault(id, -1)));
        Map<Integer, List<Integer>> withPartner = IntStream.range(0, lanes.size())
                .boxed()
                .filter(lane -> partner[lane] >= 0)
                .collect(Collectors.groupingBy(lane -> partner[lane]));
        Arrays.fill(partners, ALONE);
        withPartner.forEach((lane, others) ->
                partners[lane] = others.stream().mapToInt(other -> other).toArray());
        for (int lane = 0; lane < lanes.size(); lane++) {
            linked[lane] = partner[lane] >= 0 || partners[lane].length > 0;
        }
    }

    private static <K> int number(Map<K, Integer> numbers, K key) {
        return numbers.computeIfAbsent(key, one -> numbers.size());
    }
}
