package app.chervil.core.interval;

import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The belief about one graded task, replayed over its history. Order inside one service: exposure, drift, finding, flow,
 * then the growth limit from the days run and the days planned.
 */
final class Course {
    private final CareRule rule;
    private final Graded graded;
    private Belief belief;
    private Run run;
    private int findings;
    private Optional<Lesson> lesson = Optional.empty();
    private final List<ContextChange> changesInRun = new ArrayList<>();

    private Course(CareRule rule, Graded graded, TaskHistory history) {
        this.rule = rule;
        this.graded = graded;
        this.belief = Belief.prior(rule.startDays());
        this.run = Run.starting(history.start().on(), history.load().rate(), rule.startDays());
    }

    /**
     * What the last service taught.
     *
     * @param ran days and exposure up to it
     * @param before belief before it, then after its finding, then after its flow
     */
    record Lesson(Serviced service, Ran ran, Belief before, Belief found, Belief flowed) {}

    /** How long a run was, in days and in exposure. */
    record Ran(long days, double exposure) {}

    static Course replay(CareRule rule, Graded graded, TaskHistory history) {
        Course course = new Course(rule, graded, history);
        int next = 0;
        for (Serviced service : history.services()) {
            for (;
                    next < history.changes().size()
                            && !history.changes().get(next).on().isAfter(service.on());
                    next++) {
                course.change(history.changes().get(next));
            }
            course.serve(service);
        }
        history.changes().subList(next, history.changes().size()).forEach(course::change);
        return course;
    }

    private void change(ContextChange change) {
        ContextEffect effect = ContextEffect.of(change);
        belief = belief.widened(effect.sd());
        run = run.changed(change.on(), effect);
        changesInRun.add(change);
    }

    private void serve(Serviced service) {
        double exposure = run.exposureAt(service.on());
        double planned = decision().days().ideal();
        Belief drifted = belief.drifted(run.daysAt(service.on()));
        Belief found = service.finding()
                .map(finding -> drifted.found(finding, exposure))
                .orElse(drifted);
        belief = flowed(found, service, exposure);
        lesson = Optional.of(new Lesson(service, new Ran(run.daysAt(service.on()), exposure), drifted, found, belief));
        findings += service.finding().isPresent() ? 1 : 0;
        run = run.served(service.on(), planned);
        changesInRun.clear();
    }

    private Belief flowed(Belief found, Serviced service, double exposure) {
        return service.flowShare().isPresent() && graded.flowAtOverload().isPresent()
                ? found.flowed(
                        service.flowShare().getAsDouble(),
                        graded.flowAtOverload().getAsDouble(),
                        exposure)
                : found;
    }

    Decision decision() {
        return Decision.of(rule, graded, belief, run);
    }

    Loading loadingOn(LocalDate day) {
        return Loading.at(run.exposureAt(day), belief, Decision.idealLogExposure(graded, belief));
    }

    CareRule rule() {
        return rule;
    }

    Belief belief() {
        return belief;
    }

    Run run() {
        return run;
    }

    int findings() {
        return findings;
    }

    Optional<Lesson> lesson() {
        return lesson;
    }

    List<ContextChange> changesInRun() {
        return List.copyOf(changesInRun);
    }
}
