package app.chervil.core.plan;

import app.chervil.core.calc.Check;
import java.util.Optional;

/**
 * One care task or chore that comes round again and again. Its k-th occurrence, from 0, is its next but k.
 *
 * @param id unlike that of any other chain
 */
public record Chain(ChainId id, Place place, Rhythm rhythm, Work work, Demand demand) {
    /**
     * Where it is done.
     *
     * @param filter {@link #NO_FILTER} for work on the tank itself
     */
    public record Place(long tank, long filter) {
        public static final long NO_FILTER = 0;
    }

    /**
     * When it comes round.
     *
     * @param first the next occurrence, in days of the plan; negative days have gone by
     * @param gap every later one, in days after the one before; the ideal from 1 to {@link #LONGEST_GAP}
     * @param times whether it comes again
     * @param scale days by which the next occurrence is a whole interval early or late, 1 to {@link #LONGEST_GAP}
     */
    public record Rhythm(Span first, Span gap, Times times, int scale) {
        /** Eleven years; nothing that is cared for goes without for longer. */
        public static final int LONGEST_GAP = 4000;

        public Rhythm {
            Check.within("gap.ideal", gap.ideal(), 1, LONGEST_GAP);
            Check.within("scale", scale, 1, LONGEST_GAP);
        }

        /** The next occurrence is like all later ones. */
        public Rhythm(Span first, Span gap, Times times) {
            this(first, gap, times, gap.ideal());
        }
    }

    /** How often a chain occurs. */
    public enum Times {
        ONCE,
        AGAIN
    }

    /**
     * What it takes.
     *
     * @param minutes of the work itself, set-up apart; zero or more
     * @param reach whether the filter must be open for it
     * @param hands who may do it
     */
    public record Work(int minutes, Reach reach, Hands hands) {
        public Work {
            Check.within("minutes", minutes, 0, 1440);
        }
    }

    /** How the work is reached. */
    public enum Reach {
        /** From outside. */
        OUTSIDE,
        /** Only in an opened filter. */
        OPENED,
        /** It is the water change: being at the tank is part of it. */
        WATER_CHANGE
    }

    /** Who may do the work. */
    public enum Hands {
        KEEPER,
        ANYONE
    }

    /**
     * What else it asks for.
     *
     * @param spaced whether it disturbs the tank's bacteria, so that such work must stand apart
     * @param notBefore the first day on which it can be done, zero or more
     * @param notAfter the last day on which its next occurrence is done, so that what follows it can wait its weeks
     * @param with the chain that must be done on the same day; empty if none
     */
    public record Demand(boolean spaced, int notBefore, int notAfter, Optional<ChainId> with) {
        /** No last day. */
        public static final int ANY_DAY = Integer.MAX_VALUE;

        /** Work that may wait. */
        public Demand(boolean spaced, int notBefore, Optional<ChainId> with) {
            this(spaced, notBefore, ANY_DAY, with);
        }

        /** Nothing asked for. */
        public static final Demand NONE = new Demand(false, 0, Optional.empty());
    }
}
