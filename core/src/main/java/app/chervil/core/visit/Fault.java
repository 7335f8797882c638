package app.chervil.core.visit;

import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Pauses.Pause;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * Days on which what a filter showed was a fault and no dirt (docs/sources.md#trouble).
 *
 * @param sinceInclusive when it was first noticed
 * @param mendedOn empty while it lasts
 */
public record Fault(LocalDate sinceInclusive, Optional<LocalDate> mendedOn, Ignored ignored) {
    /** What says nothing of dirt meanwhile. */
    public enum Ignored {
        /** What was measured before it was mended. */
        FLOW,
        /** What was found as well, for water did not pass the stages as it should; such days brought no dirt. */
        FLOW_AND_GRADE
    }

    /** A service as far as it tells of dirt. */
    LoggedService strip(LoggedService service) {
        LocalDate on = service.on();
        boolean mended = mendedOn.map(on::isEqual).orElse(false);
        boolean after = mendedOn.map(on::isAfter).orElse(false);
        if (on.isBefore(sinceInclusive) || after) {
            return service;
        }
        return new LoggedService(
                on,
                ignored == Ignored.FLOW ? service.done() : unseen(service.done()),
                Optional.empty(),
                mended ? service.flowAfter() : Optional.empty(),
                service.manner());
    }

    private static Map<Long, Optional<Finding>> unseen(Map<Long, Optional<Finding>> done) {
        Map<Long, Optional<Finding>> unseen = new HashMap<>();
        done.keySet().forEach(task -> unseen.put(task, Optional.empty()));
        return unseen;
    }

    /** Days without flow bring no dirt; empty where it flowed, or was mended the same day. */
    Optional<Pause> standstill() {
        boolean stood = ignored == Ignored.FLOW_AND_GRADE
                && mendedOn.map(day -> day.isAfter(sinceInclusive)).orElse(true);
        return stood ? Optional.of(new Pause(sinceInclusive, mendedOn, 0)) : Optional.empty();
    }
}
