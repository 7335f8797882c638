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
     * By age, unless a look finds it worn out before.
     *
     * @param earliest share of the start interval from which the task can be done, up to 1
     * @param latest share of the start interval by which it should be done, at least 1
     * @param ceilingDays cap on the age in days
     */
    record ByAge(double earliest, double latest, int ceilingDays) implements Learning {
        public ByAge {
            Check.within("earliest", earliest, 0, 1);
            Check.within("latest", latest, 1, 2);
            Check.positive("ceilingDays", ceilingDays);
        }

        static ByAge cappedAt(int ceilingDays) {
            return new ByAge(0.75, 1.2, ceilingDays);
        }
    }

    /**
     * By hours of use; a window at 0.85, 0.95 and 1.05 of the rated hours (docs/sources.md#other-lives).
     *
     * @param ratedHours for a lamp whose own are not known
     */
    record ByHours(double ratedHours) implements Learning {}

    /** By the tint of the water: carbon is spent when the tint is back (docs/sources.md#other-lives). */
    record ByTint() implements Learning {}

    /** By the coloured share of a bag of resin (docs/sources.md#other-lives). */
    record ByColour() implements Learning {}

    /** By the metres left on a roll (docs/sources.md#other-lives). */
    record ByLength() implements Learning {}

    /**
     * By how often a pad was rinsed (docs/sources.md#other-lives).
     *
     * @param rinses a pad bears, where its own number is not known
     */
    record ByRinses(int rinses) implements Learning {}
}
