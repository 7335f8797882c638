package app.chervil.core.site;

import static app.chervil.core.site.SampleSite.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What a tank is left with when its canister Weir is taken down. */
class LeftBehindTest {
    private static final Filter WEIR = SampleSite.on(TODAY)
            .tank(1, "Brook bench", "", TODAY.minusDays(30))
            .book(1)
            .records()
            .filters()
            .get(0);

    private static Filter beside(Optional<LocalDate> fittedOn) {
        return new Filter(
                99,
                WEIR.tankId(),
                1,
                "Ebb",
                WEIR.passport(),
                WEIR.rating(),
                fittedOn,
                WEIR.stages(),
                WEIR.tasks(),
                WEIR.cleaned());
    }

    private static Optional<String> warning(Filter... others) {
        List<Filter> all = new ArrayList<>(List.of(others));
        all.add(WEIR);
        return LeftBehind.warning(WEIR, all, TODAY);
    }

    @Test
    void the_only_filter_is_told_to_be_what_the_tank_lives_by() {
        assertThat(warning())
                .hasValueSatisfying(words -> assertThat(words).startsWith("Weir is this tank’s only filter"));
    }

    @Test
    void one_that_came_lately_does_not_carry_the_tank_yet() {
        assertThat(warning(beside(Optional.of(TODAY.minusDays(10)))))
                .hasValueSatisfying(words -> assertThat(words).startsWith("Ebb has run here for only 10 days"));
        assertThat(warning(beside(Optional.of(TODAY.minusDays(1)))))
                .hasValueSatisfying(words -> assertThat(words).startsWith("Ebb has run here for only 1 day;"));
        assertThat(warning(beside(Optional.of(TODAY))))
                .hasValueSatisfying(words -> assertThat(words).startsWith("Ebb has run here only since today;"));
        assertThat(warning(beside(Optional.of(TODAY.minusDays(41))))).isPresent();
    }

    @Test
    void one_that_has_run_for_six_weeks_or_longer_than_anybody_knows_does() {
        assertThat(warning(beside(Optional.of(TODAY.minusDays(42))))).isEmpty();
        assertThat(warning(beside(Optional.empty()))).isEmpty();
        assertThat(warning(beside(Optional.of(TODAY.minusDays(3))), beside(Optional.of(TODAY.minusDays(300)))))
                .isEmpty();
    }
}
