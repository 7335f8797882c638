package app.chervil.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Days for every occurrence.
 *
 * @param days of each chain by its id, in order, over the whole horizon
 */
public record Plan(Map<ChainId, List<Integer>> days, Score score) {
    public Plan {
        days = Map.copyOf(days);
    }

    /** One occurrence on its day. */
    public record Occurrence(Chain chain, int k, int day) {
        long tank() {
            return chain.place().tank();
        }
    }

    /** All that is done on one tank on one day, in the order of the chains. */
    public record Visit(long tank, int day, List<Occurrence> occurrences) {
        public Visit {
            occurrences = List.copyOf(occurrences);
        }
    }

    static Plan of(List<Lane> lanes, List<int[]> placed, Score score) {
        Map<ChainId, List<Integer>> days = new HashMap<>();
        for (Lane lane : lanes) {
            List<Integer> on = new ArrayList<>();
            for (int day : placed.get(lane.index)) {
                on.add(day);
            }
            days.put(lane.chain.id(), List.copyOf(on));
        }
        return new Plan(days, score);
    }

    /** Days of a chain, in order. */
    public List<Integer> of(ChainId chain) {
        return days.getOrDefault(chain, List.of());
    }

    /** The window of a planned time, in days of the plan: its own for the first, after the time before for the others. */
    public Span span(Occurrence one) {
        Chain.Rhythm rhythm = one.chain().rhythm();
        return one.k() == 0
                ? rhythm.first()
                : rhythm.gap().plus(of(one.chain().id()).get(one.k() - 1));
    }

    /** What is done within the published days, by day and tank, each in the order of the chains; skipped ones are left out. */
    public List<Visit> visits(Instance instance) {
        List<List<Occurrence>> byDay = new ArrayList<>();
        for (int day = 0; day < instance.publishedDays(); day++) {
            byDay.add(new ArrayList<>());
        }
        for (Chain chain : instance.chains()) {
            List<Integer> on = of(chain.id());
            for (int k = 0; k < on.size(); k++) {
                int day = on.get(k);
                if (day < instance.publishedDays() && !instance.skips(chain.id(), k)) {
                    byDay.get(day).add(new Occurrence(chain, k, day));
                }
            }
        }
        List<Visit> visits = new ArrayList<>();
        byDay.forEach(done -> addByTank(done, visits));
        return visits;
    }

    private static void addByTank(List<Occurrence> ofDay, List<Visit> visits) {
        ofDay.sort(Comparator.comparingLong(Occurrence::tank));
        int first = 0;
        for (int end = 1; end <= ofDay.size(); end++) {
            Occurrence one = ofDay.get(first);
            if (end == ofDay.size() || ofDay.get(end).tank() != one.tank()) {
                visits.add(new Visit(one.tank(), one.day(), ofDay.subList(first, end)));
                first = end;
            }
        }
    }
}
