package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.interval.TaskSetting.By;
import app.chervil.core.interval.TaskSetting.Fixed;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.Stocking;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class ForecasterTest {
    private static final LocalDate START = LocalDate.of(2026, 6, 1);
    private static final CareRule PREFILTER = rule(StageKind.PREFILTER_SPONGE, CareAction.RINSE);
    private static final CareRule FOAM = rule(StageKind.COARSE_FOAM, CareAction.RINSE);
    private static final CareRule LAMP = rule(StageKind.UV_LAMP, CareAction.REPLACE);
    private static final CareRule CANISTER = CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
            .orElseThrow();

    @Test
    void before_any_finding_the_start_is_the_reason() {
        Forecast forecast = forecast(FOAM);

        assertThat(forecast.basis()).isEqualTo(Basis.START);
        assertThat(forecast.window().ideal()).isEqualTo(START.plusDays(50));
        assertThat(forecast.reasons())
                .containsExactly(
                        "No findings yet, so it starts from the usual 60 days, a little early because tanks differ.");
    }

    @Test
    void less_or_more_dirt_than_usual_is_told_with_the_start_unless_a_change_tells_it() {
        Forecast less = Forecaster.forecast(
                FOAM,
                new Learned(),
                history(new StartingLoad(Stocking.NORMAL, Feeding.NORMAL, true, false), List.of(), List.of()),
                START.plusDays(1));
        Forecast more = Forecaster.forecast(
                FOAM,
                new Learned(),
                history(new StartingLoad(Stocking.OVER, Feeding.HEAVY, false, false), List.of(), List.of()),
                START.plusDays(1));
        ContextChange added = new ContextChange(START.plusDays(3), Kind.PREFILTER, 1);
        Forecast changed = Forecaster.forecast(
                FOAM, new Learned(), history(StartingLoad.NORMAL, List.of(), List.of(added)), START.plusDays(9));

        assertThat(less.reasons().get(0)).endsWith("because tanks differ. About 70 % less dirt than usual reaches it.");
        assertThat(more.reasons().get(0))
                .endsWith("because tanks differ. About 3.2 times as much dirt as usual reaches it.");
        assertThat(changed.reasons()).noneMatch(reason -> reason.contains("dirt than usual"));
    }

    @Test
    void a_heavy_finding_shortens_the_interval_and_is_named() {
        Forecast forecast = forecast(PREFILTER, Serviced.found(START.plusDays(10), Finding.HEAVY));

        assertThat(forecast.window().ideal()).isBefore(START.plusDays(10 + 12));
        assertThat(forecast.reasons().get(0))
                .isEqualTo("Heavy after 10 days; we expected moderate. It fills faster than we thought.");
        assertThat(forecast.reasons().get(1)).startsWith("It counts for about 4");
    }

    @Test
    void a_clean_finding_lengthens_it_but_only_to_one_and_a_half_times() {
        Forecast forecast = forecast(FOAM, Serviced.found(START.plusDays(80), Finding.CLEAN));

        assertThat(forecast.window().ideal()).isEqualTo(START.plusDays(80 + 120));
        assertThat(forecast.reasons())
                .last()
                .isEqualTo("Held to 120 days: it grows by half at most from one service to the next.");
    }

    @Test
    void opened_early_and_clean_says_little() {
        Forecast forecast = forecast(CANISTER, Serviced.found(START.plusDays(8), Finding.CLEAN));

        assertThat(forecast.reasons()).contains("Opened early and still clean, so it tells us little.");
    }

    @Test
    void a_prefilter_is_told_with_its_day_and_share() {
        ContextChange added = new ContextChange(LocalDate.of(2026, 6, 12), Kind.PREFILTER, 1);
        Forecast forecast = Forecaster.forecast(
                FOAM, new Learned(), history(StartingLoad.NORMAL, List.of(), List.of(added)), START.plusDays(12));

        assertThat(forecast.reasons().get(0))
                .isEqualTo("Pre-filter added 12 June: about 70 % less reaches it, still to be confirmed.");
        assertThat(forecast.window().ideal()).isAfter(forecast(FOAM).window().ideal());
    }

    @Test
    void flow_that_agrees_is_told() {
        Forecast forecast = forecast(
                CANISTER, Serviced.found(START.plusDays(75), Finding.HEAVY).withFlow(0.6));

        assertThat(forecast.reasons()).contains("The flow agrees.");
    }

    @Test
    void past_the_latest_day_the_risk_is_told() {
        Forecast forecast = Forecaster.forecast(
                PREFILTER, new Learned(), history(StartingLoad.NORMAL, List.of(), List.of()), START.plusDays(40));

        assertThat(forecast.reasons()).last().isEqualTo("By the latest day about 1 in 5 would already be full.");
    }

    @Test
    void a_fixed_interval_holds_and_says_what_learning_would_choose() {
        Forecast forecast = Forecaster.forecast(
                CANISTER,
                new Fixed(30, By.MAKERS_CALENDAR),
                history(StartingLoad.NORMAL, List.of(Serviced.found(START.plusDays(75), Finding.MODERATE)), List.of()),
                START.plusDays(80));

        assertThat(forecast.window().ideal()).isEqualTo(START.plusDays(75 + 30));
        assertThat(forecast.reasons())
                .containsExactly("Maker's calendar: every 30 days.", "What was found would make it about 83 days.");
    }

    @Test
    void a_lamp_of_unknown_age_counts_as_spent() {
        TaskHistory history = new TaskHistory(Start.unknown(START), StartingLoad.NORMAL, List.of(), List.of());

        Forecast forecast = Forecaster.forecast(LAMP, new Learned(), history, START);

        assertThat(forecast.window()).isEqualTo(new Window(START, START, START));
        assertThat(forecast.reasons()).containsExactly("Its age is unknown, so it counts as spent.");
    }

    @Test
    void a_lamp_lasts_by_its_hours_whatever_is_found() {
        Forecast forecast = forecast(LAMP);

        // 9,000 lit hours at 24 a day are 375 days; window 0.85, 0.95 and 1.05 of that
        assertThat(forecast.window())
                .isEqualTo(new Window(START.plusDays(319), START.plusDays(356), START.plusDays(394)));
    }

    @Test
    void a_heavier_tank_starts_with_a_shorter_interval() {
        StartingLoad heavy = new StartingLoad(Stocking.HEAVY, Feeding.HEAVY, false, false);

        Forecast forecast = Forecaster.forecast(FOAM, new Learned(), history(heavy, List.of(), List.of()), START);

        // 50.4 days ÷ (1.7 × 1.4)
        assertThat(forecast.window().ideal()).isEqualTo(START.plusDays(21));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void more_dirt_never_lengthens_an_interval(long seed) {
        Random random = new Random(seed);
        for (int trial = 0; trial < 300; trial++) {
            List<Serviced> services = randomServices(random);
            LocalDate lastDay = services.get(services.size() - 1).on();
            LocalDate cleaner = LocalDate.MAX;
            for (Finding finding : Finding.values()) {
                services.set(services.size() - 1, Serviced.found(lastDay, finding));

                LocalDate ideal = forecast(FOAM, services.toArray(Serviced[]::new))
                        .window()
                        .ideal();

                assertThat(ideal)
                        .as("seed %d trial %d: %s", seed, trial, services)
                        .isBeforeOrEqualTo(cleaner);
                cleaner = ideal;
            }
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13})
    void windows_are_ordered_and_within_bounds_whatever_happened(long seed) {
        Random random = new Random(seed);
        for (int trial = 0; trial < 300; trial++) {
            List<Serviced> services = randomServices(random);
            ContextChange change = new ContextChange(
                    START.plusDays(1 + random.nextInt(400)),
                    Kind.values()[random.nextInt(4)],
                    random.nextBoolean() ? 1 : -1);
            Forecast forecast = Forecaster.forecast(
                    FOAM, new Learned(), history(StartingLoad.NORMAL, services, List.of(change)), START.plusDays(500));

            Window window = forecast.window();
            assertThat(window.earliest()).isBeforeOrEqualTo(window.ideal());
            assertThat(window.ideal()).isBeforeOrEqualTo(window.latest());
            assertThat(window.ideal())
                    .isBetween(forecast.since().plusDays(14), forecast.since().plusDays(270));
            assertThat(window.latest()).isBeforeOrEqualTo(forecast.since().plusDays(300));
        }
    }

    private static List<Serviced> randomServices(Random random) {
        List<Serviced> services = new ArrayList<>();
        LocalDate day = START;
        for (int i = 0, n = 1 + random.nextInt(5); i < n; i++) {
            day = day.plusDays(10 + random.nextInt(90));
            services.add(Serviced.found(day, Finding.values()[random.nextInt(5)]));
        }
        return services;
    }

    private static Forecast forecast(CareRule rule, Serviced... services) {
        LocalDate today = services.length == 0 ? START : services[services.length - 1].on();
        return Forecaster.forecast(
                rule, new Learned(), history(StartingLoad.NORMAL, List.of(services), List.of()), today);
    }

    private static TaskHistory history(StartingLoad load, List<Serviced> services, List<ContextChange> changes) {
        return new TaskHistory(Start.exact(START), load, services, changes);
    }

    private static CareRule rule(StageKind kind, CareAction action) {
        return CareCatalogue.find(Stage.washable(kind), action, Schools.DEFAULT).orElseThrow();
    }
}
