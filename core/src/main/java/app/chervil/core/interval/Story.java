package app.chervil.core.interval;

import app.chervil.core.filter.CareRule;
import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** How the belief about one graded task came to be: what was thought at the start and after each event. */
public final class Story {
    private final Course course;
    private final List<Chapter> chapters = new ArrayList<>();

    private Story(CareRule rule, TaskHistory history) {
        this.course = Course.begin(rule, history.start(), history.load().rate(), history.pauses());
        tell(history.start().on(), Optional.empty(), Optional.empty());
        history.play(this::changed, this::served, this::renewed);
    }

    /**
     * One event and what was believed after it.
     *
     * @param service what was done; empty at the start, for a change and where the stage was replaced
     * @param change what changed around the stage; empty for a service
     * @param next when the task was then thought due
     * @param overload days from {@code next}'s service to its overload
     * @param findings services at which somebody had looked
     * @param reasons in sentences
     */
    public record Chapter(
            LocalDate on,
            Optional<Serviced> service,
            Optional<ContextChange> change,
            Window next,
            Overload overload,
            int findings,
            List<String> reasons) {}

    /**
     * The chapters of a history, oldest first; the first is the start.
     *
     * @throws IllegalArgumentException if the task is not learned from findings
     */
    public static List<Chapter> of(CareRule rule, TaskHistory history) {
        return List.copyOf(new Story(rule, history).chapters);
    }

    private void changed(ContextChange change) {
        course.change(change);
        tell(change.on(), Optional.empty(), Optional.of(change));
    }

    private void served(Serviced service) {
        course.serve(service);
        tell(service.on(), Optional.of(service), Optional.empty());
    }

    private void renewed(LocalDate on) {
        course.renew(on);
        tell(on, Optional.empty(), Optional.empty());
    }

    private void tell(LocalDate on, Optional<Serviced> service, Optional<ContextChange> change) {
        chapters.add(new Chapter(
                on, service, change, course.window(), course.overload(), course.findings(), course.reasons(on)));
    }
}
