package app.chervil.core.interval;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.filter.TaskName;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/**
 * The figures by which the engine is explained to keepers, worked out by the engine itself, so that what is told cannot
 * differ from what is done. The example is a canister on a normal tank, opened after some days.
 *
 * @param exampleDays days after which the example was opened
 * @param afterGrade next interval of the example for each grade, clean first
 * @param afterFlow next interval for a moderate finding with a share of clean flow
 * @param weights percent that the first, second, … fifth moderate finding counts
 * @param starts usual and first interval of some tasks
 * @param changes how a step of each kind changes the dirt that arrives, in percent
 * @param limits what holds an interval
 */
public record EngineFacts(
        int exampleDays,
        List<Long> afterGrade,
        List<AfterFlow> afterFlow,
        List<Long> weights,
        List<Start> starts,
        List<Change> changes,
        Limits limits) {
    private static final int EXAMPLE_DAYS = 75;
    private static final int EARLY_DAYS = 8;
    private static final int FINDINGS = 5;
    private static final LocalDate BEGIN = LocalDate.of(2026, 1, 1);

    /** Next interval in days after a share of clean flow, in percent. */
    public record AfterFlow(int percent, long days) {}

    /** A task's usual start and the first interval the engine makes of it, in days. */
    public record Start(String task, int usualDays, long firstDays) {}

    /** More (above zero) or less dirt after a change, in percent. */
    public record Change(String words, long percent) {}

    /**
     * What holds an interval.
     *
     * @param growth most times the longest run so far
     * @param earlyCleanDays days after which the example was opened clean and nothing was learned
     * @param earlyCleanInterval its interval after that
     * @param earliestPercent of the ideal interval from which it can be done
     * @param latestFromPercent of the ideal interval, least for the latest day
     * @param latestToPercent of the ideal interval, most for the latest day
     * @param usualLoadingPercent how full a stage usually is when it is served
     */
    public record Limits(
            double growth,
            int earlyCleanDays,
            long earlyCleanInterval,
            long earliestPercent,
            long latestFromPercent,
            long latestToPercent,
            long usualLoadingPercent) {}

    /** Works them out. */
    public static EngineFacts workedOut() {
        CareRule canister = CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
                .orElseThrow();
        return new EngineFacts(
                EXAMPLE_DAYS,
                Arrays.stream(Finding.values())
                        .map(finding -> after(canister, Serviced.found(BEGIN.plusDays(EXAMPLE_DAYS), finding)))
                        .toList(),
                Stream.of(95, 80, 60)
                        .map(percent -> new AfterFlow(
                                percent,
                                after(
                                        canister,
                                        Serviced.found(BEGIN.plusDays(EXAMPLE_DAYS), Finding.MODERATE)
                                                .withFlow(percent / 100.0))))
                        .toList(),
                weights(canister),
                Stream.of(
                                start(
                                        TaskName.of(CareAction.CHANGE, StageKind.FLOSS),
                                        Stage.disposable(StageKind.FLOSS),
                                        CareAction.CHANGE),
                                start(
                                        TaskName.of(CareAction.RINSE, StageKind.PREFILTER_SPONGE),
                                        Stage.washable(StageKind.PREFILTER_SPONGE),
                                        CareAction.RINSE),
                                start(
                                        TaskName.of(CareAction.RINSE, StageKind.COARSE_FOAM),
                                        Stage.washable(StageKind.COARSE_FOAM),
                                        CareAction.RINSE),
                                new Start("Open a canister", canister.startDays(), interval(begun(canister))))
                        .toList(),
                Arrays.stream(Kind.values()).map(EngineFacts::change).toList(),
                limits(canister));
    }

    private static Start start(String task, Stage stage, CareAction action) {
        CareRule rule = CareCatalogue.find(stage, action, Schools.DEFAULT).orElseThrow();
        return new Start(task, rule.startDays(), interval(begun(rule)));
    }

    private static Change change(Kind kind) {
        ContextChange change = new ContextChange(BEGIN, kind, 1);
        return new Change(
                change.words(),
                Math.round(100 * (Math.exp(ContextEffect.of(change).logRate()) - 1)));
    }

    private static List<Long> weights(CareRule rule) {
        Course course = begun(rule);
        return Stream.iterate(1, count -> count <= FINDINGS, count -> count + 1)
                .map(count -> {
                    long weight = Math.round(100
                            * course.belief()
                                    .drifted(EXAMPLE_DAYS)
                                    .weightOf(
                                            Finding.MODERATE, CalibratedEye.UNTESTED, LogExposure.exact(EXAMPLE_DAYS)));
                    course.serve(Serviced.found(BEGIN.plusDays((long) EXAMPLE_DAYS * count), Finding.MODERATE));
                    return weight;
                })
                .toList();
    }

    private static Limits limits(CareRule canister) {
        return new Limits(
                Run.MOST_GROWTH,
                EARLY_DAYS,
                after(canister, Serviced.found(BEGIN.plusDays(EARLY_DAYS), Finding.CLEAN)),
                Math.round(100 * Decision.EARLIEST_SHARE),
                Math.round(100 * Decision.LATEST_FROM),
                Math.round(100 * Decision.LATEST_TO),
                Math.round(100 * Belief.USUAL_LOADING_AT_SERVICE));
    }

    private static Course begun(CareRule rule) {
        return Course.begin(rule, BEGIN, StartingLoad.NORMAL);
    }

    private static long after(CareRule rule, Serviced service) {
        Course course = begun(rule);
        course.serve(service);
        return interval(course);
    }

    private static long interval(Course course) {
        return ChronoUnit.DAYS.between(course.run().since(), course.window().ideal());
    }
}
