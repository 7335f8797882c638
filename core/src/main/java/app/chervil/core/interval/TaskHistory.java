package app.chervil.core.interval;

import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;

/**
 * All that is known of one task.
 *
 * @param start the day the stage began to run, and how sure that is
 * @param services in any order; those before the start are left out
 * @param changes of the tank and filter that reach this stage, in any order
 * @param evidence looks and labels
 */
public record TaskHistory(
        Start start, StartingLoad load, List<Serviced> services, List<ContextChange> changes, Evidence evidence) {
    public TaskHistory {
        services = services.stream()
                .filter(service -> !service.on().isBefore(start.on()))
                .sorted(Comparator.comparing(Serviced::on))
                .toList();
        changes = changes.stream()
                .filter(change -> change.on().isAfter(start.on()))
                .sorted(Comparator.comparing(ContextChange::on))
                .toList();
    }

    /** A history without looks. */
    public TaskHistory(Start start, StartingLoad load, List<Serviced> services, List<ContextChange> changes) {
        this(start, load, services, changes, Evidence.NONE);
    }

    /** The day the present part began to run: the last service, or the start. */
    LocalDate since() {
        return services.isEmpty()
                ? start.on()
                : services.get(services.size() - 1).on();
    }

    /** Whether anyone knows when the present part began to run. */
    boolean ageKnown() {
        return !services.isEmpty() || start.ageKnown();
    }

    /** Plays it in the order of days; a change on the day of a service comes before it. */
    void play(Consumer<ContextChange> change, Consumer<Serviced> service) {
        int next = 0;
        for (Serviced done : services) {
            for (; next < changes.size() && !changes.get(next).on().isAfter(done.on()); next++) {
                change.accept(changes.get(next));
            }
            service.accept(done);
        }
        changes.subList(next, changes.size()).forEach(change);
    }

    /**
     * When a stage began to run.
     *
     * @param on the day it was put in, or the day it was entered if that is not known
     * @param ageKnown whether anyone knows when it was put in
     */
    public record Start(LocalDate on, boolean ageKnown) {}
}
