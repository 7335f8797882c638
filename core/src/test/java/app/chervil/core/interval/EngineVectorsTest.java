package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A canister led by condition: default 90 days, ceiling 365, overload cost 3, flow share at overload 0.65, rate 1.
 * Expected numbers: the table of docs/sources.md#interval-vectors, from the prototype the engine was chosen with.
 */
class EngineVectorsTest {
    private static final LocalDate START = LocalDate.of(2026, 1, 1);
    private static final CareRule CANISTER = CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
            .orElseThrow();

    static Stream<Arguments> histories() {
        return Stream.of(
                row("no service yet", history(), 5.010635, 0.370000, 54.21, 72.28, 86.74),
                row("75 d, clean", history(found(Finding.CLEAN)), 5.674581, 0.232050, 84.38, 112.50, 135.00),
                row("75 d, light", history(found(Finding.LIGHT)), 5.441438, 0.204144, 84.38, 112.50, 135.00),
                row("75 d, moderate", history(found(Finding.MODERATE)), 5.033389, 0.204144, 62.43, 83.24, 99.89),
                row("75 d, heavy", history(found(Finding.HEAVY)), 4.779928, 0.204144, 48.45, 64.60, 77.52),
                row("75 d, clogged", history(found(Finding.CLOGGED)), 4.368753, 0.139734, 33.95, 45.27, 54.32),
                row("flow at 95 %", history(moderateAt(0.95)), 5.058968, 0.132801, 68.14, 90.85, 109.02),
                row("flow at 80 %", history(moderateAt(0.80)), 4.862375, 0.099075, 57.86, 77.15, 92.57),
                row("flow at 60 %", history(moderateAt(0.60)), 4.553224, 0.084995, 43.10, 57.47, 68.97),
                row("8 d, clean", history(clean(8)), 5.010635, 0.372667, 54.12, 72.16, 86.59),
                row("20 d, clean", history(clean(20)), 5.126014, 0.225599, 67.33, 89.78, 107.73),
                row(
                        "stocking raised on day 30",
                        changed(30, Kind.STOCKING, List.of()),
                        5.010635,
                        0.410000,
                        44.20,
                        58.93,
                        69.11),
                row(
                        "moderate, then a pre-filter after 30 days",
                        changed(105, Kind.PREFILTER, List.of(found(Finding.MODERATE))),
                        5.033389,
                        0.326644,
                        137.70,
                        183.60,
                        220.32));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("histories")
    void belief_and_window_follow_the_vectors(String name, TaskHistory history, Belief belief, Window.Days days) {
        Course course = Course.replay(CANISTER, history);

        assertThat(course.belief().mean()).isCloseTo(belief.mean(), within(1e-6));
        assertThat(course.belief().variance()).isCloseTo(belief.variance(), within(1e-6));
        Window.Days got = course.decision().days();
        assertThat(got.earliest()).isCloseTo(days.earliest(), within(0.01));
        assertThat(got.ideal()).isCloseTo(days.ideal(), within(0.01));
        assertThat(got.latest()).isCloseTo(days.latest(), within(0.01));
    }

    // first ideal days of docs/sources.md#interval-engine; limits apart, at the stage's own default and cost
    @ParameterizedTest
    @CsvSource({"4, 1, 3.6", "7, 1.5, 6.1", "21, 1.5, 18.2", "60, 2, 50.4", "90, 3, 72.3"})
    void the_first_ideal_comes_a_little_before_the_start(double defaultDays, double cost, double ideal) {
        Graded graded = new Graded(cost, OptionalDouble.empty(), 365);

        double days = Math.exp(Decision.idealLogExposure(graded, RunBelief.of(Belief.prior(defaultDays))));

        assertThat(days).isCloseTo(ideal, within(0.05));
    }

    private static Arguments row(
            String name, TaskHistory history, double m, double v, double earliest, double ideal, double latest) {
        return Arguments.of(name, history, new Belief(m, v), new Window.Days(earliest, ideal, latest));
    }

    private static TaskHistory history(Serviced... services) {
        return new TaskHistory(Start.exact(START), StartingLoad.NORMAL, List.of(services), List.of());
    }

    private static TaskHistory changed(int day, Kind kind, List<Serviced> services) {
        ContextChange change = new ContextChange(START.plusDays(day), kind, 1);
        return new TaskHistory(Start.exact(START), StartingLoad.NORMAL, services, List.of(change));
    }

    private static Serviced found(Finding finding) {
        return Serviced.found(START.plusDays(75), finding);
    }

    private static Serviced moderateAt(double flowShare) {
        return found(Finding.MODERATE).withFlow(flowShare);
    }

    private static Serviced clean(int day) {
        return Serviced.found(START.plusDays(day), Finding.CLEAN);
    }
}
