package app.chervil.sim.bench;

import app.chervil.core.interval.Finding;
import app.chervil.core.tank.ContextChange;
import app.chervil.sim.truth.HiddenStage;
import java.util.Optional;
import java.util.OptionalDouble;

/** One keeper's way of deciding when a stage is next served, with what it remembers. */
interface Practice {
    /** Days from the last service to the next. */
    double interval();

    /** Something changed that the keeper wrote down. */
    default void changed(ContextChange change) {}

    /**
     * The stage was served.
     *
     * @param flow share of clean flow before; empty if not measured
     */
    default void served(int day, Finding finding, OptionalDouble flow) {}

    /** Whether it watches a flow meter, and plans anew every day. */
    default boolean watches() {
        return false;
    }

    /**
     * What a flow meter read on a day between services.
     *
     * @param flow in an arbitrary unit that stays the same
     */
    default void read(int day, double flow) {}

    /** What it believes, if it believes anything. */
    default Optional<Calibration.Belief> belief(int servedDay) {
        return Optional.empty();
    }

    /** Begins a practice with a stage. */
    interface Beginning {
        Practice with(HiddenStage stage);
    }
}
