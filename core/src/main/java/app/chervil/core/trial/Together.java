package app.chervil.core.trial;

import app.chervil.core.water.Pooled;
import app.chervil.core.water.Pooled.One;
import app.chervil.core.water.Production;
import app.chervil.core.water.Production.Pair;
import app.chervil.core.water.Production.Tried;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What tanks that tried the same ways, each all of them in turn, tell together. Tanks that differ among themselves widen the
 * bands.
 *
 * @param tanks how many tell something
 * @param pairs each way against each before it; bands of all hold together in four of five cases
 * @param rises a week's rise of each way in a tank like these
 */
public record Together(int tanks, List<Pair> pairs, List<Production> rises) {
    public Together {
        pairs = List.copyOf(pairs);
        rises = List.copyOf(rises);
    }

    /**
     * Pools tanks.
     *
     * @param tanks those whose readings tell their ways apart, all with the same ways
     * @return empty with fewer than two
     */
    public static Optional<Together> of(List<Tried> tanks) {
        if (tanks.size() < 2) {
            return Optional.empty();
        }
        Tried one = tanks.get(0);
        List<Pair> pairs = one.pairs().stream()
                .map(pair -> pooled(tanks, pair.way(), pair.less(), one.pairs().size()))
                .toList();
        Production first = mean(tanks);
        List<Production> rises = new ArrayList<>(List.of(first));
        pairs.stream().filter(pair -> pair.less() == 0).forEach(pair -> rises.add(plus(first, pair.difference())));
        return Optional.of(new Together(tanks.size(), pairs, rises));
    }

    private static Pair pooled(List<Tried> tanks, int way, int less, int pairs) {
        List<One> each = tanks.stream()
                .map(tank -> tank.pair(way, less))
                .map(pair -> new One(pair.difference().perWeek(), pair.error()))
                .toList();
        Pooled pooled = Pooled.of(each, pairs);
        Production difference =
                band(tanks, pooled.difference().estimate(), pooled.difference().half());
        return new Pair(way, less, difference, Optional.empty(), pooled.error());
    }

    /** The first way, tank by tank as it is known. */
    private static Production mean(List<Tried> tanks) {
        double sum = 0;
        double weights = 0;
        for (Tried tank : tanks) {
            Production rise = tank.rises().get(0);
            sum += rise.perWeek() * rise.weight();
            weights += rise.weight();
        }
        return band(tanks, sum / weights, 1 / Math.sqrt(weights));
    }

    private static Production plus(Production first, Production difference) {
        return new Production(
                first.perWeek() + difference.perWeek(),
                first.perWeek() + difference.low(),
                first.perWeek() + difference.high(),
                first.readings(),
                first.coarse(),
                List.of());
    }

    private static Production band(List<Tried> tanks, double estimate, double half) {
        int readings =
                tanks.stream().mapToInt(tank -> tank.rises().get(0).readings()).sum();
        boolean coarse = tanks.stream().anyMatch(tank -> tank.rises().get(0).coarse());
        return new Production(estimate, estimate - half, estimate + half, readings, coarse, List.of());
    }

    /** The way that is worth its work in these tanks; see {@link Knee}. */
    public OptionalInt knee(List<Way> ways) {
        return Knee.of(ways, rises);
    }
}
