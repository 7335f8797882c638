package app.chervil.core.trial;

import app.chervil.core.water.Production;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * Where more work stops paying. More work is taken never to make a parameter rise more: rises that go the wrong way are pooled
 * with their neighbours, each by how well it is known, and the least work is named beyond which hardly anything is won.
 */
public final class Knee {
    /** Of what the most work wins over the least, what may be left unwon; our judgement. */
    static final double UNWON = 0.2;

    private Knee() {}

    private record Level(double rise, double weight, int ways) {
        static Level of(Production known) {
            return new Level(known.perWeek(), known.weight(), 1);
        }

        Level with(Level next) {
            double sum = weight + next.weight;
            return new Level((rise * weight + next.rise * next.weight) / sum, sum, ways + next.ways);
        }
    }

    /**
     * The way that is worth its work.
     *
     * @param rises of each way, in the order of the ways
     * @return its place; empty where even the most work wins nothing, or rises are missing
     */
    public static OptionalInt of(List<Way> ways, List<Production> rises) {
        if (rises.size() != ways.size()) {
            return OptionalInt.empty();
        }
        List<Integer> byWork = IntStream.range(0, ways.size())
                .boxed()
                .sorted(Comparator.comparingDouble(place -> ways.get(place).timesAWeek()))
                .toList();
        List<Double> smooth =
                smooth(byWork.stream().map(place -> Level.of(rises.get(place))).toList());
        double least = smooth.get(0);
        double most = smooth.get(smooth.size() - 1);
        if (!(least - most > 0)) {
            return OptionalInt.empty();
        }
        return IntStream.range(0, byWork.size())
                .filter(i -> smooth.get(i) - most <= UNWON * (least - most))
                .map(byWork::get)
                .findFirst();
    }

    /** Never rising from one to the next: neighbours that do are pooled. */
    private static List<Double> smooth(List<Level> levels) {
        List<Level> pooled = new ArrayList<>();
        for (Level level : levels) {
            Level last = level;
            while (!pooled.isEmpty() && pooled.get(pooled.size() - 1).rise() < last.rise()) {
                last = pooled.remove(pooled.size() - 1).with(last);
            }
            pooled.add(last);
        }
        List<Double> smooth = new ArrayList<>();
        pooled.forEach(level -> smooth.addAll(Collections.nCopies(level.ways(), level.rise())));
        return smooth;
    }
}
