package app.chervil.server.book;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.agenda.Standing;
import app.chervil.core.passport.Build;
import app.chervil.core.site.TankBook;
import app.chervil.core.trial.Design;
import app.chervil.server.ChervilApplication;
import app.chervil.server.TestClock;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignInOperations;
import app.chervil.server.account.SignedIn;
import app.chervil.server.plan.PlanInForceOperations;
import app.chervil.server.trial.TrialListOperations;
import app.chervil.server.trial.TrialView;
import java.time.LocalDate;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** A database as the version before had it, with a tank, its log, a trial, a plan that people were told and a pin. */
class UpgradeTest {
    private static final UUID SERVICE = new UUID(0, 7);
    private static final UUID VISIT = new UUID(0, 8);
    private static final UUID TRIAL = new UUID(0, 9);
    private static final SignedIn ADA = new SignedIn(1, 1, "Ada", Role.KEEPER);

    static String database() {
        String base = System.getenv("CHERVIL_DB_BASE");
        String name = "chervil_" + UUID.randomUUID().toString().replace("-", "");
        new JdbcTemplate(source(base + "/postgres")).execute("create database " + name);
        return base + "/" + name;
    }

    static DriverManagerDataSource source(String url) {
        return new DriverManagerDataSource(url, System.getenv("CHERVIL_DB_USER"), System.getenv("CHERVIL_DB_PASSWORD"));
    }

    private static void fill(JdbcTemplate old) {
        old.update("insert into site (name, created_at) values ('Home', now())");
        old.update("""
                insert into account (site_id, login, name, role, password_hash, created_at)
                values (1, 'ada', 'Ada', 'KEEPER', '{noop}a long enough password', now())""");
        old.update("""
                insert into tank (site_id, name, room, net_volume_l, water, established_on, stocking, feeding,
                  bacteria_home, tap_water, opening_school, sock_school)
                values (1, 'Brook', 'Lab', 220, 'FRESH', '2024-01-01', 'NORMAL', 'NORMAL', 'MEDIA', 'CHLORAMINE',
                  'CONDITION_LED', 'CLARITY')""");
        old.update("""
                insert into filter (site_id, tank_id, name, kind, direction, care_from, valves, fill)
                values (1, 1, 'Weir', 'CANISTER', 'BOTTOM_UP', '2026-03-01', 'AT_COUPLINGS', 'CAP')""");
        old.update("""
                insert into stage (site_id, filter_id, position, kind, label, quantity, make, bagged, care_from)
                values (1, 1, 0, 'PREFILTER_SPONGE', '', 1, 'WASHABLE', false, '2026-03-01'),
                  (1, 1, 1, 'SEALS', '', 1, 'WASHABLE', false, '2026-03-01')""");
        old.update("""
                insert into care_task (site_id, filter_id, stage_id, action, care_from, mode)
                values (1, 1, 1, 'RINSE', '2026-03-01', 'LEARN'), (1, 1, null, 'OPEN', '2026-03-01', 'LEARN')""");
        old.update("""
                insert into service (id, site_id, tank_id, done_on, done_by, note, recorded_at)
                values (?, 1, 1, '2026-05-24', 'Ada', 'Snail shells', now())""", SERVICE);
        old.update(
                "insert into service_task (service_id, task_id, site_id, finding) values (?, 1, 1, 'HEAVY')", SERVICE);
        old.update("""
                insert into plan (site_id, version, made_on, fingerprint, weeks, snapshot)
                values (1, 3, '2026-06-01', 'old', 12, ?)""", """
                {"madeOn":"2026-06-01","chains":{"2":{"since":"2026-03-01","ideal":"2026-06-20","hold":null,
                 "name":"open canister Weir","tank":"Brook","days":["2026-06-20"]}},"hours":"x","decisions":"y"}""");
        old.update("""
                insert into plan_visit (id, site_id, tank_id, on_day, minutes, work, sequence, changed_at)
                values (?, 1, 1, '2026-06-20', 30, '["2/0/2026-03-01"]', 4, now())""", VISIT);
        old.update("""
                insert into plan_change (site_id, changed_at, causes, moves)
                values (1, now(), '["a new day"]',
                  '[{"tank":"Brook","name":"open canister Weir","from":"2026-06-18","to":"2026-06-20"}]')""");
        old.update("""
                insert into trial (id, site_id, tank_id, task_id, parameter, began_on, period_days, periods, first_days,
                  other_days, started_by)
                values (?, 1, 1, 1, 'NITRATE', '2026-05-01', 14, 8, 3, 6, 'Ada')""", TRIAL);
        old.update(
                "insert into calendar_feed (site_id, account_id, secret_hash, starts_at, made_at) values (1, 1, 'abc', '17:00', now())");
    }

    @Test
    void what_was_kept_is_read_and_planned_on_under_the_same_names() {
        String url = database();
        Flyway.configure().dataSource(source(url)).target("15").load().migrate();
        JdbcTemplate stored = new JdbcTemplate(source(url));
        fill(stored);

        try (ConfigurableApplicationContext server = new SpringApplicationBuilder(
                        ChervilApplication.class, TestClock.class)
                .run("--spring.datasource.url=" + url, "--server.port=0")) {
            TankBook brook = server.getBean(SiteBooks.class).site(ADA).tank(1).orElseThrow();
            assertThat(brook.records().services()).singleElement().satisfies(service -> assertThat(service.id())
                    .isEqualTo(SERVICE));
            assertThat(brook.records().filters()).singleElement().satisfies(filter -> {
                assertThat(filter.build().water().shutOff()).isEqualTo(Build.ShutOff.VALVES);
                assertThat(filter.build().water().fill()).isEqualTo(Build.Fill.CAP);
                assertThat(filter.passport().stated()).isFalse();
                assertThat(filter.tasks())
                        .as("parts are changed for their age from now on")
                        .anyMatch(task -> task.name().equals("Replace the seals"));
            });
            assertThat(brook.forecasts())
                    .filteredOn(one -> one.task().id() == 1)
                    .singleElement()
                    .satisfies(one -> assertThat(one.forecast().since()).isEqualTo(LocalDate.of(2026, 5, 24)));

            Standing standing = server.getBean(PlanInForceOperations.class).inForce(ADA);
            assertThat(standing.told().weeks()).isEqualTo(12);
            assertThat(standing.told().visits())
                    .filteredOn(visit -> visit.work().stream().anyMatch(work -> work.startsWith("2/0/")))
                    .singleElement()
                    .satisfies(visit -> assertThat(visit.id()).isEqualTo(VISIT));

            assertThat(server.getBean(TrialListOperations.class).list(ADA))
                    .singleElement()
                    .satisfies(trial -> {
                        assertThat(trial.id()).isEqualTo(TRIAL);
                        assertThat(trial.ways())
                                .extracting(TrialView.TriedWay::days)
                                .containsExactly(3, 6);
                        assertThat(trial.turns()).extracting(Design.Turn::way).containsExactly(0, 1, 1, 0, 1, 0, 0, 1);
                    });

            assertThat(server.getBean(AccountOperations.class).needsSetup()).isFalse();
            assertThat(server.getBean(SignInOperations.class)
                            .signIn("ada", "a long enough password", "127.0.0.1")
                            .siteId())
                    .isEqualTo(1);
        }
        assertThat(stored.queryForList("select mark from door order by kind", String.class))
                .containsExactly("abc", "ada");
    }
}
