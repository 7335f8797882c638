package app.chervil.core.sums;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Where warnings begin and what is refused: each limit just kept and just passed. Numbers: docs/sources.md, sections of the
 * sums; worked out by hand from the formula of each.
 */
class SumLimitsTest {
    private static Outcome of(String sum, Object... given) {
        Map<String, Object> values = new LinkedHashMap<>();
        for (int index = 0; index < given.length; index += 2) {
            values.put((String) given[index], given[index + 1]);
        }
        return Sums.named(sum).orElseThrow().of(values);
    }

    private static boolean warns(Outcome outcome, Warning warning) {
        return ((Solved) outcome).warnings().contains(warning);
    }

    private static Object value(Outcome outcome, String name) {
        return ((Solved) outcome).values().get(name);
    }

    @ParameterizedTest
    @CsvSource({"0.5, false", "0.501, true"})
    void more_than_half_the_tank_at_once_is_big(double share, boolean warned) {
        assertThat(warns(of("change", "netL", 100, "share", share), Warning.BIG))
                .isEqualTo(warned);
    }

    @ParameterizedTest
    @CsvSource({"50, false", "50.1, true"})
    void above_fifty_degrees_hot_water_scalds(double hot, boolean warned) {
        assertThat(warns(of("mix", "coldC", 10, "hotC", hot, "targetC", 25, "litres", 20), Warning.SCALD))
                .isEqualTo(warned);
    }

    @ParameterizedTest
    @CsvSource({"20, false", "19.9, true", "28, false", "28.1, true"})
    void a_step_of_two_degrees_is_the_most_either_way(double target, boolean warned) {
        Outcome mixed = of("mix", "coldC", 5, "hotC", 60, "targetC", target, "litres", 50, "tankC", 24, "share", .5);
        assertThat(warns(mixed, Warning.STEP)).isEqualTo(warned);
    }

    @ParameterizedTest
    @CsvSource({"0.299, NONE", "0.3, PREFILTER", "0.499, PREFILTER", "0.5, FILTER"})
    void a_third_lost_asks_for_the_prefilter_and_half_for_the_filter(double loss, String action) {
        List<Map<String, Object>> catches = List.of(Map.of("litres", 1000 * (1 - loss) / 3600 * 10, "seconds", 10));
        assertThat(value(of("catch", "cleanLph", 1000, "catches", catches), "action"))
                .hasToString(action);
    }

    /** For 100 L of new water at 5 mL to 100 L the label says 5 mL. */
    @ParameterizedTest
    @CsvSource({"25, ''", "25.1, plannedMl"})
    void five_times_the_label_is_the_most_that_is_ever_answered(double planned, String field) {
        Outcome dose = of("conditioner", "labelMl", 5, "labelL", 100, "newL", 100, "plannedMl", planned);
        if (field.isEmpty()) {
            assertThat(warns(dose, Warning.OVER)).isTrue();
        } else {
            assertThat(dose).isEqualTo(new Refused(Refused.Code.UNSAFE, field));
        }
    }

    @ParameterizedTest
    @CsvSource({"10, false", "10.1, true", "4.9, false"})
    void twice_the_label_is_over_and_less_than_it_is_under(double planned, boolean over) {
        Outcome dose = of("conditioner", "labelMl", 5, "labelL", 100, "newL", 100, "plannedMl", planned);
        assertThat(warns(dose, Warning.OVER)).isEqualTo(over);
        assertThat(warns(dose, Warning.UNDER)).isEqualTo(planned < 5);
    }

    /** A cap of 5 mL for 2 L: a hundred times the label. */
    @Test
    void a_cap_too_large_for_a_nano_is_refused_at_the_cap() {
        assertThat(of("conditioner", "labelMl", 5, "labelL", 200, "newL", 2, "unitMl", 5))
                .isEqualTo(new Refused(Refused.Code.UNSAFE, "unitMl"));
    }

    @ParameterizedTest(name = "plain {0}, allowed {1}, acid {2}, {3} %: {4}")
    @CsvSource({
        "true, true, false, 12.5, ''",
        "true, true, false, 12.6, bleachPct",
        "false, true, false, 5, plain",
        "true, false, false, 5, labelAllows",
        "true, true, true, 5, acidNear",
        "false, false, true, 20, plain"
    })
    void bleach_is_told_only_where_it_harms_nobody(
            boolean plain, boolean allowed, boolean acid, double percent, String field) {
        Outcome soak = of(
                "resin",
                "resinMl",
                100,
                "bleachPct",
                percent,
                "treatsLPerMl",
                10,
                "plain",
                plain,
                "labelAllows",
                allowed,
                "acidNear",
                acid);
        if (field.isEmpty()) {
            assertThat(soak).isInstanceOf(Solved.class);
        } else {
            assertThat(soak).isEqualTo(new Refused(Refused.Code.UNSAFE, field));
        }
    }

    @ParameterizedTest
    @CsvSource({"25, ''", "25.1, UNSAFE", "2.4, IMPOSSIBLE"})
    void vinegar_is_household_vinegar(double percent, String code) {
        Outcome bath = of("vinegar", "litres", 1, "acidPct", percent, "bleachNear", false);
        if (code.isEmpty()) {
            assertThat(bath).isInstanceOf(Solved.class);
        } else {
            assertThat(bath).isEqualTo(new Refused(Refused.Code.valueOf(code), "acidPct"));
        }
    }

    /** A sump of 1000 by 300 mm: 0.3 L to a millimetre; 100 by 300 mm over the lip, 10 mm high, run back: 30 L need 100 mm. */
    @ParameterizedTest(name = "at {0} mm: flood {1}, tight {2}")
    @CsvSource({"275, false, true", "275.1, true, false", "265.1, false, true", "264.9, false, false"})
    void a_sump_floods_past_its_room_and_is_tight_within_a_tenth_of_it(double level, boolean flood, boolean tight) {
        Outcome sump = of(
                "draindown",
                "lengthMm",
                1000,
                "widthMm",
                3000,
                "aboveMm",
                10,
                "sumpLengthMm",
                1000,
                "sumpWidthMm",
                300,
                "rimMm",
                400,
                "levelMm",
                level);
        assertThat(warns(sump, Warning.FLOOD)).isEqualTo(flood);
        assertThat(warns(sump, Warning.TIGHT)).isEqualTo(tight);
        assertThat((double) value(sump, "maxLevelMm")).isEqualTo(275);
    }

    @ParameterizedTest
    @CsvSource({"99, ''", "99.5, ''", "101, ''", "98.9, barMm", "101.1, barMm"})
    void a_printer_may_be_off_by_a_millimetre_in_a_hundred(double bar, String field) {
        Outcome pages = of("tiles", "aMm", 100, "bMm", 100, "barMm", bar);
        assertThat(pages instanceof Refused).isEqualTo(!field.isEmpty());
    }

    /** A litre of media wants rinses of 2 L; a quarter of the tank is shared among them. */
    @ParameterizedTest(name = "{0} L: {1}, {2} rinses of {3} L")
    @CsvSource({
        "100, FULL, 3, 2",
        "24, FULL, 3, 2",
        "20, PORTIONS, 3, 1.6666667",
        "11.9, FEWER, 2, 1.4875",
        "4, FEWER, 1, 1",
        "3.9, SPLIT, 3, 2"
    })
    void a_smaller_tank_gives_fewer_rinses_and_a_nano_none(double net, String plan, int rinses, double each) {
        Outcome water = of("buckets", "mediaL", 1, "netL", net, "tubsL", List.of(8));
        assertThat(value(water, "plan")).hasToString(plan);
        assertThat(((Number) value(water, "rinses")).intValue()).isEqualTo(rinses);
        assertThat((double) value(water, "litresEach")).isCloseTo(each, org.assertj.core.api.Assertions.within(1e-6));
    }

    @Test
    void foam_that_would_be_squeezed_too_much_has_a_layer_fewer() {
        Map<String, Object> sheet = new HashMap<>(
                Map.of("shape", "RECT", "aMm", 100, "bMm", 80, "sheetWMm", 500, "sheetHMm", 500, "thickMm", 30));
        sheet.put("depthMm", 76.5);
        Solved tight = (Solved) Sums.named("cut").orElseThrow().of(sheet);
        sheet.put("depthMm", 76);
        Solved looser = (Solved) Sums.named("cut").orElseThrow().of(sheet);

        assertThat(tight.values()).containsEntry("layers", 3).containsEntry("gapMm", 0.0);
        assertThat(looser.values()).containsEntry("layers", 2).containsEntry("gapMm", 16.0);
    }

    @ParameterizedTest
    @CsvSource({"0.5, false", "0.499, true"})
    void less_than_half_of_the_media_is_thin(double kilograms, boolean warned) {
        List<Map<String, Object>> have = List.of(Map.of("media", "POROUS", "kg", kilograms));
        assertThat(warns(of("need", "netL", 100, "media", "POROUS", "have", have), Warning.THIN))
                .isEqualTo(warned);
    }

    @Test
    void what_never_pays_has_no_day_on_which_it_pays() {
        Map<String, Object> same = Map.of("parts", List.of(Map.of("price", 10, "everyDays", 365)));
        Outcome compared = of("cost", "options", List.of(same, same));

        assertThat(warns(compared, Warning.NEVER)).isTrue();
        assertThat(((Solved) compared).values()).doesNotContainKeys("paybackMonths", "breakEvenFilters");
    }

    @ParameterizedTest
    @CsvSource({"64, true", "0, true", "35, false"})
    void what_no_salt_water_is_like_has_no_other_words(double ppt, boolean refused) {
        assertThat(of("salinity", "value", ppt, "unit", "PPT") instanceof Refused)
                .isEqualTo(refused);
    }
}
