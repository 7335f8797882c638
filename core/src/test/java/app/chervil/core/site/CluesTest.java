package app.chervil.core.site;

import static app.chervil.core.site.SampleSite.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.tank.TankChore;
import app.chervil.core.trouble.Feature;
import app.chervil.core.trouble.FilterHistory;
import app.chervil.core.trouble.Inquiry;
import app.chervil.core.trouble.Network;
import app.chervil.core.trouble.Next;
import app.chervil.core.trouble.Touch;
import app.chervil.core.water.Amount;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Reading.Trust;
import java.time.LocalDateTime;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What the books tell of a filter before anybody looks at it. */
class CluesTest {
    private static final LocalDateTime NOW = TODAY.atTime(18, 0);
    private static final String RINSE = "Rinse the pre-filter";
    private static final String OPEN = "Open canister Weir";

    private static SampleSite brook() {
        return SampleSite.today().tank(1, "Brook", "Lab", TODAY.minusDays(90));
    }

    private static FilterHistory clues(SampleSite site) {
        return site.book(1).filters().get(0).clues(NOW);
    }

    private static Reading ammonia(double value, LocalDateTime at, Trust trust) {
        return new Reading(Parameter.AMMONIA, new Amount.Exact(value), 0.05, at, trust);
    }

    @Test
    void it_knows_what_the_filter_is_made_of() {
        assertThat(clues(brook()).stages()).contains(StageKind.PREFILTER_SPONGE, StageKind.FINE_PAD);
    }

    @Test
    void a_pre_filter_left_for_long_is_thought_full_and_one_rinsed_today_is_not() {
        double left = clues(brook()).features().get(Feature.PREFILTER_LOADING);
        double rinsed =
                clues(brook().did(1, RINSE, TODAY, Finding.HEAVY)).features().get(Feature.PREFILTER_LOADING);

        assertThat(left).isGreaterThan(1);
        assertThat(rinsed).isLessThan(0.1);
    }

    @Test
    void the_last_grade_is_that_of_the_latest_service() {
        FilterHistory history = clues(brook().did(1, RINSE, TODAY.minusDays(20), Finding.CLOGGED)
                .did(1, RINSE, TODAY.minusDays(6), Finding.LIGHT));

        assertThat(history.features()).containsEntry(Feature.PREFILTER_LAST_GRADE, 1.0);
        assertThat(history.features()).doesNotContainKey(Feature.FOAM_LAST_GRADE);
    }

    @Test
    void an_opening_is_felt_by_lid_hoses_and_media_for_a_month() {
        FilterHistory lately = clues(brook().did(1, OPEN, TODAY.minusDays(2), Finding.MODERATE));
        FilterHistory longAgo = clues(brook().did(1, OPEN, TODAY.minusDays(31), Finding.MODERATE));

        assertThat(lately.touched())
                .containsEntry(Touch.ANY, 2.0)
                .containsEntry(Touch.LID, 2.0)
                .containsEntry(Touch.HOSES, 2.0)
                .containsEntry(Touch.MEDIA, 2.0);
        assertThat(longAgo.touched()).isEmpty();
    }

    @Test
    void rinsing_the_pre_filter_opens_nothing() {
        FilterHistory history = clues(brook().did(1, RINSE, TODAY, Finding.HEAVY));

        assertThat(history.touched()).containsOnlyKeys(Touch.ANY);
    }

    @Test
    void what_was_done_to_the_tank_counts_too() {
        FilterHistory history = clues(brook().chore(1, TankChore.SUBSTRATE_VACUUM, 14, TODAY.minusDays(1)));

        assertThat(history.touched()).containsEntry(Touch.VACUUM, 1.0);
        assertThat(history.features())
                .containsEntry(Feature.DAYS_SINCE_VACUUM, 1.0)
                .containsEntry(Feature.DAYS_SINCE_WATER_CHANGE, 3.0)
                .containsEntry(Feature.DAYS_SINCE_TOP_UP, 3.0);
    }

    @Test
    void only_a_trusted_reading_of_the_last_day_is_taken() {
        assertThat(ammoniaOf(ammonia(0.5, NOW.minusHours(20), Trust.KEPT))).hasValue(0.5);
        assertThat(ammoniaOf(ammonia(0.04, NOW.minusHours(20), Trust.KEPT))).hasValue(0);
        assertThat(ammoniaOf(ammonia(0.5, NOW.minusHours(25), Trust.KEPT))).isEmpty();
        assertThat(ammoniaOf(ammonia(0.5, NOW.minusHours(1), Trust.EARLY))).isEmpty();
    }

    private static OptionalDouble ammoniaOf(Reading reading) {
        return clues(brook().read(1, reading)).readings().ammonia();
    }

    @Test
    void nothing_is_said_of_what_nobody_stated() {
        assertThat(clues(brook()).features())
                .doesNotContainKeys(Feature.SMALL_MEDIA_AT_PUMP, Feature.PURGES_BY_DESIGN, Feature.HARD_OR_MARINE);
    }

    @Test
    void weak_flow_is_looked_for_elsewhere_the_day_after_an_opening_than_after_months() {
        FilterHistory yesterday = clues(brook().did(1, OPEN, TODAY.minusDays(1), Finding.MODERATE)
                .did(1, RINSE, TODAY.minusDays(1), Finding.MODERATE));
        FilterHistory months = clues(brook());

        Next first = first(yesterday);

        assertThat(first).isNotEqualTo(first(months));
        assertThat(first(months))
                .isInstanceOfSatisfying(
                        Next.Mend.class, mend -> assertThat(mend.repair().id()).isEqualTo("rinse-prefilter"));
    }

    private static Next first(FilterHistory history) {
        return Inquiry.of(Network.standard(), history, "weak-flow")
                .after(List.of())
                .next();
    }
}
