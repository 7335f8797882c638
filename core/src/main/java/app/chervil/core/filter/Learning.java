package app.chervil.core.filter;

import app.chervil.core.calc.Check;
import java.util.OptionalDouble;

/** How the interval of a care task is found. */
public sealed interface Learning {
    /**
     * Learned from what was found when the stage was opened (docs/sources.md#interval-engine).
     *
     * @param overloadCost what an overloaded stage costs, in services; above zero
     * @param flowAtOverload share of clean flow left when overloaded, 0..1 exclusive; empty if flow says nothing here
     * @param ceilingDays no window reaches further than this many days after a service
     */
    record Graded(double overloadCost, OptionalDouble flowAtOverload, int ceilingDays) implements Learning {
        public Graded {
            Check.positive("overloadCost", overloadCost);
            Check.positive("ceilingDays", ceilingDays);
            flowAtOverload.ifPresent(share -> Check.within("flowAtOverload", share, 0.05, 0.95));
        }

        static Graded of(double overloadCost, int ceilingDays) {
            return new Graded(overloadCost, OptionalDouble.empty(), ceilingDays);
        }

        static Graded withFlow(double overloadCost, double flowAtOverload, int ceilingDays) {
            return new Graded(overloadCost, OptionalDouble.of(flowAtOverload), ceilingDays);
        }
    }

    /**
     * By age alone: nothing that is found moves it.
     *
     * @param earliest share of the start interval from which the task may be done, up to 1
     * @param latest share of the start interval by which it should be done, at least 1
     * @param ceilingDays cap on the age in days
     * @param unknown what an unknown age means
     */
    record ByAge(double earliest, double latest, int ceilingDays, UnknownAge unknown) implements Learning {
        public ByAge {
            Check.within("earliest", earliest, 0, 1);
            Check.within("latest", latest, 1, 2);
            Check.positive("ceilingDays", ceilingDays);
        }

        static ByAge cappedAt(int ceilingDays) {
            return new ByAge(0.75, 1.2, ceilingDays, UnknownAge.COUNTS_FROM_ENTRY);
        }
    }

    /** What to make of a part whose age nobody knows. */
    enum UnknownAge {
        COUNTS_FROM_ENTRY,
        IS_SPENT
    }
}
