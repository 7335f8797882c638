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
     * The futures that every way is lived in.
     *
     * @param futures above zero
     * @param seed of the first
     */
    public record Chances(int futures, long seed) {}

    /**
     * Lives every way as many times.
     *
     * @param tanks at least one
     * @param chances the futures of each way
     * @param told how many futures are done, each time one is
     * @param cancelled asked before each future
     * @return outcomes by way in the order of their seeds; empty if it was cancelled
     */
    public static Optional<Map<Way, List<Outcome>>> run(
            List<TankToday> tanks, List<Way> ways, Chances chances, IntConsumer told, BooleanSupplier cancelled) {
        Map<Way, List<Outcome>> outcomes = new EnumMap<>(Way.class);
        int done = 0;
        for (Way way : ways) {
            List<Outcome> lived = new ArrayList<>();
            for (int future = 0; future < chances.futures; future++) {
                if (cancelled.getAsBoolean()) {
                    return Optional.empty();
                }
                lived.add(live(tanks, way, chances.seed + future));
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
