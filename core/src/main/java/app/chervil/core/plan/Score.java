package app.chervil.core.plan;

/**
 * How good a plan is; less is better, and no saving in soft outweighs hard.
 *
 * @param hard how far rules are broken, zero if none is
 * @param soft tenths of a minute, or what is as unwelcome
 */
public record Score(long hard, long soft) implements Comparable<Score> {
    private static final int SHIFT = 36;

    /** Packed scores from here on break a rule; those below its negative mend one. */
    static final long HALF = 1L << (SHIFT - 1);

    @Override
    public int compareTo(Score other) {
        int byHard = Long.compare(hard, other.hard);
        return byHard != 0 ? byHard : Long.compare(soft, other.soft);
    }

    /** Both in one number of the same order, for soft within ± 2^35; sums of such numbers are those of their pairs. */
    static long pack(long hard, long soft) {
        return (hard << SHIFT) + soft;
    }

    static Score unpack(long packed) {
        long hard = (packed + HALF) >> SHIFT;
        return new Score(hard, packed - (hard << SHIFT));
    }
}
