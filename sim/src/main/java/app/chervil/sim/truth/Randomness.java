package app.chervil.sim.truth;

import java.util.SplittableRandom;

/** Seeded streams that do not depend on the order in which they are asked for. */
public final class Randomness {
    private Randomness() {}

    /** The stream of a seed and the parts of its name. */
    public static SplittableRandom of(long seed, Object... name) {
        long mixed = seed * 0x9E3779B97F4A7C15L;
        for (Object part : name) {
            mixed = (mixed ^ part.toString().hashCode()) * 0xBF58476D1CE4E5B9L;
            mixed ^= mixed >>> 31;
        }
        return new SplittableRandom(mixed);
    }

    /** A draw from a Poisson distribution. */
    static int poisson(SplittableRandom random, double mean) {
        double limit = Math.exp(-mean);
        int count = 0;
        for (double left = random.nextDouble(); left > limit; left *= random.nextDouble()) {
            count++;
        }
        return count;
    }
}
