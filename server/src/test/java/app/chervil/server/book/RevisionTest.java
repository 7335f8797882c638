package app.chervil.server.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;

import app.chervil.core.agenda.Replanning;
import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** Every write raises the revision of its site, whoever writes, and that of the tank it concerns. */
@ChervilTest
class RevisionTest {
    /** What follows from the rest, leads to the site, or what no answer rests on. */
    private static final Set<String> SILENT = Set.of(
            "door",
            "brought",
            "site_revision",
            "tank_revision",
            "plan_visit",
            "plan_change",
            "calendar_feed",
            "digest",
            "pass",
            "deed",
            "future_run",
            "device_token",
            "device_state",
            "device_reading",
            "device_hour",
            "device_day",
            "alert",
            "alert_mail");

    @Autowired
    TestSite site;

    @Autowired
    JdbcTemplate database;

    @Autowired
    TransactionTemplate transactions;

    private SignedIn keeper;
    private long tank;

    @BeforeEach
    void brook() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
    }

    private long revision() {
        return revision(keeper);
    }

    private long revision(SignedIn who) {
        return database.queryForObject(
                "select revision from site_revision where site_id = ?", Long.class, who.siteId());
    }

    private long revisionOf(long one) {
        return database.queryForObject("select revision from tank_revision where tank_id = ?", Long.class, one);
    }

    @Test
    void no_table_of_a_site_was_forgotten() {
        List<String> tables = database.queryForList("""
                select table_name::text from information_schema.columns
                where table_schema = 'public' and column_name = 'site_id'""", String.class);

        List<String> raising = database.queryForList("""
                select relname::text from pg_trigger join pg_class on pg_class.oid = tgrelid
                where tgname = relname || '_raises' and tgdeferrable and tginitdeferred""", String.class);

        assertThat(tables).hasSizeGreaterThan(35).allSatisfy(table -> assertThat(
                        SILENT.contains(table) ^ raising.contains(table))
                .as(table)
                .isTrue());
        assertThat(raising).contains("site");
    }

    @Test
    void a_transaction_raises_it_once_however_much_it_writes() throws Exception {
        long other = site.tank(keeper);
        long before = revision();

        transactions.executeWithoutResult(status -> {
            database.update("update tank set name = 'Beck' where id = ?", tank);
            database.update("update tank set room = 'Attic' where id = ?", tank);
            database.update("update chore set every_days = 9 where tank_id = ?", tank);
            assertThat(revision()).isEqualTo(before);
        });

        assertThat(revision()).isEqualTo(before + 1);
        assertThat(revisionOf(tank)).isEqualTo(before + 1);
        assertThat(revisionOf(other)).isLessThanOrEqualTo(before);
    }

    @Test
    void what_was_rolled_back_raises_nothing() {
        long before = revision();

        transactions.executeWithoutResult(status -> {
            database.update("update tank set name = 'Beck' where id = ?", tank);
            status.setRollbackOnly();
        });

        assertThat(revision()).isEqualTo(before);
    }

    @Test
    void another_site_is_not_touched() {
        SignedIn neighbour = site.keeper();
        long before = revision();

        database.update("update account set name = 'Ben' where id = ?", neighbour.accountId());

        assertThat(revision()).isEqualTo(before);
    }

    @Test
    void what_somebody_writes_past_the_code_is_seen_at_the_next_question() throws Exception {
        site.canister(keeper, tank, "Weir", "2026-03-01");
        site.get(keeper, "/api/forecasts")
                .andExpect(jsonPath("$[0].subject.name").value("Open canister Weir"));

        database.update("update filter set name = 'Creek' where tank_id = ?", tank);

        site.get(keeper, "/api/forecasts")
                .andExpect(jsonPath("$[0].subject.name").value("Open canister Creek"));
    }

    /** Eight weeks follow from all the rest; who asked for more first is not left with a plan that is no longer kept. */
    @Test
    void the_first_plan_raises_it_where_it_is_of_more_weeks_than_usual() {
        SignedIn neighbour = site.keeper();
        long ofKeeper = revision();
        long ofNeighbour = revision(neighbour);

        keep(keeper, Replanning.USUAL_WEEKS + 1);
        keep(neighbour, Replanning.USUAL_WEEKS);

        assertThat(revision()).isEqualTo(ofKeeper + 1);
        assertThat(revision(neighbour)).isEqualTo(ofNeighbour);
    }

    private void keep(SignedIn who, int weeks) {
        database.update(
                "insert into plan (site_id, version, made_on, fingerprint, weeks, snapshot) values (?, 1, '2026-06-01', 'm', ?, '{}')",
                who.siteId(),
                weeks);
    }

    @Test
    void a_photo_of_a_service_raises_it_without_reading_its_bytes() {
        long before = revision();

        database.update("""
                insert into photo (id, site_id, service_id, moment, taken_at, taken_by, content_type, bytes)
                values (gen_random_uuid(), ?, gen_random_uuid(), 'AFTER', now(), 'Ada', 'image/jpeg', 'x')""", keeper.siteId());

        assertThat(revision()).isEqualTo(before + 1);
    }
}
