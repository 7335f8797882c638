package app.chervil.core.interval;

import app.chervil.core.calc.Check;
import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A task done on a day.
 *
 * @param finding what the stage looked like; empty if nobody looked
 * @param flowShare share of the clean flow that this task's dirt left before the service, above zero; empty if not measured
 * @param eye of whoever graded it
 * @param separate whether it is known to be no part of the service just before, however soon it came
 */
public record Serviced(
        LocalDate on, Optional<Finding> finding, OptionalDouble flowShare, CalibratedEye eye, boolean separate) {
    public Serviced {
        flowShare.ifPresent(share -> Check.positive("flowShare", share));
    }

    public Serviced(LocalDate on, Optional<Finding> finding, OptionalDouble flowShare) {
        this(on, finding, flowShare, CalibratedEye.UNTESTED, false);
    }

    public static Serviced unseen(LocalDate on) {
        return new Serviced(on, Optional.empty(), OptionalDouble.empty());
    }

    public static Serviced found(LocalDate on, Finding finding) {
        return new Serviced(on, Optional.of(finding), OptionalDouble.empty());
    }

    /** The same service with the flow share measured before it. */
    public Serviced withFlow(double share) {
        return new Serviced(on, finding, OptionalDouble.of(share), eye, separate);
    }
}
