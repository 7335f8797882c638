package app.chervil.sim.future;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;

/** Several ways of working, each lived many times. */
public final class Comparison {
    private Comparison() {}

    /**
     * Lives every way as many times.
     *
     * @param tanks at least one
     * @param futures for each way, above zero
     * @param told how many futures are done, each time one is
     * @param cancelled asked before each future
     * @return outcomes by way in the order of their seeds; empty if it was cancelled
     */
    public static Optional<Map<Way, List<Outcome>>> run(
            List<TankToday> tanks,
            List<Way> ways,
            int futures,
            long seed,
            IntConsumer told,
            BooleanSupplier cancelled) {
        Map<Way, List<Outcome>> outcomes = new EnumMap<>(Way.class);
        int done = 0;
        for (Way way : ways) {
            List<Outcome> lived = new ArrayList<>();
            for (int future = 0; future < futures; future++) {
                if (cancelled.getAsBoolean()) {
                    return Optional.empty();
                }
                lived.add(live(tanks, way, seed + future));
                told.accept(++done);
            }
            outcomes.put(way, lived);
        }
        return Optional.of(outcomes);
    }

    private static Outcome live(List<TankToday> tanks, Way way, long seed) {
        return IntStream.range(0, tanks.size())
                .mapToObj(i -> Futures.live(tanks.get(i), way, seed * 1000 + i))
                .reduce(Outcome::and)
                .orElseThrow();
    }
}
