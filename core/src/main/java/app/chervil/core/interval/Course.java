package app.chervil.core.interval;

import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.interval.Belief.Taught;
import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The belief about one graded task as it grows, event by event. Order inside one service: exposure, drift, finding,
 * flow, then the growth limit from the days run and the days planned (docs/sources.md#learning).
 */
public final class Course {
    private static final double CONTINUATION_SHARE = 0.15;
    private static final double MOST_CONTINUATION_DAYS = 3;
    private static final double GAP_CEILINGS = 2;

    private final CareRule rule;
    private final Graded graded;
    private Belief belief;
    private Run run;
    private boolean soonFull;
    private FullRuns fullRuns = FullRuns.NONE;
    private int findings;
    private Optional<Lesson> lesson = Optional.empty();
    private Optional<Metered> metered = Optional.empty();
    private final List<ContextChange> changesInRun = new ArrayList<>();
    private final Set<Note> notes = EnumSet.noneOf(Note.class);

    private Course(CareRule rule, Graded graded, Run run) {
        this.rule = rule;
        this.graded = graded;
        this.belief = Belief.prior(rule.startDays());
        this.run = run;
    }

    /**
     * A course before its first event.
     *
     * @param start when the stage began to run
     * @param rate exposure a day then; above zero
     * @throws IllegalArgumentException if the task is not learned from findings
     */
    public static Course begin(CareRule rule, Start start, double rate, Pauses pauses) {
        if (rule.learning() instanceof Graded graded) {
            return new Course(rule, graded, Run.starting(start, rate, Run.MOST_GROWTH * rule.startDays(), pauses));
        }
        throw new IllegalArgumentException("rule must be learned from findings but was " + rule.learning());
    }

    /** A course that began on a known day and never paused. */
    public static Course begin(CareRule rule, LocalDate on, StartingLoad load) {
        return begin(rule, Start.exact(on), load.rate(), Pauses.NONE);
    }

    /**
     * What the last service taught.
     *
     * @param ran days and exposure up to it
     * @param before belief before it, then after its finding, then after its flow
     * @param planned what had been decided before it
     * @param notes what was not taken as it stands
     * @param first whether no service was logged before it
     */
    record Lesson(
            Serviced service,
            Ran ran,
            Belief before,
            Belief found,
            Belief flowed,
            Decision planned,
            Set<Note> notes,
            boolean first) {}

    /** How long a run was, in use days and in exposure. */
    record Ran(double days, LogExposure exposure) {}

    /** The course of a history up to its last event. */
    public static Course replay(CareRule rule, TaskHistory history) {
        Course course = begin(rule, history.start(), history.load().rate(), history.pauses());
        history.play(course::change, course::serve, course::renew);
        history.evidence().metered().ifPresent(course::meter);
        return course;
    }

    /** A change of context; not before the last event. */
    public void change(ContextChange change) {
        change(change.on(), ContextEffect.of(change));
        changesInRun.add(change);
    }

    /** A change of context by its effect; not before the last event. */
    public void change(LocalDate on, ContextEffect effect) {
        belief = belief.widened(effect.sd());
        run = run.changed(on, effect);
    }

    /**
     * What a flow meter last said of the stage in its present run. It moves this run's window alone: what the stage taught is
     * learned when it is served. Nothing for a stage that does not throttle.
     */
    public void meter(Metered read) {
        if (graded.flowAtOverload().isPresent() && read.on().isAfter(run.since())) {
            metered = Optional.of(read);
        }
    }

    /** The stage was replaced by a new one; not before the last event, ignored on the day the run began. */
    public void renew(LocalDate on) {
        if (on.isAfter(run.since())) {
            run = run.served(on, run.limitDays());
            metered = Optional.empty();
            changesInRun.clear();
            lesson = Optional.empty();
            notes.add(Note.RENEWED);
        }
    }

    /** The task was done; not before the last event. */
    public void serve(Serviced service) {
        metered = Optional.empty();
        if (continues(service)) {
            boolean full = isFull(service);
            notes.add(full ? Note.SOON_FULL : Note.MERGED);
            soonFull = full;
            run = run.continued(service.on());
        } else {
            soonFull = false;
            learn(service);
        }
    }

    /**
     * So soon after a service, a replacement or a known start that it belongs to it: sooner than anyone planned, and not
     * full for the second time.
     */
    private boolean continues(Serviced service) {
        double most = Math.floor(Math.min(MOST_CONTINUATION_DAYS, CONTINUATION_SHARE * rule.startDays()));
        long days = run.calendarDaysAt(service.on());
        boolean soon =
                run.start().known() && days <= most && days < decision().days().earliest();
        return soon && !service.separate() && !(soonFull && isFull(service));
    }

    private static boolean isFull(Serviced service) {
        return service.finding()
                .map(finding -> finding.grade() >= Finding.HEAVY.grade())
                .orElse(false);
    }

    /**
     * Whether the last service came too long after the one before it to teach anything.
     *
     * @param startWasService whether the start itself is a service of the log, so that something may be missing after it
     */
    public boolean gapBefore(LocalDate day, boolean startWasService) {
        return lesson.filter(last -> last.service().on().equals(day)
                        && last.notes().contains(Note.LONG_GAP)
                        && (startWasService || !last.first()))
                .isPresent();
    }

    private void learn(Serviced service) {
        Set<Note> told = EnumSet.noneOf(Note.class);
        Ran ran = new Ran(run.daysAt(service.on()), logExposureOn(service.on()));
        Decision planned = decision();
        Belief drifted = belief.drifted(run.calendarDaysAt(service.on()));
        boolean gap = ran.days() > GAP_CEILINGS * graded.ceilingDays();
        Belief found = gap ? drifted : found(drifted, service, ran, told);
        belief = gap ? drifted : flowed(found, service, ran, told);
        if (!run.start().known()) {
            told.add(Note.START_UNKNOWN);
        }
        if (gap) {
            told.add(Note.LONG_GAP);
        }
        if (service.finding().isEmpty()) {
            told.add(Note.NO_FINDING);
        }
        fullRuns =
                fullRuns.after(service.finding(), ran.days(), rule, run.start().known());
        lesson = Optional.of(new Lesson(
                service, ran, drifted, found, belief, planned, Collections.unmodifiableSet(told), lesson.isEmpty()));
        notes.addAll(told);
        findings += service.finding().isPresent() ? 1 : 0;
        run = run.served(
                service.on(), nextLimit(service, gap, ran, planned.days().ideal()));
        changesInRun.clear();
    }

    /** Without a look, or after too long, the next interval is no longer than this one was planned. */
    private double nextLimit(Serviced service, boolean gap, Ran ran, double planned) {
        if (gap || service.finding().isEmpty()) {
            return planned;
        }
        return run.start().known()
                ? Run.MOST_GROWTH * Math.max(ran.days(), planned)
                : Math.max(run.limitDays(), Run.MOST_GROWTH * planned);
    }

    private Belief found(Belief drifted, Serviced service, Ran ran, Set<Note> told) {
        if (service.finding().isEmpty()) {
            return drifted;
        }
        Finding finding = service.finding().get();
        if (!drifted.learnsFrom(finding, service.eye(), ran.exposure())) {
            told.add(finding == Finding.CLEAN ? Note.EARLY_CLEAN : Note.LATE_FULL);
        }
        Taught taught = drifted.found(finding, service.eye(), ran.exposure());
        return believed(
                taught.held() && finding == Finding.CLEAN ? orLight(taught, drifted, service, ran) : taught, told);
    }

    /**
     * A clean finding is less sure than a light one, so a surprise that is held moves less by it; it is believed at least
     * as far as a light one would be, for more dirt never lengthens an interval.
     */
    private Taught orLight(Taught clean, Belief drifted, Serviced service, Ran ran) {
        Taught light = drifted.found(Finding.LIGHT, service.eye(), ran.exposure());
        boolean longer = Decision.idealLogExposure(graded, RunBelief.of(light.belief()))
                > Decision.idealLogExposure(graded, RunBelief.of(clean.belief()));
        return longer ? light : clean;
    }

    private Belief flowed(Belief found, Serviced service, Ran ran, Set<Note> told) {
        return service.flowShare().isPresent() && graded.flowAtOverload().isPresent()
                ? believed(
                        found.flowed(
                                service.flowShare().getAsDouble(),
                                graded.flowAtOverload().getAsDouble(),
                                ran.exposure()),
                        told)
                : found;
    }

    private static Belief believed(Taught taught, Set<Note> told) {
        if (taught.held()) {
            told.add(Note.SURPRISE_HELD);
        }
        return taught.belief();
    }

    /** When the task is next due, from all that happened so far. */
    public Window window() {
        return Window.after(run.since(), calendarDays(decision()));
    }

    /** A decision's days counted in the calendar, from the day the run began. */
    Window.Days calendarDays(Decision decision) {
        Window.Days days = decision.days();
        return new Window.Days(
                run.pauses().calendarDays(run.since(), days.earliest()),
                run.pauses().calendarDays(run.since(), days.ideal()),
                run.pauses().calendarDays(run.since(), days.latest()));
    }

    /** Exposure since the last service, in days at the usual rate. */
    public double exposureOn(LocalDate day) {
        return run.exposureAt(day);
    }

    /** Middle estimate of the log of the loading on a day, as a fraction of what overloads the stage. */
    public double logLoadingOn(LocalDate day) {
        return logExposureOn(day).mean() - ofThisRun().mean();
    }

    private LogExposure logExposureOn(LocalDate day) {
        return run.logExposureAt(day, rule.startDays());
    }

    /** When the stage will be overloaded if nobody serves it. */
    public Overload overload() {
        RunBelief now = ofThisRun();
        double spread = Loading.NINE_IN_TEN * now.spread();
        return new Overload(
                run.daysTo(Math.exp(now.mean() - spread)),
                run.daysTo(Math.exp(now.mean())),
                run.daysTo(Math.exp(now.mean() + spread)));
    }

    /** Why the window is what it is, in sentences. */
    public List<String> reasons(LocalDate today) {
        return new Reasons(this, today).sentences(decision());
    }

    /** What was not taken as it stands in all that happened so far. */
    public Set<Note> notes() {
        return Collections.unmodifiableSet(notes);
    }

    Decision decision() {
        return decisionFrom(ofThisRun());
    }

    /** What would be decided if no meter had been read in this run. */
    Decision unmetered() {
        return decisionFrom(RunBelief.of(belief));
    }

    private Decision decisionFrom(RunBelief now) {
        return Decision.of(rule, graded, now, run, fullRuns.small());
    }

    /** What is believed of the present run, with what a meter says of it. */
    private RunBelief ofThisRun() {
        RunBelief expected = RunBelief.of(belief);
        return metered.map(read -> metered(expected, read)).orElse(expected);
    }

    /** While it is nearly clean a meter can only put a service off: less flow would else be believed to last longer. */
    private RunBelief metered(RunBelief expected, Metered read) {
        RunBelief seen =
                expected.metered(read.share(), graded.flowAtOverload().orElseThrow(), logExposureOn(read.on()));
        boolean sooner = Decision.idealLogExposure(graded, seen) < Decision.idealLogExposure(graded, expected);
        return sooner && read.share() > RunBelief.SAYS_LITTLE_ABOVE ? expected : seen;
    }

    Optional<Metered> metered() {
        return metered;
    }

    Loading loadingOn(LocalDate day) {
        RunBelief now = ofThisRun();
        return Loading.at(logExposureOn(day), now, Decision.idealLogExposure(graded, now));
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
