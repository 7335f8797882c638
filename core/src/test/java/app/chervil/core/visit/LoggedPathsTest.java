package app.chervil.core.visit;

import static app.chervil.core.visit.Logs.DAY;
import static app.chervil.core.visit.Logs.FOAM;
import static app.chervil.core.visit.Logs.FOAM_NEW;
import static app.chervil.core.visit.Logs.LAMP;
import static app.chervil.core.visit.Logs.LATER;
import static app.chervil.core.visit.Logs.OPENING;
import static app.chervil.core.visit.Logs.OTHER_LAMP;
import static app.chervil.core.visit.Logs.PREFILTER;
import static app.chervil.core.visit.Logs.SOCK;
import static app.chervil.core.visit.Logs.book;
import static app.chervil.core.visit.Logs.canister;
import static app.chervil.core.visit.Logs.flowed;
import static app.chervil.core.visit.Logs.forecast;
import static app.chervil.core.visit.Logs.interval;
import static app.chervil.core.visit.Logs.lamp;
import static app.chervil.core.visit.Logs.opened;
import static app.chervil.core.visit.Logs.prefilter;
import static app.chervil.core.visit.Logs.service;
import static app.chervil.core.visit.Logs.sock;
import static app.chervil.core.visit.Logs.variance;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Look;
import app.chervil.core.interval.Note;
import app.chervil.core.interval.Sign;
import app.chervil.core.interval.Start;
import app.chervil.core.visit.LoggedService.Manner;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What keepers do with a log, from the first entry to the correction, and what becomes of their dates. */
class LoggedPathsTest {
    @ParameterizedTest
    @EnumSource(
            value = Finding.class,
            names = {"LIGHT", "MODERATE"})
    void an_honest_first_finding_on_a_filter_of_unknown_age_does_not_halve_its_interval(Finding finding) {
        FilterBook unknown = canister(Start.unknown(DAY), opened(0, finding));

        // counted from the day of entry it would be 72 and then at most 35 days; an unknown age is about half a start
        assertThat(interval(unknown, OPENING)).isGreaterThan(55);
    }

    @Test
    void services_entered_later_for_earlier_days_are_history() {
        FilterBook before = canister(Start.unknown(DAY), opened(0, Finding.MODERATE));
        FilterBook after = canister(
                Start.unknown(DAY),
                opened(0, Finding.MODERATE),
                opened(-75, Finding.MODERATE),
                opened(-150, Finding.MODERATE));

        assertThat(forecast(after, OPENING).basis()).isEqualTo(Forecast.Basis.LEARNED);
        assertThat(variance(after)).isLessThan(variance(before));
        assertThat(interval(after, OPENING)).isBetween(75L, 95L);
    }

    @Test
    void services_at_which_nobody_looked_never_lengthen() {
        List<LoggedService> unseen = new ArrayList<>();
        long longest = 0;
        int day = 0;
        for (int count = 0; count < 12; count++) {
            FilterBook book = canister(Start.exact(DAY), unseen.toArray(LoggedService[]::new));
            long interval = interval(book, OPENING);
            assertThat(longest == 0 || interval <= longest)
                    .as("after %d", count)
                    .isTrue();
            longest = longest == 0 ? interval : longest;
            day += (int) interval;
            unseen.add(service(day, Map.of(OPENING, Optional.empty())));
        }
    }

    @Test
    void one_service_logged_twice_counts_once() {
        FilterBook once = canister(Start.exact(DAY), opened(75, Finding.MODERATE));
        FilterBook twice = canister(Start.exact(DAY), opened(75, Finding.MODERATE), opened(75, Finding.MODERATE));

        assertThat(forecast(twice, OPENING)).isEqualTo(forecast(once, OPENING));
    }

    @Test
    void opening_again_next_day_for_a_drip_costs_nothing() {
        FilterBook once = canister(Start.exact(DAY), opened(75, Finding.MODERATE));
        FilterBook again = canister(Start.exact(DAY), opened(75, Finding.MODERATE), opened(76, Finding.CLEAN));
        FilterBook drip = canister(
                Start.exact(DAY),
                opened(75, Finding.MODERATE),
                new LoggedService(
                        DAY.plusDays(95),
                        Map.of(OPENING, Optional.empty()),
                        Optional.empty(),
                        Optional.empty(),
                        new Manner(true, false, false, Manner.USUAL.eye())));

        assertThat(interval(again, OPENING)).isEqualTo(interval(once, OPENING));
        assertThat(forecast(drip, OPENING)).isEqualTo(forecast(once, OPENING));
    }

    @ParameterizedTest
    @ValueSource(doubles = {600, 880})
    void light_foam_with_collapsed_flow_is_a_fault_and_not_dirt(double after) {
        LoggedService clean = service(10, Map.of(OPENING, Optional.empty(), PREFILTER, Optional.empty()), 0, 900);
        FilterBook measured = canister(Start.exact(DAY), clean, flowed(85, Finding.LIGHT, 300, after));
        FilterBook unmeasured = canister(Start.exact(DAY), clean, opened(85, Finding.LIGHT));

        assertThat(measured.notes(LATER)).contains(Note.FLOW_UNEXPLAINED);
        assertThat(forecast(measured, OPENING).window())
                .isEqualTo(forecast(unmeasured, OPENING).window());
    }

    @Test
    void a_clogged_prefilter_is_not_held_against_the_canister() {
        LoggedService clean = service(10, Map.of(OPENING, Optional.empty(), PREFILTER, Optional.empty()), 0, 900);
        LoggedService clogged = service(40, Map.of(PREFILTER, Optional.of(Finding.CLOGGED)), 450, 880);
        FilterBook quiet = canister(Start.exact(DAY), clean);
        FilterBook told = canister(Start.exact(DAY), clean, clogged);

        assertThat(forecast(told, OPENING).window())
                .isEqualTo(forecast(quiet, OPENING).window());
    }

    @Test
    void replaced_foam_starts_its_rinse_anew_and_the_canister_was_open() {
        FilterBook book = canister(
                Start.exact(DAY), opened(60, Finding.MODERATE), service(100, Map.of(FOAM_NEW, Optional.empty())));

        assertThat(forecast(book, FOAM).since()).isEqualTo(DAY.plusDays(100));
        assertThat(forecast(book, OPENING).since()).isEqualTo(DAY.plusDays(100));
        assertThat(book.notes(LATER)).contains(Note.RENEWED, Note.OPENING_IMPLIED);
    }

    @Test
    void an_inner_foam_logged_alone_opens_its_canister() {
        FilterBook book = canister(Start.exact(DAY), service(75, Map.of(FOAM, Optional.of(Finding.MODERATE))));

        assertThat(forecast(book, OPENING).since()).isEqualTo(DAY.plusDays(75));
        assertThat(forecast(book, FOAM).window())
                .isEqualTo(forecast(book, OPENING).window());
    }

    @Test
    void a_fitting_day_edited_later_drops_no_history() {
        LoggedService first = service(20, Map.of(PREFILTER, Optional.of(Finding.HEAVY)));
        FilterBook before = canister(Start.exact(DAY), first);
        FilterBook edited = book(
                List.of(prefilter(Start.exact(DAY), Optional.of(DAY.plusDays(30)))),
                List.of(first),
                FilterKind.CANISTER);

        assertThat(forecast(edited, PREFILTER).basis()).isEqualTo(Forecast.Basis.LEARNED);
        assertThat(forecast(edited, PREFILTER).since()).isEqualTo(DAY.plusDays(30));
        assertThat(interval(edited, PREFILTER)).isEqualTo(interval(before, PREFILTER));
    }

    @Test
    void a_sock_that_runs_over_again_and_again_is_told_to_be_too_small() {
        List<LoggedService> full = new ArrayList<>();
        for (int day = 3; day <= 12; day += 3) {
            full.add(service(day, Map.of(SOCK, Optional.of(Finding.CLOGGED))));
        }
        FilterBook book = book(List.of(sock()), full, FilterKind.SUMP);

        assertThat(interval(book, SOCK)).isLessThan(4);
        assertThat(book.forecasts(DAY.plusDays(12)).get(SOCK).reasons())
                .last()
                .isEqualTo(
                        "Full within 5 days again and again: too small for this tank. A larger or further stage would"
                                + " help.");
    }

    @Test
    void a_lamp_found_dark_and_replaced_the_same_day_is_new() {
        Look dark = new Look(DAY.plusDays(100), Sign.DARK, 0);
        FilterBook book = book(
                List.of(lamp(LAMP, Optional.of(DAY), dark)),
                List.of(service(100, Map.of(LAMP, Optional.empty()))),
                FilterKind.UV_UNIT);

        assertThat(forecast(book, LAMP).window().ideal()).isEqualTo(DAY.plusDays(100 + 356));
    }

    @Test
    void one_of_twin_lamps_replaced_is_due_in_its_own_time() {
        FilterBook book = book(
                List.of(lamp(LAMP, Optional.of(DAY)), lamp(OTHER_LAMP, Optional.of(DAY))),
                List.of(service(350, Map.of(LAMP, Optional.empty()))),
                FilterKind.UV_UNIT);

        assertThat(forecast(book, LAMP).window().ideal()).isEqualTo(DAY.plusDays(350 + 356));
        assertThat(forecast(book, OTHER_LAMP).window().ideal()).isEqualTo(DAY.plusDays(356));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void neither_order_nor_names_nor_the_calendar_nor_a_slip_taken_back_change_a_date(long seed) {
        Random random = new Random(seed);
        List<LoggedService> log = randomLog(random);
        FilterBook told = canister(Start.about(DAY, 0.3), log.toArray(LoggedService[]::new));

        List<LoggedService> shuffled = new ArrayList<>(log);
        Collections.shuffle(shuffled, random);
        FilterBook anyOrder = canister(Start.about(DAY, 0.3), shuffled.toArray(LoggedService[]::new));
        assertThat(anyOrder.forecasts(LATER)).isEqualTo(told.forecasts(LATER));

        List<LoggedService> slipped = new ArrayList<>(log);
        slipped.add(randomLog(random).get(0));
        slipped.remove(slipped.size() - 1);
        FilterBook takenBack = canister(Start.about(DAY, 0.3), slipped.toArray(LoggedService[]::new));
        assertThat(takenBack.forecasts(LATER)).isEqualTo(told.forecasts(LATER));

        List<LoggedService> shifted = log.stream()
                .map(one -> new LoggedService(
                        one.on().plusDays(100), one.done(), one.flowBefore(), one.flowAfter(), one.manner()))
                .toList();
        FilterBook later = canister(Start.about(DAY.plusDays(100), 0.3), shifted.toArray(LoggedService[]::new));
        assertThat(interval(later, OPENING)).isEqualTo(interval(told, OPENING));
        assertThat(interval(later, PREFILTER)).isEqualTo(interval(told, PREFILTER));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void more_dirt_at_the_last_opening_never_lengthens_whatever_came_before(long seed) {
        Random random = new Random(seed);
        for (int trial = 0; trial < 100; trial++) {
            List<LoggedService> log = randomLog(random);
            int day = 1
                    + (int) ChronoUnit.DAYS.between(
                            DAY,
                            log.stream()
                                    .map(LoggedService::on)
                                    .max(LocalDate::compareTo)
                                    .orElseThrow())
                    + random.nextInt(120);
            long cleaner = Long.MAX_VALUE;
            for (Finding finding : Finding.values()) {
                List<LoggedService> told = new ArrayList<>(log);
                told.add(opened(day, finding));
                long interval = interval(canister(Start.exact(DAY), told.toArray(LoggedService[]::new)), OPENING);
                assertThat(interval)
                        .as("seed %d trial %d %s", seed, trial, finding)
                        .isLessThanOrEqualTo(cleaner);
                cleaner = interval;
            }
        }
    }

    private static List<LoggedService> randomLog(Random random) {
        List<LoggedService> log = new ArrayList<>();
        int day = 0;
        for (int count = 3 + random.nextInt(5); count > 0; count--) {
            day += 5 + random.nextInt(70);
            Optional<Finding> finding =
                    random.nextInt(4) == 0 ? Optional.empty() : Optional.of(Finding.ofGrade(random.nextInt(5)));
            log.add(
                    random.nextInt(3) == 0
                            ? service(day, Map.of(PREFILTER, finding))
                            : service(day, Map.of(OPENING, Optional.empty(), FOAM, finding)));
            if (random.nextInt(6) == 0) {
                log.add(service(day, Map.of(FOAM, finding)));
            }
        }
        return log;
    }
}
