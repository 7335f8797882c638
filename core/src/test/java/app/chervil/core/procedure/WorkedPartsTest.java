package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.Material;
import app.chervil.core.passport.Build;
import app.chervil.core.procedure.Situation.Asked;
import org.junit.jupiter.api.Test;

/** Parts that are worn, worked out by hand on the filters of the examples. */
class WorkedPartsTest extends ExampleFilters {
    @Test
    void a_pump_in_the_base_is_reached_only_when_everything_is_out() {
        Procedure impeller = topDown(FINE_PAD).serve("impeller");

        assertThat(steps(impeller))
                .containsSubsequence("out fine pad", "out bio media", "tip", "impeller-out impeller");
    }

    @Test
    void a_new_impeller_is_tried_beside_the_old_one_and_screws_are_counted_in_and_out() {
        Described filter = topDown(FINE_PAD);

        Procedure kit = filter.serveBy(CareAction.REPLACE, "impeller");

        assertThat(steps(kit))
                .containsSubsequence(
                        "impeller-out impeller",
                        "impeller-same impeller",
                        "bushing impeller",
                        "impeller-well impeller",
                        "impeller-in impeller");
        assertThat(words(kit, "impeller-out")).contains("count them");
        assertThat(words(kit, "impeller-in")).contains("run freely", "as many screws as you counted");
        assertThat(kit.steps().stream().flatMap(step -> step.care().materials().stream()))
                .contains(Material.IMPELLER_SET, Material.CUP);
    }

    @Test
    void what_is_thrown_away_is_not_cleaned_first() {
        Procedure both = topDown(FINE_PAD).serveAll("impeller");

        assertThat(both.tasks())
                .extracting(Asked::action)
                .contains(CareAction.REPLACE)
                .doesNotContain(CareAction.CLEAN, CareAction.INSPECT);
    }

    @Test
    void a_heater_in_the_hose_is_off_and_cool_before_the_pump_stops_and_on_once_water_moves() {
        Described filter = topDown(FINE_PAD);
        Build build = filter.passport().build();
        Build heated = new Build(
                build.kind(),
                build.direction(),
                build.water(),
                build.housing(),
                build.hoses(),
                new Build.Current(Build.HeaterPlace.IN_LINE, Build.LampPlace.LID, false));

        Procedure pad = filter.built(heated).serve("fine pad");

        assertThat(pad.steps().stream().map(Step::id))
                .containsSubsequence("heater-off:filter", "stop:filter", "start:filter", "heater-on:filter");
        assertThat(words(pad, "heater-off"))
                .isEqualTo("Turn the in-line heater off, and let it cool while water runs.");
        assertThat(words(pad, "heater-on")).startsWith("Is water moving through Weir?");
    }

    private static String words(Procedure procedure, String code) {
        return procedure.steps().stream()
                .filter(step -> step.id().startsWith(code))
                .map(step -> step.what().text())
                .findFirst()
                .orElseThrow();
    }
}
