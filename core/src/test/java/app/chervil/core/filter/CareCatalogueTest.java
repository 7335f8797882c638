package app.chervil.core.filter;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.Learning.ByAge;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.SockSchool;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CareCatalogueTest {
    private static final Schools CLARITY = new Schools(OpeningSchool.CONDITION_LED, SockSchool.CLARITY);
    private static final Schools EXPORT = new Schools(OpeningSchool.MAKERS_CALENDAR, SockSchool.NUTRIENT_EXPORT);

    // start, bounds, minutes and disturbance of the table in docs/sources.md#care-catalogue
    @ParameterizedTest(name = "{1} the {0}: {2} days")
    @CsvSource({
        "PREFILTER_SPONGE, RINSE, 14, 5, 30, 5, 1",
        "STRAINER, CLEAR, 30, 14, 90, 3, 0",
        "SOCK, CHANGE, 14, 4, 28, 5, 0",
        "FINE_PAD, RINSE, 21, 7, 60, 6, 1",
        "FLOSS, CHANGE, 21, 7, 60, 5, 0",
        "COARSE_FOAM, RINSE, 60, 14, 270, 8, 1",
        "MEDIUM_FOAM, REPLACE, 540, 365, 1825, 5, 2",
        "SPONGE, SQUEEZE, 21, 7, 60, 8, 2",
        "BIO_MEDIA, DIP, 150, 60, 540, 8, 2",
        "CARBON, CHANGE, 30, 14, 56, 5, 0",
        "RESIN, REGENERATE, 60, 21, 180, 20, 0",
        "PHOSPHATE_REMOVER, CHANGE, 35, 14, 70, 10, 0",
        "IMPELLER, CLEAN, 120, 60, 365, 10, 0",
        "HOSES, BRUSH, 180, 60, 365, 20, 0",
        "UV_SLEEVE, CLEAN, 120, 60, 365, 10, 0",
        "RETURN_PUMP, DESCALE, 180, 90, 365, 30, 0",
        "AIR_LINE, CLEAN, 120, 60, 365, 5, 0"
    })
    void a_stage_brings_its_care(
            StageKind kind, CareAction action, int start, int least, int most, int minutes, int disturbance) {
        CareRule rule =
                CareCatalogue.find(Stage.washable(kind), action, CLARITY).orElseThrow();

        assertThat(rule.startDays()).isEqualTo(start);
        assertThat(rule.bounds()).isEqualTo(new CareRule.Bounds(least, most));
        assertThat(rule.effort().minutes()).isEqualTo(minutes);
        assertThat(rule.effort().disturbance()).isEqualTo(disturbance);
    }

    @Test
    void the_schools_set_how_soon_a_canister_is_opened_and_a_sock_changed() {
        assertThat(start(CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, CLARITY)))
                .isEqualTo(90);
        assertThat(start(CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, EXPORT)))
                .isEqualTo(30);
        Stage sock = Stage.washable(StageKind.SOCK);
        assertThat(start(CareCatalogue.find(sock, CareAction.CHANGE, EXPORT))).isEqualTo(4);
    }

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void every_stage_of_a_template_brings_care(FilterKind kind) {
        assertThat(FilterTemplates.waterPath(kind)).isNotEmpty().allSatisfy(stage -> assertThat(
                        CareCatalogue.forStage(stage, CLARITY))
                .isNotEmpty());
    }

    @ParameterizedTest
    @EnumSource(StageKind.class)
    void no_age_cap_lies_below_the_interval_it_caps(StageKind kind) {
        Stream.of(Stage.washable(kind), Stage.disposable(kind))
                .flatMap(stage -> CareCatalogue.forStage(stage, EXPORT).stream())
                .filter(rule -> rule.learning() instanceof ByAge)
                .forEach(rule -> assertThat(((ByAge) rule.learning()).ceilingDays())
                        .as("%s %s", rule.action(), kind)
                        .isGreaterThanOrEqualTo(rule.startDays()));
    }

    @Test
    void tasks_read_as_a_keeper_says_them() {
        assertThat(TaskName.of(CareAction.RINSE, StageKind.PREFILTER_SPONGE)).isEqualTo("Rinse the pre-filter");
        assertThat(TaskName.of(CareAction.DIP, StageKind.BIO_MEDIA)).isEqualTo("Dip bio media");
        assertThat(TaskName.of(CareAction.OPEN, FilterKind.CANISTER, "Weir")).isEqualTo("Open canister Weir");
        assertThat(TaskName.done(CareAction.RINSE, StageKind.PREFILTER_SPONGE)).isEqualTo("Pre-filter rinsed");
        assertThat(TaskName.done(CareAction.OPEN, FilterKind.CANISTER, "Weir")).isEqualTo("Canister Weir opened");
    }

    private static int start(java.util.Optional<CareRule> rule) {
        return rule.orElseThrow().startDays();
    }
}
