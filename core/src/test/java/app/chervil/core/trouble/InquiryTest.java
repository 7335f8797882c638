package app.chervil.core.trouble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What holds for every case; properties by seeded cases, more of them with {@code -Dchervil.thorough=true}. */
class InquiryTest {
    private static final int CASES = Boolean.getBoolean("chervil.thorough") ? 300 : 120;
    private static final Network NETWORK = Network.standard();

    @Test
    void the_network_names_nothing_that_is_not_there() {
        assertThat(NETWORK.loose()).isEmpty();
    }

    @Test
    void every_number_of_the_network_has_its_reason() {
        Stream<String> reasons = Stream.of(
                        NETWORK.judged().values().stream().map(Network.Judgement::because),
                        NETWORK.causes().stream().map(Cause::because),
                        NETWORK.questions().stream().map(Question::because))
                .flatMap(all -> all);

        assertThat(reasons).allMatch(because -> because.endsWith("."));
    }

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void every_kind_of_filter_has_its_complaints_and_each_finds_a_first_step(FilterKind kind) {
        List<Complaint> complaints = NETWORK.complaints().stream()
                .filter(one -> one.kinds().contains(kind))
                .toList();

        assertThat(complaints).isNotEmpty();
        for (Complaint complaint : complaints) {
            assertThat(Inquiry.of(NETWORK, RandomCase.bare(kind), complaint.id())
                            .after(List.of()))
                    .isNotNull();
        }
    }

    @Test
    void every_danger_that_can_lie_behind_a_complaint_is_asked_about_first() {
        for (Complaint complaint : NETWORK.complaints()) {
            for (Cause cause : NETWORK.causes()) {
                boolean shows = cause.shows().getOrDefault(complaint.id(), 0.0) > 0.03;
                if (shows && cause.danger().power() > 0 && !cause.id().equals("no-power")) {
                    assertThat(complaint.perils())
                            .as(complaint.id() + " with " + cause.id())
                            .contains("danger-power");
                }
            }
        }
    }

    @Test
    void whatever_is_told_the_chances_stay_a_share() {
        RandomCase.each(CASES, one -> {
            double[] belief = one.belief();

            assertThat(Arrays.stream(belief).sum()).isCloseTo(1, within(1e-9));
            assertThat(one.standing().causes())
                    .allMatch(likely -> likely.probability() >= 0 && likely.probability() <= 1 + 1e-9);
        });
    }

    @Test
    void the_order_of_answers_makes_no_difference() {
        RandomCase.each(CASES, one -> {
            List<Step> turned = new ArrayList<>(one.steps());
            Collections.shuffle(turned, new Random(one.seed()));

            Standing here = one.inquiry().after(turned);

            Map<String, Double> there = RandomCase.byCause(one.standing());
            RandomCase.byCause(here)
                    .forEach((cause, share) -> assertThat(share).isCloseTo(there.get(cause), within(1e-9)));
        });
    }

    @Test
    void an_answer_that_a_cause_never_gives_lowers_it() {
        RandomCase.each(CASES, one -> {
            Question question = one.anyQuestion();
            Cause cause = one.likeliest();
            int never = question.answers().size() - 1;
            Map<String, List<Double>> rows = new HashMap<>(question.rows());
            rows.put(cause.id(), RandomCase.allButTheLast(question.answers().size()));
            Inquiry inquiry = one.asking(question.with(rows));
            int alone = inquiry.hypotheses().causes().indexOf(cause);

            double before = inquiry.belief(Map.of(), Map.of())[alone];
            double after = inquiry.belief(
                            Map.of(question.id(), question.answers().get(never).id()), Map.of())[alone];

            assertThat(after).as(question.id() + " under " + cause.id()).isLessThan(before);
        });
    }

    @Test
    void not_knowing_changes_no_chance() {
        RandomCase.each(CASES, one -> {
            List<Step> more = new ArrayList<>(one.steps());
            NETWORK.questions().stream()
                    .filter(question -> one.steps().stream()
                            .noneMatch(step -> step instanceof Step.Answered said
                                    && said.question().equals(question.id())))
                    .limit(5)
                    .forEach(question -> more.add(new Step.Answered(question.id(), Step.DONT_KNOW)));

            assertThat(one.inquiry().after(more).causes())
                    .isEqualTo(one.standing().causes());
        });
    }

    @Test
    void a_case_always_comes_to_an_end() {
        RandomCase.each(CASES, one -> {
            List<Step> steps = new ArrayList<>();
            Random luck = new Random(one.seed());
            for (int i = 0; i < 140; i++) {
                Next next = one.inquiry().after(steps).next();
                if (next instanceof Next.Stop
                        || next instanceof Next.Solved
                        || (next instanceof Next.Mend mend && mend.repair().id().equals(Repair.ASK_OTHERS))) {
                    return;
                }
                steps.add(RandomCase.reply(next, luck));
            }
            assertThat(steps).as("a case of 140 steps").isEmpty();
        });
    }

    @Test
    void nothing_is_asked_or_tried_twice() {
        RandomCase.each(CASES, one -> {
            List<Step> steps = new ArrayList<>();
            Set<String> seen = new HashSet<>();
            Random luck = new Random(one.seed());
            for (int i = 0; i < 10; i++) {
                Next next = one.inquiry().after(steps).next();
                if (next instanceof Next.Stop || next instanceof Next.Solved) {
                    return;
                }
                if (!(next instanceof Next.Mend mend && mend.repair().id().equals(Repair.ASK_OTHERS))) {
                    assertThat(seen.add(Cases.words(next)))
                            .as(Cases.words(next))
                            .isTrue();
                }
                steps.add(RandomCase.reply(next, luck));
            }
        });
    }

    @ParameterizedTest
    @CsvSource({"danger-power, yes", "danger-power, dont-know", "danger-animals, yes"})
    void a_danger_stops_everything_whatever_else_was_told(String peril, String answer) {
        Inquiry inquiry = Inquiry.of(NETWORK, RandomCase.bare(FilterKind.CANISTER), "no-flow");
        List<Step> steps = new ArrayList<>(List.of(new Step.Answered("pump-sound", "hums")));
        if (peril.equals("danger-animals")) {
            steps.add(new Step.Asked("danger-power", Peril.NO));
        }
        steps.add(new Step.Asked(peril, answer));
        steps.add(new Step.Answered("power", "off"));

        assertThat(inquiry.after(steps).next()).isInstanceOf(Next.Stop.class);
    }

    @Test
    void a_pump_too_hot_to_hold_is_taken_out_of_use_at_once() {
        Inquiry inquiry = Inquiry.of(NETWORK, RandomCase.bare(FilterKind.CANISTER), "stops");

        Next next = inquiry.after(List.of(
                        new Step.Asked("danger-power", "no"),
                        new Step.Asked("danger-animals", "no"),
                        new Step.Answered("pattern", "daily"),
                        new Step.Answered("pump-warm", "hot")))
                .next();

        assertThat(next).isEqualTo(new Next.Mend(NETWORK.repair("retire-pump").orElseThrow(), Next.Because.ALARM));
    }

    @Test
    void an_impeller_cleaned_longer_ago_is_never_less_suspected_of_slime_and_lime() {
        double before = 0;
        for (int days : new int[] {5, 60, 120, 240, 410, 2000}) {
            FilterHistory history = new FilterHistory(
                    FilterKind.CANISTER,
                    RandomCase.bare(FilterKind.CANISTER).stages(),
                    Map.of(),
                    Map.of(Feature.DAYS_SINCE_IMPELLER, (double) days),
                    FilterHistory.Readings.NONE);
            Map<String, Double> likely =
                    RandomCase.byCause(Inquiry.of(NETWORK, history, "noise").after(List.of()));
            double now = likely.get("impeller-dirty") + likely.get("impeller-lime");

            assertThat(now).isGreaterThanOrEqualTo(before);
            before = now;
        }
    }

    @Test
    void the_reason_for_a_dirty_impeller_is_its_days() {
        FilterHistory history = new FilterHistory(
                FilterKind.CANISTER,
                RandomCase.bare(FilterKind.CANISTER).stages(),
                Map.of(),
                Map.of(Feature.DAYS_SINCE_IMPELLER, 410.0),
                FilterHistory.Readings.NONE);

        Explanation why = Inquiry.of(NETWORK, history, "noise")
                .explain("impeller-dirty", List.of(new Step.Answered("noise-kind", "rattle")));

        assertThat(why.because().get(0)).isInstanceOfSatisfying(Explanation.Ground.Known.class, record -> {
            assertThat(record.value()).isEqualTo(410);
            assertThat(record.why()).contains("{days}");
        });
        assertThat(why.because()).hasSizeLessThanOrEqualTo(3);
    }

    @Test
    void soft_water_speaks_against_lime() {
        FilterHistory history = new FilterHistory(
                FilterKind.INTERNAL,
                Set.of(StageKind.IMPELLER),
                Map.of(),
                Map.of(Feature.HARD_OR_MARINE, 0.0),
                FilterHistory.Readings.NONE);

        Explanation why = Inquiry.of(NETWORK, history, "noise").explain("impeller-lime", List.of());

        assertThat(why.against()).get().isInstanceOfSatisfying(Explanation.Ground.Known.class, record -> assertThat(
                        record.why())
                .isEqualTo("the water is soft and fresh"));
    }

    @ParameterizedTest
    @CsvSource({
        "rinse-prefilter, DIRT",
        "clean-impeller, IGNORE_FLOW",
        "replace-pump, IGNORE_FLOW_AND_GRADE",
        "leave-alone, NO_EVIDENCE",
        "exit, IGNORE_FLOW"
    })
    void what_was_mended_says_what_is_learned(String repair, Bearing counts) {
        Inquiry inquiry = Inquiry.of(NETWORK, RandomCase.bare(FilterKind.CANISTER), "no-flow");

        assertThat(inquiry.bearing(List.of(new Step.Tried(repair, Step.Outcome.SOLVED))))
                .isEqualTo(counts);
    }

    @Test
    void a_repair_that_helped_partly_counts_and_one_that_did_not_does_not() {
        Inquiry inquiry = Inquiry.of(NETWORK, RandomCase.bare(FilterKind.CANISTER), "weak-flow");
        Step rinsed = new Step.Tried("rinse-prefilter", Step.Outcome.SOLVED);

        assertThat(inquiry.bearing(List.of(new Step.Tried("clean-impeller", Step.Outcome.PARTLY), rinsed)))
                .isEqualTo(Bearing.IGNORE_FLOW);
        assertThat(inquiry.bearing(List.of(new Step.Tried("clean-impeller", Step.Outcome.NO_CHANGE), rinsed)))
                .isEqualTo(Bearing.DIRT);
        assertThat(inquiry.bearing(List.of())).isEqualTo(Bearing.IGNORE_FLOW);
    }

    @ParameterizedTest
    @CsvSource({
        "DIRT, DIRT, DIRT",
        "DIRT, NO_EVIDENCE, IGNORE_FLOW",
        "IGNORE_FLOW, DIRT, IGNORE_FLOW",
        "DIRT, IGNORE_FLOW_AND_GRADE, IGNORE_FLOW_AND_GRADE",
        "NO_EVIDENCE, NO_EVIDENCE, NO_EVIDENCE"
    })
    void of_two_causes_dirt_alone_is_learned_as_dirt(Bearing one, Bearing other, Bearing both) {
        assertThat(one.and(other)).isEqualTo(both);
    }

    @Test
    void a_complaint_of_another_kind_of_filter_is_refused() {
        assertThatThrownBy(() -> Inquiry.of(NETWORK, RandomCase.bare(FilterKind.CANISTER), "sump-falls"))
                .isInstanceOfSatisfying(
                        Inquiry.Unfit.class, unfit -> assertThat(unfit.field()).isEqualTo("complaint"));
    }

    @Test
    void unknown_questions_answers_and_repairs_are_refused_by_name() {
        Inquiry inquiry = Inquiry.of(NETWORK, RandomCase.bare(FilterKind.CANISTER), "noise");
        Map<Step, String> refused = Map.of(
                new Step.Answered("colour", "red"), "question",
                new Step.Answered("onset", "red"), "answer",
                new Step.Asked("danger-shark", "no"), "peril",
                new Step.Asked("danger-power", "maybe"), "answer",
                new Step.Tried("kick-it", Step.Outcome.SOLVED), "repair");

        refused.forEach((step, field) -> assertThatThrownBy(() -> inquiry.after(List.of(step)))
                .isInstanceOfSatisfying(
                        Inquiry.Unfit.class, unfit -> assertThat(unfit.field()).isEqualTo(field)));
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, -0.001})
    void no_history_holds_what_cannot_be(double value) {
        assertThatThrownBy(() -> history(Map.of(Touch.LID, value), Map.of())).hasMessageContaining("touched.LID");
        assertThatThrownBy(() -> history(Map.of(), Map.of(Feature.PUMP_AGE_DAYS, value)))
                .hasMessageContaining("pumpAgeDays");
        assertThatThrownBy(() ->
                        new FilterHistory.Readings(OptionalDouble.of(value), Optional.empty(), OptionalDouble.empty()))
                .hasMessageContaining("flowRatio");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.5, 4.5, 5, -1})
    void a_grade_is_a_whole_number_from_0_to_4(double grade) {
        assertThatThrownBy(() -> history(Map.of(), Map.of(Feature.FOAM_LAST_GRADE, grade)))
                .hasMessageContaining("foamLastGrade");
    }

    @Test
    void shares_count_up_to_3_and_days_up_to_3650() {
        FilterHistory history = history(Map.of(), Map.of(Feature.PAD_LOADING, 9.0, Feature.PUMP_AGE_DAYS, 90_000.0));

        assertThat(history.of(Feature.PAD_LOADING)).hasValue(3);
        assertThat(history.of(Feature.PUMP_AGE_DAYS)).hasValue(3650);
    }

    @Test
    void counted_cases_of_a_site_move_its_rates() {
        Network weighed = NETWORK.weighing(Map.of("impeller-worn", 3.0));

        assertThat(weighed.cause("impeller-worn").orElseThrow().rate()).isEqualTo(4.5);
        assertThat(weighed.cause("impeller-dirty")).isEqualTo(NETWORK.cause("impeller-dirty"));
    }

    private static FilterHistory history(Map<Touch, Double> touched, Map<Feature, Double> features) {
        return new FilterHistory(
                FilterKind.CANISTER,
                Set.of(),
                touched,
                features.isEmpty() ? Map.of() : new EnumMap<>(features),
                FilterHistory.Readings.NONE);
    }
}
