package app.chervil.core.sums;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.sums.Packing.Laid;
import app.chervil.core.sums.Packing.Wanted;
import app.chervil.core.tank.Stocking;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

/** What holds of all sums, whatever is asked: by lot, from fixed seeds. */
class SumPropertiesTest {
    private static final int ASKED = 3_000;

    private static Map<String, Object> answer(String sum, Map<String, ?> values) {
        Outcome outcome = Sums.named(sum).orElseThrow().of(values);
        assertThat(outcome).as("%s of %s", sum, values).isInstanceOf(Solved.class);
        return ((Solved) outcome).values();
    }

    private static double number(Map<String, Object> answer, String name) {
        return ((Number) answer.get(name)).doubleValue();
    }

    @Test
    void whatever_fits_its_fields_is_answered_with_numbers_or_refused_at_a_field() {
        SplittableRandom random = new SplittableRandom(160);
        int answered = 0;
        int refused = 0;
        for (Sum sum : Sums.all()) {
            for (int ask = 0; ask < ASKED; ask++) {
                Map<String, Object> values = Lot.values(sum.fields(), random);

                Outcome outcome = sum.of(values);

                if (outcome instanceof Solved solved) {
                    solved.values().forEach((name, value) -> assertThat(finite(value))
                            .as("%s.%s of %s is %s", sum.name(), name, values, value)
                            .isTrue());
                    answered++;
                } else {
                    assertThat(((Refused) outcome).field()).isNotBlank();
                    refused++;
                }
            }
        }
        System.out.printf("SumPropertiesTest: %,d answered, %,d refused%n", answered, refused);
        assertThat(answered).isGreaterThan(refused);
    }

    private static boolean finite(Object value) {
        if (value instanceof Collection<?> list) {
            return list.stream().allMatch(SumPropertiesTest::finite);
        }
        return !(value instanceof Double number) || Double.isFinite(number);
    }

    @Test
    void every_number_is_taken_to_its_ends_and_no_further() {
        int tried = 0;
        for (Sum sum : Sums.all()) {
            for (Field field : sum.fields()) {
                if (field.type() != Field.Type.NUMBER) {
                    continue;
                }
                tried++;
                for (double end : new double[] {field.least(), field.most()}) {
                    assertThat(outOfRange(sum, field, end))
                            .as("%s.%s %s", sum.name(), field.name(), end)
                            .isFalse();
                }
                double width = Math.max(1, Math.abs(field.most()));
                for (double past : new double[] {
                    field.least() - 1e-6 * width, field.most() + 1e-6 * width, Double.NaN, Double.POSITIVE_INFINITY
                }) {
                    assertThat(outOfRange(sum, field, past))
                            .as("%s.%s %s", sum.name(), field.name(), past)
                            .isTrue();
                }
            }
        }
        System.out.printf("SumPropertiesTest: %d fields at both ends%n", tried);
    }

    /** Whether a value alone is refused for its range, all fields before it being fit. */
    private static boolean outOfRange(Sum sum, Field field, double value) {
        Map<String, Object> values = Lot.values(List.of(field), new SplittableRandom(1));
        values.put(field.name(), value);
        return new Given(values, List.of(field), new Sum.RulesOf(sum.name(), KeptRules.NONE))
                .atFault()
                .filter(refused -> refused.code() == Refused.Code.RANGE)
                .isPresent();
    }

    @Test
    void what_is_needed_and_missing_is_named_first() {
        for (Sum sum : Sums.all()) {
            Field first = sum.fields().stream()
                    .filter(Field::needed)
                    .filter(field -> field.type() != Field.Type.ROWS && field.type() != Field.Type.NUMBERS)
                    .findFirst()
                    .orElseGet(() -> sum.fields().stream()
                            .filter(Field::needed)
                            .findFirst()
                            .orElseThrow());

            assertThat(sum.of(Map.of())).isEqualTo(Refused.missing(first));
        }
    }

    @Test
    void units_of_the_trade_go_there_and_back() {
        SplittableRandom random = new SplittableRandom(161);
        List<String> words = Sums.named("unit").orElseThrow().fields().get(1).words();
        int pairs = 0;
        for (String from : words) {
            for (String to : words) {
                double value = random.nextDouble(0, 1e4);
                Outcome there = Sums.named("unit").orElseThrow().of(Map.of("value", value, "from", from, "to", to));
                if (there instanceof Solved solved) {
                    Map<String, Object> back =
                            answer("unit", Map.of("value", solved.values().get("value"), "from", to, "to", from));
                    assertThat(number(back, "value")).isCloseTo(value, within(1e-9 * Math.max(1, value)));
                    pairs++;
                }
            }
        }
        System.out.printf("SumPropertiesTest: %d pairs of units%n", pairs);
    }

    @Test
    void more_stocking_never_needs_less_media() {
        SplittableRandom random = new SplittableRandom(162);
        for (int tank = 0; tank < ASKED; tank++) {
            double net = random.nextDouble(1, 1e5);
            String media = BioMedium.values()[random.nextInt(BioMedium.values().length)].name();
            double before = 0;
            for (Stocking stocking : Stocking.values()) {
                double need = number(
                        answer("need", Map.of("netL", net, "media", media, "stocking", stocking.name())), "needKg");
                assertThat(need).isGreaterThanOrEqualTo(before);
                before = need;
            }
        }
    }

    @Test
    void a_mix_lies_between_hot_and_cold_and_adds_up() {
        SplittableRandom random = new SplittableRandom(163);
        for (int mix = 0; mix < ASKED; mix++) {
            double cold = random.nextDouble(0, 30);
            double hot = random.nextDouble(cold + .1, 90);
            double target = random.nextDouble(cold, Math.min(hot, 40));

            Map<String, Object> answer =
                    answer("mix", Map.of("coldC", cold, "hotC", hot, "targetC", target, "litres", 50));

            assertThat(number(answer, "hotShare")).isBetween(0.0, 1.0);
            assertThat(number(answer, "hotL") + number(answer, "coldL")).isCloseTo(50, within(1e-9));
            double mixed = (number(answer, "hotL") * hot + number(answer, "coldL") * cold) / 50;
            assertThat(mixed).isCloseTo(target, within(1e-9));
        }
    }

    @Test
    void drawing_for_rinses_never_takes_more_than_the_share_of_the_tank() {
        SplittableRandom random = new SplittableRandom(164);
        for (int rinse = 0; rinse < ASKED; rinse++) {
            double net = Math.exp(random.nextDouble(Math.log(5), Math.log(5000)));
            double media = random.nextDouble(.1, 20);

            Map<String, Object> answer =
                    answer("buckets", Map.of("mediaL", media, "netL", net, "tubsL", List.of(8, 12, 20)));

            assertThat(number(answer, "share")).isLessThanOrEqualTo(.25 + 1e-9);
            assertThat(number(answer, "litresEach")).isLessThanOrEqualTo(2.0 / 3 * number(answer, "tubL") + 1e-9);
        }
    }

    @Test
    void salinity_is_the_same_whichever_way_it_is_read() {
        SplittableRandom random = new SplittableRandom(165);
        Map<String, String> names = Map.of("SG", "sg", "MS_CM", "mScm", "G_L", "gL");
        for (int water = 0; water < 500; water++) {
            double celsius = random.nextDouble(0, 35);
            double ppt = random.nextDouble(2.001, 41.999);
            Map<String, Object> told = answer("salinity", Map.of("value", ppt, "unit", "PPT", "celsius", celsius));
            names.forEach((unit, name) -> {
                Map<String, Object> back =
                        answer("salinity", Map.of("value", told.get(name), "unit", unit, "celsius", celsius));
                assertThat(number(back, "ppt")).as("%s at %s", unit, celsius).isCloseTo(ppt, within(1e-6));
            });
        }
    }

    @Test
    void pieces_of_several_sizes_lie_within_sheets_and_beside_each_other() {
        SplittableRandom random = new SplittableRandom(166);
        int pieces = 0;
        for (int list = 0; list < 300; list++) {
            List<Wanted> wanted = new ArrayList<>();
            for (int piece = random.nextInt(1, 60); piece > 0; piece--) {
                int w = random.nextInt(5, 300);
                int h = random.nextInt(5, 200);
                wanted.add(new Wanted(piece, w, h, w + 3, h + 3));
            }

            List<Laid> laid = Packing.best(wanted, 503, 403);

            assertThat(laid).hasSameSizeAs(wanted);
            laid.forEach(one -> assertThat(one.x() + one.w() <= 500 && one.y() + one.h() <= 400)
                    .isTrue());
            assertThat(overlaps(laid)).isZero();
            pieces += laid.size();
        }
        System.out.printf("SumPropertiesTest: %,d pieces of several sizes laid%n", pieces);
    }

    private static long overlaps(List<Laid> laid) {
        long found = 0;
        for (int one = 0; one < laid.size(); one++) {
            for (int other = one + 1; other < laid.size(); other++) {
                Laid a = laid.get(one);
                Laid b = laid.get(other);
                boolean beside = a.x() + a.w() <= b.x() || b.x() + b.w() <= a.x();
                boolean above = a.y() + a.h() <= b.y() || b.y() + b.h() <= a.y();
                found += a.sheet() != b.sheet() || beside || above ? 0 : 1;
            }
        }
        return found;
    }

    @Test
    void changing_water_as_often_as_a_lowering_says_reaches_its_target() {
        SplittableRandom random = new SplittableRandom(167);
        for (int tank = 0; tank < ASKED; tank++) {
            double now = random.nextDouble(20, 300);
            double tap = random.nextDouble(0, 10);
            double target = random.nextDouble(tap + .5, 19);

            Map<String, Object> answer = answer("lower", Map.of("now", now, "target", target, "tap", tap));

            double reading = now;
            for (int change = 0; change < (int) number(answer, "count"); change++) {
                reading = reading + number(answer, "each") * (tap - reading);
            }
            assertThat(reading).isCloseTo(target, within(1e-6 * now));
            assertThat(number(answer, "each")).isLessThanOrEqualTo(.5 + 1e-9);
        }
    }

    @Test
    void a_rule_a_site_keeps_takes_the_place_of_ours_and_what_is_typed_of_both() {
        Map<String, Object> change =
                Map.of("coldC", 10, "hotC", 50, "targetC", 20, "litres", 40, "tankC", 25, "share", .5);
        KeptRules three = new KeptRules(Map.of("mix.stepLimit", 3.0));
        Map<String, Object> typed = new HashMap<>(change);
        typed.put("stepLimit", 1);

        assertThat(warnings("mix", change, KeptRules.NONE)).containsExactly(Warning.STEP);
        assertThat(warnings("mix", change, three)).isEmpty();
        assertThat(warnings("mix", typed, three)).containsExactly(Warning.STEP);
    }

    private static Collection<Warning> warnings(String sum, Map<String, ?> values, KeptRules rules) {
        return ((Solved) Sums.named(sum).orElseThrow().of(values, rules)).warningsInOrder();
    }

    @Test
    void media_a_site_knows_better_is_reckoned_its_way() {
        KeptRules rules = new KeptRules(Map.of("media.POROUS.per100", 2.0, "media.POROUS.density", .5));

        Solved need = (Solved) Sums.named("need").orElseThrow().of(Map.of("netL", 100, "media", "POROUS"), rules);

        assertThat(number(need.values(), "needKg")).isCloseTo(2, within(1e-9));
        assertThat(number(need.values(), "needL")).isCloseTo(4, within(1e-9));
    }

    @Test
    void every_rule_of_thumb_lies_within_its_own_range() {
        assertThat(RuleBook.entries()).hasSizeGreaterThan(30).allSatisfy(rule -> {
            assertThat(rule.ours()).isBetween(rule.least(), rule.most());
            assertThat(rule.key()).contains(".");
        });
        assertThat(RuleBook.entries()).extracting(RuleBook.Entry::key).doesNotHaveDuplicates();
    }

    @Test
    void levels_that_fit_the_maximum_mark_never_flood() {
        SplittableRandom random = new SplittableRandom(168);
        for (int sump = 0; sump < ASKED; sump++) {
            double rim = random.nextDouble(100, 600);
            Map<String, Object> values = new HashMap<>(Map.of(
                    "lengthMm",
                    random.nextDouble(300, 2000),
                    "widthMm",
                    random.nextDouble(200, 800),
                    "aboveMm",
                    random.nextDouble(1, 40),
                    "sumpLengthMm",
                    random.nextDouble(300, 1500),
                    "sumpWidthMm",
                    random.nextDouble(200, 600),
                    "rimMm",
                    rim));
            values.put("levelMm", 1);
            double mark = number(answer("draindown", values), "maxLevelMm");
            if (mark > 2) {
                values.put("levelMm", mark - 1e-3);
                assertThat(number(answer("draindown", values), "spareL")).isNotNegative();
            }
        }
    }

    /** Values by lot that fit the range of each field. */
    private static final class Lot {
        static Map<String, Object> values(List<Field> fields, SplittableRandom random) {
            Map<String, Object> values = new HashMap<>();
            for (Field field : fields) {
                if (field.needed() || random.nextInt(3) == 0) {
                    values.put(field.name(), value(field, random));
                }
            }
            return values;
        }

        private static Object value(Field field, SplittableRandom random) {
            return switch (field.type()) {
                case NUMBER -> number(field, random);
                case WORD -> field.words().get(random.nextInt(field.words().size()));
                case FLAG -> random.nextInt(4) == 0;
                case NUMBERS ->
                    DoubleStream.generate(() -> number(field.row().get(0), random))
                            .limit(rows(field, random))
                            .boxed()
                            .toList();
                case ROWS -> {
                    List<Object> rows = new ArrayList<>();
                    for (int row = rows(field, random); row > 0; row--) {
                        rows.add(values(field.row(), random));
                    }
                    yield rows;
                }
            };
        }

        private static int rows(Field field, SplittableRandom random) {
            return random.nextInt((int) field.least(), (int) Math.min(field.most(), 6) + 1);
        }

        /** Ends often, and all orders of size in between. */
        private static double number(Field field, SplittableRandom random) {
            double least = field.least();
            double most = field.most();
            double value =
                    switch (random.nextInt(8)) {
                        case 0 -> least;
                        case 1 -> most;
                        case 2, 3 -> least + (most - least) * random.nextDouble();
                        default -> Math.min(most, Math.max(least, Math.exp(random.nextDouble(-3, 8))));
                    };
            return field.measure().isWhole() ? Math.rint(value) : value;
        }
    }
}
