package app.chervil.core.interval;

import static app.chervil.core.interval.Courses.CANISTER;
import static app.chervil.core.interval.Courses.DAY;
import static app.chervil.core.interval.Courses.PREFILTER;
import static app.chervil.core.interval.Courses.found;
import static app.chervil.core.interval.Courses.served;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The sentences a keeper reads under a date, one history each. A canister starts at 90 days. */
class ReasonWordsTest {
    private static final String START =
            "No findings yet, so it starts from the usual 90 days, a little early because tanks differ.";

    /** It would be due after 72 days unread. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.50 | 50 | less than expected, so it comes sooner.",
                "0.75 | 75 | less than expected, so it comes sooner.",
                "0.80 | 80 | about as expected.",
                "0.90 | 90 | more than expected, so it can wait longer.",
                "1.20 | 100 | more than expected, so it can wait longer."
            })
    void a_meter_is_told_by_how_far_it_moved_the_day(double share, int percent, String says) {
        Course course = served(CANISTER);
        course.meter(new Metered(DAY.plusDays(72), share));

        assertThat(course.reasons(DAY.plusDays(73)).get(0))
                .isEqualTo("Its meter reads " + percent + " % of the clean flow, " + says);
    }

    @Test
    void a_clean_flow_soon_after_the_service_is_as_expected() {
        Course course = served(CANISTER);
        course.meter(new Metered(DAY.plusDays(5), 1));

        assertThat(course.reasons(DAY.plusDays(5)))
                .contains("Its meter reads 100 % of the clean flow, about as expected.");
    }

    @ParameterizedTest
    @CsvSource({
        "CLEAN,    0.60, The flow had suffered more than it looked.",
        "MODERATE, 0.60, The flow had suffered more than it looked.",
        "MODERATE, 0.95, The flow agrees.",
        "CLOGGED,  0.60, The flow agrees.",
        "HEAVY,    0.85, The flow had suffered less than it looked."
    })
    void the_flow_is_held_against_what_was_seen(Finding finding, double flow, String says) {
        Course course =
                served(CANISTER, Serviced.found(DAY.plusDays(75), finding).withFlow(flow));

        assertThat(course.reasons(DAY.plusDays(76))).contains(says);
    }

    @Test
    void a_surprise_that_is_not_believed_whole_says_so() {
        Course course =
                served(CANISTER, Serviced.found(DAY.plusDays(75), Finding.LIGHT).withFlow(0.5));

        assertThat(course.reasons(DAY.plusDays(76)))
                .contains("Light after 75 days; we expected moderate. It fills more slowly than we thought."
                        + " We don’t take one surprise at face value.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.5  | About 50 % less dirt than usual reaches it.",
                "0.94 | About 6 % less dirt than usual reaches it.",
                "0.96 |",
                "1.04 |",
                "1.06 | About 6 % more dirt than usual reaches it.",
                "1.99 | About 99 % more dirt than usual reaches it.",
                "2.0  | About 2 times as much dirt as usual reaches it.",
                "2.38 | About 2.4 times as much dirt as usual reaches it."
            })
    void dirt_is_told_with_the_start_where_it_is_not_the_usual(double rate, String says) {
        Course course = Course.begin(CANISTER, Start.exact(DAY), rate, Pauses.NONE);

        assertThat(course.reasons(DAY.plusDays(3)).get(0)).isEqualTo(says == null ? START : START + " " + says);
    }

    /** With so much dirt the least of 30 days is too long, and by how much is told once it is late. */
    @ParameterizedTest
    @CsvSource({
        "0.1, hardly any",
        "1,   about 1 in 5",
        "3,   about 1 in 5",
        "4.5, about 1 in 2",
        "5,   about every second one",
        "8,   most",
        "20,  nearly all"
    })
    void past_its_latest_day_the_chance_of_being_full_is_told(double rate, String chance) {
        Course course = Course.begin(CANISTER, Start.exact(DAY), rate, Pauses.NONE);

        assertThat(course.reasons(DAY.plusDays(200)))
                .last()
                .isEqualTo("By the latest day " + chance + " would already be full.");
    }

    @Test
    void of_an_unknown_age_no_chance_is_told() {
        Course course = Course.begin(CANISTER, Start.unknown(DAY), 1, Pauses.NONE);

        assertThat(course.reasons(DAY.plusDays(200)))
                .last()
                .isEqualTo("Nobody knows when it was last cleaned, so look at it first.");
    }

    @Test
    void a_limit_that_held_the_last_interval_and_holds_no_more_is_told() {
        Course longer = served(CANISTER, found(80, Finding.CLEAN), found(200, Finding.MODERATE));
        Course shorter = served(CANISTER, found(80, Finding.CLEAN), found(200, Finding.CLOGGED));
        Course unheld = served(CANISTER, found(80, Finding.MODERATE), found(160, Finding.LIGHT));
        Course still = served(CANISTER, found(80, Finding.CLEAN), found(200, Finding.CLEAN));

        assertThat(longer.reasons(DAY.plusDays(220)))
                .contains("The last one was held to 120 days; that limit is gone.");
        for (Course other : new Course[] {shorter, unheld, still}) {
            assertThat(other.reasons(DAY.plusDays(220))).noneMatch(reason -> reason.endsWith("that limit is gone."));
        }
    }

    @Test
    void what_holds_an_interval_short_is_named() {
        Course unfound = Course.begin(CANISTER, Start.exact(DAY), 0.1, Pauses.NONE);
        Course unknown = Course.begin(CANISTER, Start.unknown(DAY), 1, Pauses.NONE);
        unknown.serve(found(60, Finding.CLEAN));
        Course changed = served(CANISTER, found(60, Finding.CLEAN));
        changed.change(new ContextChange(DAY.plusDays(61), Kind.PREFILTER, 1));

        assertThat(unfound.reasons(DAY)).last().isEqualTo("Held to 135 days until something has been found.");
        assertThat(unknown.reasons(DAY.plusDays(61)))
                .last()
                .isEqualTo("Held to 135 days, because nobody knows how long it had run.");
        assertThat(changed.reasons(DAY.plusDays(62)))
                .last()
                .isEqualTo("Held to 217 days until the change is confirmed.");
    }

    @Test
    void a_gap_asks_for_the_service_that_is_missing_and_holds_to_the_plan() {
        Course gap = served(CANISTER, found(60, Finding.CLEAN), found(900, Finding.CLEAN));
        Course first = served(CANISTER, found(900, Finding.CLEAN));

        assertThat(gap.reasons(DAY.plusDays(901)))
                .containsExactly(
                        "840 days without a service is longer than this stage can last. Is a service missing from the log?"
                                + " Until you know, it teaches nothing.",
                        "Held to 108 days, as it was planned, because nobody could tell how full it was.");
        assertThat(first.reasons(DAY.plusDays(901)))
                .containsExactly("After 900 days without care its dirt says nothing of how fast it fills.");
    }

    /** Clogged within max(1.25 × 5, 14 ÷ 3) days, time and again. */
    @Test
    void a_stage_that_is_too_small_is_said_to_be() {
        Course course = served(
                PREFILTER,
                found(4, Finding.CLOGGED),
                found(8, Finding.CLOGGED),
                found(11, Finding.CLOGGED),
                found(14, Finding.CLOGGED));

        assertThat(course.reasons(DAY.plusDays(14)))
                .last()
                .isEqualTo("Full within 6 days again and again: too small for this tank."
                        + " A larger or further stage would help.");
    }

    @Test
    void how_much_a_finding_counts_is_told_while_there_are_few() {
        Course three = served(
                CANISTER, found(70, Finding.MODERATE), found(140, Finding.MODERATE), found(210, Finding.MODERATE));
        Course four = served(
                CANISTER,
                found(70, Finding.MODERATE),
                found(140, Finding.MODERATE),
                found(210, Finding.MODERATE),
                found(280, Finding.MODERATE));

        assertThat(served(CANISTER, found(70, Finding.MODERATE)).reasons(DAY.plusDays(71)))
                .contains("It counts for about 48 %, as there are few findings yet.");
        assertThat(three.reasons(DAY.plusDays(211)).get(1)).startsWith("It counts for about ");
        assertThat(four.reasons(DAY.plusDays(281))).noneMatch(reason -> reason.startsWith("It counts"));
    }
}
