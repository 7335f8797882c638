package app.chervil.core.interval;

import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;

/**
 * All that is known of one task.
 *
 * @param start when the stage began to run: what was logged before it is the start
 * @param services oldest first, without the one that is the start; one a day
 * @param renewals days on which the stage was replaced, oldest first
 * @param changes of the tank and filter that reach this stage after its start, oldest first
 * @param pauses of its filter
 * @param evidence looks and labels
 */
public record TaskHistory(
        Start start,
        StartingLoad load,
        List<Serviced> services,
        List<LocalDate> renewals,
        List<ContextChange> changes,
        Pauses pauses,
        Evidence evidence) {
    public TaskHistory {
        Stream<LocalDate> logged = Stream.concat(services.stream().map(Serviced::on), renewals.stream());
        Start begun = start.orFirst(logged.min(Comparator.naturalOrder()));
        boolean known = !begun.equals(start) || start.sureness() == Start.Sureness.EXACT;
        start = begun;
        services = services.stream()
                .filter(service -> service.on().isAfter(begun.on())
                        || (!known && service.on().isEqual(begun.on())))
                .sorted(Comparator.comparing(Serviced::on))
                .toList();
        renewals = renewals.stream()
                .filter(day -> day.isAfter(begun.on()))
                .sorted()
                .toList();
        changes = changes.stream()
                .filter(change -> change.on().isAfter(begun.on()))
                .sorted(Comparator.comparing(ContextChange::on))
                .toList();
    }

    /** A history without renewals and pauses. */
    public TaskHistory(
            Start start, StartingLoad load, List<Serviced> services, List<ContextChange> changes, Evidence evidence) {
        this(start, load, services, List.of(), changes, Pauses.NONE, evidence);
    }

    /** A history without renewals, pauses and looks. */
    public TaskHistory(Start start, StartingLoad load, List<Serviced> services, List<ContextChange> changes) {
        this(start, load, services, changes, Evidence.NONE);
    }

    /** The day the present part began to run: the last service or renewal, or the start. */
    LocalDate since() {
        return Stream.concat(services.stream().map(Serviced::on), renewals.stream())
                .max(Comparator.naturalOrder())
                .orElse(start.on());
    }

    /** Whether anyone knows when the present part began to run. */
    boolean ageKnown() {
        return anew() || start.known();
    }

    /** Whether anything was done to it since its start, so that what was seen on that day was seen before. */
    boolean anew() {
        return !services.isEmpty() || !renewals.isEmpty();
    }

    /** Plays it in the order of days; of one day the service comes first, then a renewal, then changes. */
    void play(Consumer<ContextChange> change, Consumer<Serviced> service, Consumer<LocalDate> renewal) {
        Stream<Event> served = services.stream().map(one -> new Event(one.on(), 0, () -> service.accept(one)));
        Stream<Event> renewed = renewals.stream().map(day -> new Event(day, 1, () -> renewal.accept(day)));
        Stream<Event> changed = changes.stream().map(one -> new Event(one.on(), 2, () -> change.accept(one)));
        Stream.of(served, renewed, changed)
                .flatMap(events -> events)
                .sorted(Comparator.comparing(Event::on).thenComparing(Event::order))
                .forEach(event -> event.happens().run());
    }

    private record Event(LocalDate on, int order, Runnable happens) {}
}
