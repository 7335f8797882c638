package app.chervil.core.interval;

import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The belief about one graded task as it grows, event by event. Order inside one service: exposure, drift, finding,
 * flow, then the growth limit from the days run and the days planned.
 */
public final class Course {
    private final CareRule rule;
    private final Graded graded;
    private Belief belief;
    private Run run;
    private int findings;
    private Optional<Lesson> lesson = Optional.empty();
    private final List<ContextChange> changesInRun = new ArrayList<>();

    private Course(CareRule rule, Graded graded, LocalDate on, StartingLoad load) {
        this.rule = rule;
        this.graded = graded;
        this.belief = Belief.prior(rule.startDays());
        this.run = Run.starting(on, load.rate(), rule.startDays());
    }

    /**
     * A course before its first event.
     *
     * @param on the day the stage began to run
     * @throws IllegalArgumentException if the task is not learned from findings
     */
    public static Course begin(CareRule rule, LocalDate on, StartingLoad load) {
        if (rule.learning() instanceof Graded graded) {
            return new Course(rule, graded, on, load);
        }
        throw new IllegalArgumentException("rule must be learned from findings but was " + rule.learning());
    }

    /**
     * What the last service taught.
     *
     * @param ran days and exposure up to it
     * @param before belief before it, then after its finding, then after its flow
     * @param planned what had been decided before it
     */
    record Lesson(Serviced service, Ran ran, Belief before, Belief found, Belief flowed, Decision planned) {}

    /** How long a run was, in days and in exposure. */
    record Ran(long days, double exposure) {}

    /** The course of a history up to its last event. */
    public static Course replay(CareRule rule, TaskHistory history) {
        Course course = begin(rule, history.start().on(), history.load());
        history.play(course::change, course::serve);
        return course;
    }

    /** A change of context; not before the last event. */
    public void change(ContextChange change) {
        ContextEffect effect = ContextEffect.of(change);
        belief = belief.widened(effect.sd());
        run = run.changed(change.on(), effect);
        changesInRun.add(change);
    }

    /** The task was done; not before the last event. */
    public void serve(Serviced service) {
        double exposure = run.exposureAt(service.on());
        Decision planned = decision();
        Belief drifted = belief.drifted(run.daysAt(service.on()));
        Belief found = service.finding()
                .map(finding -> drifted.found(finding, exposure))
                .orElse(drifted);
        belief = flowed(found, service, exposure);
        lesson = Optional.of(
                new Lesson(service, new Ran(run.daysAt(service.on()), exposure), drifted, found, belief, planned));
        findings += service.finding().isPresent() ? 1 : 0;
        run = run.served(service.on(), planned.days().ideal());
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

    /** When the task is next due, from all that happened so far. */
    public Window window() {
        return Window.after(run.since(), decision().days());
    }

    /** Exposure since the last service, in days at the usual rate. */
    public double exposureOn(LocalDate day) {
        return run.exposureAt(day);
    }

    /** When the stage will be overloaded if nobody serves it. */
    public Overload overload() {
        double spread = Loading.NINE_IN_TEN * belief.spreadOfARun();
        return new Overload(
                run.daysTo(Math.exp(belief.mean() - spread)),
                run.daysTo(Math.exp(belief.mean())),
                run.daysTo(Math.exp(belief.mean() + spread)));
    }

    /** Why the window is what it is, in sentences. */
    public List<String> reasons(LocalDate today) {
        return new Reasons(this, today).sentences(decision());
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

    public Belief belief() {
        return belief;
    }

    Run run() {
        return run;
    }

    /** Services at which somebody looked. */
    public int findings() {
        return findings;
    }

    Optional<Lesson> lesson() {
        return lesson;
    }

    List<ContextChange> changesInRun() {
        return List.copyOf(changesInRun);
    }
}
