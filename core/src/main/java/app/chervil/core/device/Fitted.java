package app.chervil.core.device;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A device at work on a tank.
 *
 * @param testedOn when somebody last tried it out; empty if nobody has
 */
public record Fitted(long id, DeviceKind kind, String name, LocalDate fittedOn, Optional<LocalDate> testedOn) {
    /**
     * Its test, and since when it is due.
     *
     * @param lastTried the day it is counted from
     */
    public record DueTest(DeviceTest test, LocalDate since, LocalDate lastTried) {}

    /** When somebody last tried it out; the day it was fitted if nobody has. */
    public LocalDate lastTried() {
        return testedOn.orElse(fittedOn);
    }

    /** Its test, where that is due today. */
    public Optional<DueTest> due(LocalDate today) {
        return DeviceTest.of(kind, name)
                .map(test -> new DueTest(test, lastTried().plusDays(test.days()), lastTried()))
                .filter(due -> !due.since().isAfter(today));
    }
}
