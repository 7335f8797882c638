package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.Chain.Rhythm;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RhythmsTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final CareRule RINSE = CareCatalogue.find(
                    Stage.washable(StageKind.PREFILTER_SPONGE), CareAction.RINSE, Schools.DEFAULT)
            .orElseThrow();

    private static Forecast due(LocalDate since, LocalDate ideal, Basis basis) {
        return new Forecast(since, around(ideal), basis, Optional.empty(), List.of("It is due."));
    }

    private static Window around(LocalDate ideal) {
        return new Window(ideal.minusDays(5), ideal, ideal.plusDays(5));
    }

    @Test
    void the_next_window_is_as_long_as_the_ones_that_follow() {
        Rhythm rhythm = Rhythms.of(due(TODAY.minusDays(20), TODAY.plusDays(10), Basis.LEARNED), RINSE, TODAY);

        assertThat(rhythm.first()).isEqualTo(new Span(5, 10, 15));
        assertThat(rhythm.gap()).isEqualTo(new Span(25, 30, 35));
    }

    @ParameterizedTest
    @CsvSource({"1950-01-01", "2015-06-01", "2026-05-30"})
    void what_was_last_cared_for_in_another_age_or_hardly_before_comes_as_the_rule_has_it(LocalDate since) {
        Rhythm rhythm = Rhythms.of(due(since, TODAY.plusDays(1), Basis.START), RINSE, TODAY);

        assertThat(rhythm.first().ideal()).isEqualTo(1);
        assertThat(rhythm.gap()).isEqualTo(new Span(12, 14, 16));
    }

    @Test
    void a_filter_neglected_for_a_year_is_not_left_for_another_once_it_is_taken_on() {
        Rhythm rhythm = Rhythms.of(due(TODAY.minusDays(370), TODAY.plusDays(10), Basis.TAKEN_ON), RINSE, TODAY);

        assertThat(rhythm.first()).isEqualTo(new Span(5, 10, 15));
        assertThat(rhythm.gap()).isEqualTo(new Span(12, 14, 16));
    }

    @Test
    void a_step_of_taking_a_filter_on_is_late_by_its_own_days_and_other_work_by_its_interval() {
        Rhythm step = Rhythms.of(due(TODAY.minusDays(370), TODAY.plusDays(10), Basis.TAKEN_ON), RINSE, TODAY);
        Rhythm usual = Rhythms.of(due(TODAY.minusDays(20), TODAY.plusDays(10), Basis.LEARNED), RINSE, TODAY);

        assertThat(step.scale()).isEqualTo(10);
        assertThat(usual.scale()).isEqualTo(30);
    }

    @Test
    void a_chore_of_another_age_is_planned_all_the_same() {
        Rhythm rhythm = Rhythms.of(LocalDate.of(1950, 1, 1), around(TODAY), TODAY);

        assertThat(rhythm.gap().ideal()).isEqualTo(Rhythm.LONGEST_GAP);
    }
}
