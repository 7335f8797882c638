package app.chervil.server.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@ChervilTest
class ArchiveApiTest {
    @Autowired
    TestSite site;

    @Autowired
    JdbcTemplate database;

    private final JsonMapper json = JsonMapper.builder().build();
    private SignedIn keeper;
    private long tank;

    @BeforeEach
    void weir() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-03-01");
        String service = """
            {"tankId": %d, "doneOn": "2026-05-30", "doneBy": "=Ada", "minutes": 6, "note": "snails, \\"many\\"",
             "tasks": [{"taskId": %d, "finding": "HEAVY"}], "flows": []}""".formatted(tank, TestSite.task(weir, "Rinse the pre-filter"));
        site.put(keeper, "/api/services/" + new UUID(0, keeper.siteId()), service);
        database.update("""
                insert into photo (id, site_id, service_id, moment, taken_at, taken_by, content_type, bytes)
                values (?, ?, ?, 'AFTER', now(), 'Ada', 'image/jpeg', '\\xffd8ff01'::bytea)""", new UUID(1, keeper.siteId()), keeper.siteId(), new UUID(0, keeper.siteId()));
    }

    private byte[] archive(SignedIn who) throws Exception {
        return site.get(who, "/api/archive.zip")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    private static String text(Map<String, byte[]> files, String name) {
        return new String(files.getOrDefault(name, new byte[0]), StandardCharsets.UTF_8);
    }

    @Test
    void every_table_of_a_site_is_in_it_or_left_out_for_a_reason() throws Exception {
        Set<String> tables = new TreeSet<>(database.queryForList("""
                select table_name::text from information_schema.columns
                where table_schema = 'public' and column_name = 'site_id'""", String.class));
        tables.add("site");
        tables.removeAll(ArchiveOperations.LEFT_OUT);

        Set<String> inIt = new TreeSet<>();
        Opened.files(archive(keeper)).keySet().stream()
                .filter(name -> name.startsWith("tables/"))
                .forEach(name -> inIt.add(name.substring(7, name.length() - 6)));

        assertThat(inIt).isEqualTo(tables).hasSizeGreaterThan(40);
    }

    @Test
    void each_row_is_a_line_as_the_schema_says() throws Exception {
        Map<String, byte[]> files = Opened.files(archive(keeper));
        JsonNode schema = json.readTree(text(files, "schema.json")).get("$defs");

        for (String name : files.keySet()) {
            if (name.startsWith("tables/")) {
                String table = name.substring(7, name.length() - 6);
                long rows = database.queryForObject(
                        "select count(*) from " + table + " where " + (table.equals("site") ? "id" : "site_id")
                                + " = ?",
                        Long.class,
                        keeper.siteId());
                assertThat(text(files, name).lines().count()).as(table).isEqualTo(rows);
                text(files, name).lines().forEach(line -> assertThat(
                                json.readTree(line).propertyNames())
                        .as(table)
                        .containsExactlyInAnyOrderElementsOf(
                                schema.get(table).get("properties").propertyNames()));
            }
        }
        assertThat(text(files, "tables/filter.jsonl")).contains("\"name\": \"Weir\"");
    }

    @Test
    void people_read_services_in_a_table_whose_cells_run_nowhere() throws Exception {
        String csv = text(Opened.files(archive(keeper)), "services.csv");

        assertThat(csv.lines().toList().get(1))
                .isEqualTo("2026-05-30,Brook,Weir,prefilter sponge: rinse (heavy),6,'=Ada,\"snails, \"\"many\"\"\"");
    }

    @Test
    void photos_come_byte_for_byte_and_the_same_site_gives_the_same_file() throws Exception {
        byte[] once = archive(keeper);

        assertThat(Opened.files(once).get("photos/" + new UUID(1, keeper.siteId()) + ".jpg"))
                .containsExactly(0xFF, 0xD8, 0xFF, 0x01);
        assertThat(archive(keeper)).isEqualTo(once);
    }

    @Test
    void nothing_of_others_and_no_secret_is_in_it() throws Exception {
        SignedIn other = site.keeper();
        site.canister(other, site.tank(other), "Elsewhere", "2026-03-01");
        site.post(keeper, "/api/calendars", "{\"startsAt\": \"18:00\"}");

        Map<String, byte[]> files = Opened.files(archive(keeper));

        assertThat(files.values().stream().map(bytes -> new String(bytes, StandardCharsets.UTF_8)))
                .noneMatch(
                        text -> text.contains("Elsewhere") || text.contains("secret_hash") || text.contains("bcrypt"));
        site.get(site.personOf(keeper, Role.HELPER), "/api/archive.zip").andExpect(status().isForbidden());
    }
}
