package app.chervil.core.interval;

import static app.chervil.core.interval.Courses.CANISTER;
import static app.chervil.core.interval.Courses.DAY;
import static app.chervil.core.interval.Courses.PREFILTER;
import static app.chervil.core.interval.Courses.found;
import static app.chervil.core.interval.Courses.served;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What each event makes of a course: docs/sources.md#learning. A canister starts at 90 days, a pre-filter at 14. */
class CourseTest {

    @Nested
    class So_soon_after_a_service {
        /** min(3, 0.15 × 90) = 3 days for a canister, min(3, 0.15 × 14) = 2 for a pre-filter. */
        @ParameterizedTest
        @CsvSource({"1, true", "3, true", "4, false"})
        void a_canister_opened_again_within_three_days_is_the_same_service(int days, boolean same) {
            Course course = served(CANISTER, found(80, Finding.MODERATE), found(80 + days, Finding.MODERATE));

            assertThat(course.findings()).isEqualTo(same ? 1 : 2);
            assertThat(course.notes().contains(Note.MERGED)).isEqualTo(same);
            assertThat(course.run().since()).isEqualTo(DAY.plusDays(80L + days));
        }

        @ParameterizedTest
        @CsvSource({"2, true", "3, false"})
        void a_pre_filter_within_two(int days, boolean same) {
            assertThat(served(PREFILTER, found(12, Finding.MODERATE), found(12 + days, Finding.MODERATE))
                            .findings())
                    .isEqualTo(same ? 1 : 2);
        }

        @Test
        void it_begins_the_run_anew_and_believes_what_it_did() {
            Course once = served(CANISTER, found(80, Finding.MODERATE));
            Belief believed = once.belief();
            Window.Days wanted = once.decision().days();
            once.serve(found(82, Finding.HEAVY));

            assertThat(once.belief()).isEqualTo(believed);
            assertThat(once.decision().days()).isEqualTo(wanted);
            assertThat(once.window().ideal()).isEqualTo(DAY.plusDays(82 + Math.round(wanted.ideal())));
        }

        @Test
        void one_that_is_known_to_be_apart_teaches_for_itself() {
            Serviced apart = new Serviced(
                    DAY.plusDays(82), Optional.of(Finding.LIGHT), OptionalDouble.empty(), CalibratedEye.UNTESTED, true);

            assertThat(served(CANISTER, found(80, Finding.MODERATE), apart).findings())
                    .isEqualTo(2);
        }

        @Test
        void after_a_start_that_nobody_knows_it_teaches_too() {
            Course course = Course.begin(CANISTER, Start.unknown(DAY), 1, Pauses.NONE);
            course.serve(found(2, Finding.MODERATE));

            assertThat(course.findings()).isEqualTo(1);
            assertThat(course.notes()).contains(Note.START_UNKNOWN).doesNotContain(Note.MERGED);
        }

        @Test
        void full_once_it_is_asked_about_and_full_again_it_is_believed() {
            Course course = served(PREFILTER, found(12, Finding.MODERATE), found(14, Finding.HEAVY));

            assertThat(course.notes()).contains(Note.SOON_FULL).doesNotContain(Note.MERGED);
            assertThat(course.findings()).isEqualTo(1);
            course.serve(found(16, Finding.CLOGGED));
            assertThat(course.findings()).isEqualTo(2);
        }

        @Test
        void light_after_that_belongs_to_it_still_and_then_nothing_is_left_of_the_alarm() {
            Course course = served(
                    PREFILTER,
                    found(12, Finding.MODERATE),
                    found(14, Finding.HEAVY),
                    found(16, Finding.MODERATE),
                    found(18, Finding.HEAVY));

            assertThat(course.findings()).isEqualTo(1);
            assertThat(course.notes()).contains(Note.SOON_FULL, Note.MERGED);
        }

        @Test
        void a_pre_filter_that_was_planned_so_soon_is_learned_from() {
            Course course = Course.begin(PREFILTER, DAY, StartingLoad.NORMAL);
            IntStream.rangeClosed(1, 12).forEach(time -> course.serve(found(3 * time, Finding.CLOGGED)));
            double earliest = course.decision().days().earliest();
            int findings = course.findings();
            course.serve(found(38, Finding.HEAVY));

            assertThat(earliest).isLessThan(2);
            assertThat(course.findings()).isEqualTo(findings + 1);
        }
    }

    @Nested
    class After_a_gap {
        /** Its ceiling is 365 days: after 730 a service is likely missing. */
        @ParameterizedTest
        @CsvSource({"730, false", "731, true"})
        void of_more_than_twice_the_ceiling_nothing_is_learned(int days, boolean gap) {
            Course course = served(CANISTER, found(days, Finding.LIGHT));

            assertThat(course.notes().contains(Note.LONG_GAP)).isEqualTo(gap);
            assertThat(course.belief().mean() > Belief.prior(90).mean()).isNotEqualTo(gap);
        }

        @Test
        void it_is_asked_about_where_a_service_stands_at_its_beginning() {
            Course first = served(CANISTER, found(750, Finding.HEAVY));
            Course second = served(CANISTER, found(80, Finding.MODERATE), found(850, Finding.HEAVY));

            assertThat(first.gapBefore(DAY.plusDays(750), true)).isTrue();
            assertThat(first.gapBefore(DAY.plusDays(750), false)).isFalse();
            assertThat(second.gapBefore(DAY.plusDays(850), false)).isTrue();
            assertThat(second.gapBefore(DAY.plusDays(849), true)).isFalse();
            assertThat(served(CANISTER, found(80, Finding.MODERATE)).gapBefore(DAY.plusDays(80), true))
                    .isFalse();
        }

        @Test
        void or_without_a_look_the_next_is_no_longer_than_this_one_was_planned() {
            Course unseen = served(CANISTER, Serviced.unseen(DAY.plusDays(200)));
            Course gap = served(CANISTER, found(750, Finding.CLEAN));
            double planned = Course.begin(CANISTER, DAY, StartingLoad.NORMAL)
                    .decision()
                    .days()
                    .ideal();

            assertThat(unseen.decision().days().ideal()).isLessThanOrEqualTo(planned);
            assertThat(gap.decision().days().ideal()).isLessThanOrEqualTo(planned);
            assertThat(unseen.notes()).contains(Note.NO_FINDING);
        }
    }

    @Nested
    class A_replacement {
        @Test
        void begins_the_run_anew_and_forgets_its_meter_its_changes_and_its_last_lesson() {
            Course course = served(CANISTER, found(80, Finding.MODERATE));
            course.change(new ContextChange(DAY.plusDays(90), Kind.STOCKING, 1));
            course.meter(new Metered(DAY.plusDays(100), 0.7));
            course.renew(DAY.plusDays(110));

            assertThat(course.run().since()).isEqualTo(DAY.plusDays(110));
            assertThat(course.metered()).isEmpty();
            assertThat(course.changesInRun()).isEmpty();
            assertThat(course.lesson()).isEmpty();
            assertThat(course.notes()).contains(Note.RENEWED);
        }

        @Test
        void on_the_day_of_a_service_is_part_of_it() {
            Course course = served(CANISTER, found(80, Finding.MODERATE));
            course.renew(DAY.plusDays(80));

            assertThat(course.lesson()).isPresent();
            assertThat(course.notes()).doesNotContain(Note.RENEWED);
        }
    }

    @Nested
    class The_present_run {
        /** 2.3 × 1.4 a day; half of the stages are full after 150 days at the usual rate. */
        @Test
        void counts_the_dirt_that_reached_it() {
            Course course = Course.begin(CANISTER, DAY, new StartingLoad(Stocking.OVER, Feeding.HEAVY, false, false));

            assertThat(course.exposureOn(DAY.plusDays(10))).isCloseTo(32.2, within(1e-9));
            assertThat(course.logLoadingOn(DAY.plusDays(10))).isCloseTo(Math.log(32.2 / 150), within(1e-9));
        }

        @Test
        void is_moved_by_its_meter_and_what_would_be_without_it_is_known() {
            Course course = Course.begin(CANISTER, DAY, StartingLoad.NORMAL);
            Decision before = course.decision();
            course.meter(new Metered(DAY.plusDays(50), 0.6));

            assertThat(course.metered()).contains(new Metered(DAY.plusDays(50), 0.6));
            assertThat(course.decision().days().ideal())
                    .isLessThan(before.days().ideal());
            assertThat(course.unmetered()).isEqualTo(before);
        }

        @Test
        void keeps_the_changes_until_it_is_served() {
            Course course = Course.begin(CANISTER, DAY, StartingLoad.NORMAL);
            ContextChange change = new ContextChange(DAY.plusDays(10), Kind.FEEDING, 1);
            course.change(change);

            assertThat(course.changesInRun()).containsExactly(change);
            course.serve(found(60, Finding.MODERATE));
            assertThat(course.changesInRun()).isEmpty();
        }

        /** From an unknown start the plan alone may grow, from a known one also the days it ran. */
        @Test
        void may_last_half_as_long_again_as_the_one_before() {
            Course known = served(CANISTER, found(200, Finding.CLEAN));
            Course unknown = Course.begin(CANISTER, Start.unknown(DAY), 1, Pauses.NONE);
            double planned = unknown.decision().days().ideal();
            double limit = unknown.run().limitDays();
            unknown.serve(found(200, Finding.CLEAN));

            assertThat(known.run().limitDays()).isCloseTo(300, within(1e-9));
            assertThat(unknown.run().limitDays()).isCloseTo(Math.max(limit, 1.5 * planned), within(1e-9));
        }
    }

    @Test
    void clean_early_and_clogged_late_are_no_news() {
        Course early = served(CANISTER, found(8, Finding.CLEAN));
        Course late = served(CANISTER, found(290, Finding.CLOGGED));

        assertThat(early.notes()).containsExactly(Note.EARLY_CLEAN);
        assertThat(late.notes()).containsExactly(Note.LATE_FULL);
        assertThat(early.belief().mean()).isEqualTo(Belief.prior(90).mean());
        assertThat(late.belief().mean()).isEqualTo(Belief.prior(90).mean());
    }

    /** More dirt never makes an interval longer, on whatever day it is seen and however it is held. */
    @Test
    void clean_is_believed_at_least_as_far_as_light() {
        for (int days = 5; days < 730; days += 5) {
            assertThat(served(CANISTER, found(days, Finding.CLEAN)).window().ideal())
                    .as("after %d days", days)
                    .isAfterOrEqualTo(served(CANISTER, found(days, Finding.LIGHT))
                            .window()
                            .ideal());
        }
    }

    /** A pre-filter is small when it was clogged twice running within max(1.25 × 5, 14 ÷ 3) = 6.25 days. */
    @ParameterizedTest
    @CsvSource({
        "6 CLOGGED 6 CLOGGED,           true",
        "7 CLOGGED 7 CLOGGED,           false",
        "6 CLOGGED,                     false",
        "6 CLOGGED 6 HEAVY 6 CLOGGED,   false",
        "6 CLOGGED 6 NONE 6 CLOGGED,    true",
        "6 CLOGGED 6 CLOGGED 6 HEAVY,   true",
        "1 CLOGGED 1 CLOGGED 9 HEAVY,   false"
    })
    void full_so_soon_twice_running_it_is_too_small_until_it_lasts(String runs, boolean small) {
        String[] told = runs.split(" ");
        FullRuns full = FullRuns.NONE;
        for (int i = 0; i < told.length; i += 2) {
            Optional<Finding> found =
                    told[i + 1].equals("NONE") ? Optional.empty() : Optional.of(Finding.valueOf(told[i + 1]));
            full = full.after(found, Integer.parseInt(told[i]), PREFILTER, true);
        }

        assertThat(full.small()).isEqualTo(small);
    }

    @Test
    void clogged_after_an_unknown_time_says_nothing_of_its_size() {
        FullRuns once = FullRuns.NONE.after(Optional.of(Finding.CLOGGED), 3, PREFILTER, true);

        assertThat(once.after(Optional.of(Finding.CLOGGED), 3, PREFILTER, false))
                .isEqualTo(once);
    }
}
