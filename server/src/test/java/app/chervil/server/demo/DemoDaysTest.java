package app.chervil.server.demo;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.TestTables;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import java.time.Clock;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.context.bean.override.convention.TestBean;

/** The demo's story is that of the day it is loaded: what is late, due, held and tried then is so on every day. */
@ChervilTest
@TestPropertySource(properties = "chervil.demo=true")
class DemoDaysTest {
    /** Beyond what is remembered of the site before. */
    private static final long ANEW = 1_000_000;

    /** Read by whatever works in the background too, and so not a mock. */
    private static final AtomicReference<Instant> NOW = new AtomicReference<>(Instant.parse("2026-06-01T12:00:00Z"));

    @TestBean
    Clock clock;

    static Clock clock() {
        InstantSource source = NOW::get;
        return source.withZone(ZoneOffset.UTC);
    }

    @Autowired
    DemoSite demo;

    @Autowired
    JdbcTemplate database;

    @Autowired
    TestTables tables;

    @Autowired
    TestSite site;

    /** A Monday on which nothing ended the canister's history, one in the winter closing, and a leap day. */
    @ParameterizedTest
    @ValueSource(strings = {"2026-11-30", "2026-12-28", "2028-02-29"})
    void on_whatever_day_it_is_loaded_its_story_holds(LocalDate today) throws Exception {
        NOW.set(today.atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC));
        tables.emptyFromOne();
        demo.afterSingletonsInstantiated();
        database.update("update site_revision set revision = revision + ?", ANEW * today.toEpochDay());
        database.update("update tank_revision set revision = revision + ?", ANEW * today.toEpochDay());
        SignedIn marit = database.queryForObject(
                "select id, site_id, name from account where login = 'marit'",
                (row, number) ->
                        new SignedIn(row.getLong("id"), row.getLong("site_id"), row.getString("name"), Role.KEEPER));

        DemoStory story = new DemoStory(path -> site.read(site.get(marit, path)), today);

        story.holds();
        story.brookBenchIsDueItsPreFilter();
    }
}
