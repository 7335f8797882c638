package app.chervil.core.site;

import static app.chervil.core.site.SampleSite.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.site.Opening.Size;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A canister opened every twenty days, with impeller, seals and hoses on its path. */
class OpeningTest {
    private static final String OPEN = "Open canister Weir";
    private static final String IMPELLER = "Clean the impeller";

    private static final List<StageKind> PATH = List.of(
            StageKind.PREFILTER_SPONGE,
            StageKind.COARSE_FOAM,
            StageKind.BIO_MEDIA,
            StageKind.CARBON,
            StageKind.IMPELLER,
            StageKind.SEALS,
            StageKind.HOSES);

    private static SampleSite cleaned(int daysAgo) {
        return SampleSite.on(TODAY)
                .tank(1, "Brook bench", "", TODAY.minusDays(daysAgo), PATH)
                .fixes(1, OPEN, 20);
    }

    private static SampleSite weir() {
        return cleaned(10);
    }

    private static Opening next(SampleSite site) {
        return Opening.ofTank(site.book(1), TODAY).get(0);
    }

    private static List<String> along(SampleSite site) {
        List<Long> along = next(site).along();
        return site.book(1).forecasts().stream()
                .filter(one -> along.contains(one.task().id()))
                .map(one -> one.task().name())
                .toList();
    }

    @Test
    void the_first_openings_take_out_foam_and_media_only() {
        assertThat(next(weir()).size()).isEqualTo(Size.MINOR);
        assertThat(next(weir()).why()).contains("at the second opening after this");
        assertThat(along(weir())).isEmpty();

        SampleSite once = weir().did(1, OPEN, TODAY.minusDays(5), Finding.LIGHT);
        assertThat(next(once).why()).contains("at the next opening");
    }

    private static SampleSite twice() {
        return weir().did(1, OPEN, TODAY.minusDays(8), Finding.LIGHT).did(1, OPEN, TODAY.minusDays(4), Finding.LIGHT);
    }

    @Test
    void the_third_sees_to_head_seals_and_hoses() {
        Opening third = next(twice());

        assertThat(third.size()).isEqualTo(Size.MAJOR);
        assertThat(third.why()).startsWith("The third opening since");
        assertThat(along(twice())).contains(IMPELLER, "Brush the hoses").allSatisfy(name -> assertThat(name)
                .doesNotStartWith("Replace"));
    }

    @Test
    void once_the_head_was_seen_to_the_count_begins_anew() {
        SampleSite together = twice().didAll(1, List.of(OPEN, IMPELLER), TODAY.minusDays(2));
        assertThat(next(together).size()).isEqualTo(Size.MINOR);

        SampleSite apart = twice().did(1, IMPELLER, TODAY.minusDays(4), Finding.LIGHT);
        assertThat(next(apart).size())
                .as("logged by itself on the same day, or without an opening")
                .isEqualTo(Size.MINOR);
    }

    @Test
    void hoses_brushed_while_it_is_shut_make_no_opening_a_major_one() {
        SampleSite brushed = twice().did(1, "Brush the hoses", TODAY.minusDays(2), Finding.LIGHT);

        assertThat(next(brushed).size()).isEqualTo(Size.MAJOR);
    }

    @Test
    void an_opening_that_two_people_logged_on_one_day_is_one() {
        SampleSite doubled =
                weir().did(1, OPEN, TODAY.minusDays(4), Finding.LIGHT).did(1, OPEN, TODAY.minusDays(4), Finding.LIGHT);

        assertThat(next(doubled).size()).isEqualTo(Size.MINOR);
        assertThat(next(doubled).why()).contains("at the next opening");
    }

    @Test
    void what_falls_due_before_the_next_makes_it_a_major_one() {
        SampleSite old = cleaned(80);

        assertThat(next(old).size()).isEqualTo(Size.MAJOR);
        assertThat(next(old).why()).startsWith(IMPELLER + " falls due by").contains("before the next opening");
    }

    @Test
    void a_service_without_an_opening_does_not_count() {
        SampleSite errands = weir().did(1, "Rinse the pre-filter", TODAY.minusDays(8), Finding.LIGHT)
                .did(1, "Rinse the pre-filter", TODAY.minusDays(4), Finding.LIGHT);

        assertThat(next(errands).size()).isEqualTo(Size.MINOR);
    }

    @Test
    void carbon_past_half_its_interval_is_changed_while_the_filter_is_open() {
        assertThat(along(cleaned(12))).noneMatch(name -> name.contains("carbon"));
        assertThat(along(cleaned(16))).anyMatch(name -> name.contains("carbon"));
    }
}
