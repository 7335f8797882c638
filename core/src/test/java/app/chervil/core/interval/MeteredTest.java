package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MeteredTest {
    private static final LocalDate DAY = LocalDate.of(2026, 6, 1);
    private static final Schools SCHOOLS = new Schools(OpeningSchool.CONDITION_LED, SockSchool.CLARITY);
    private static final CareRule OPENING =
            CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, SCHOOLS).orElseThrow();
    private static final double AT_OVERLOAD =
            ((Graded) OPENING.learning()).flowAtOverload().orElseThrow();
    private static final StartingLoad LOAD = new StartingLoad(Stocking.NORMAL, Feeding.NORMAL, false, false);

    private static Course metered(int day, double share) {
        Course course = Course.begin(OPENING, DAY, LOAD);
        course.meter(new Metered(DAY.plusDays(day), share));
        return course;
    }

    private static long ideal(Course course) {
        return ChronoUnit.DAYS.between(DAY, course.window().ideal());
    }

    @Test
    void A_stage_whose_flow_is_at_its_overload_is_known_to_be_full() {
        RunBelief seen = RunBelief.of(Belief.prior(90)).metered(AT_OVERLOAD, AT_OVERLOAD, LogExposure.exact(60));

        assertThat(seen.mean()).isCloseTo(Math.log(60), within(0.1));
        assertThat(seen.spread()).isLessThan(0.2);
    }

    @ParameterizedTest
    @ValueSource(ints = {40, 50, 60, 70, 72, 74, 80, 95, 110})
    void Less_flow_never_puts_a_service_off(int day) {
        for (double share = 0.1; share < 1; share += 0.01) {
            assertThat(ideal(metered(day, share)))
                    .as("%.2f of the flow on day %d", share, day)
                    .isLessThanOrEqualTo(ideal(metered(day, share + 0.01)) + 1);
        }
    }

    @Test
    void A_clean_flow_so_early_says_nothing_and_so_late_that_it_can_wait() {
        long unmetered = ideal(Course.begin(OPENING, DAY, LOAD));

        assertThat(ideal(metered(5, 1))).isEqualTo(unmetered);
        assertThat(ideal(metered(95, 1))).isGreaterThan(unmetered);
    }

    @Test
    void Moves_this_run_alone_and_is_forgotten_with_it() {
        Course course = metered(50, 0.7);
        Belief before = course.belief();
        course.serve(Serviced.unseen(DAY.plusDays(51)));

        assertThat(course.metered()).isEmpty();
        assertThat(course.belief().mean()).isEqualTo(before.mean());
    }

    @Test
    void A_reading_from_before_the_last_service_is_none() {
        Course course = Course.begin(OPENING, DAY, LOAD);
        course.serve(Serviced.found(DAY.plusDays(50), Finding.MODERATE));
        Window window = course.window();
        course.meter(new Metered(DAY.plusDays(50), 0.5));

        assertThat(course.window()).isEqualTo(window);
    }

    @Test
    void A_sock_does_not_throttle_so_no_meter_moves_it() {
        CareRule sock = CareCatalogue.find(Stage.washable(StageKind.SOCK), CareAction.CHANGE, SCHOOLS)
                .orElseThrow();
        Course course = Course.begin(sock, DAY, LOAD);
        Window window = course.window();
        course.meter(new Metered(DAY.plusDays(3), 0.4));

        assertThat(course.window()).isEqualTo(window);
    }
}
