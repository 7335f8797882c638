package app.chervil.server.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.visit.Pictures;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** One keeper's tank, with a canister, a log, a photo and a reading of the keeper's own parameter; another keeper takes it in. */
@ChervilTest
class BringingApiTest {
    private static final MediaType ZIP = MediaType.parseMediaType("application/zip");
    /** What stays at its site, and why. */
    private static final Map<String, String> STAYS = Map.ofEntries(
            Map.entry("site", "the site itself"),
            Map.entry("account", "people are invited, not copied"),
            Map.entry("person_hours", "of people"),
            Map.entry("day_exception", "of people"),
            Map.entry("digest", "of people"),
            Map.entry("graded_picture", "of people"),
            Map.entry("deed", "of people"),
            Map.entry("plan_step", "the plan is made anew"),
            Map.entry("plan_decision", "the plan is made anew"),
            Map.entry("guided_service", "its outcome is the service"),
            Map.entry("guided_event", "its outcome is the service"),
            Map.entry("device", "a device speaks to the site it was fitted on"),
            Map.entry("media_piece", "a piece of media may have been in tanks that do not come along"),
            Map.entry("media_move", "of a piece of media"),
            Map.entry("media_exchange", "its portions are in the log, and another site's plan is another site's"),
            Map.entry("device_hour", "of a device"),
            Map.entry("device_day", "of a device"),
            Map.entry("metered_flow", "of a device"),
            Map.entry("alert", "of a device"),
            Map.entry("trouble_counting", "of the site's own counting"));

    @Autowired
    TestSite site;

    @Autowired
    JdbcTemplate database;

    private SignedIn giver;
    private SignedIn taker;
    private long tank;
    private UUID service;

    @BeforeEach
    void brook() throws Exception {
        giver = site.keeper();
        taker = site.keeper();
        tank = site.tank(giver);
        JsonNode weir = site.canister(giver, tank, "Weir", "2026-03-01");
        long rinse = TestSite.task(weir, "Rinse the pre-filter");
        for (int week = 1; week <= 8; week++) {
            service = new UUID(giver.siteId(), week);
            site.put(giver, "/api/services/" + service, """
                {"tankId": %d, "doneOn": "%s", "doneBy": "Ada", "minutes": 6, "note": "", "flows": [],
                 "tasks": [{"taskId": %d, "finding": "HEAVY"}]}""".formatted(
                            tank, java.time.LocalDate.of(2026, 3, 1).plusDays(9L * week), rinse));
        }
        site.sendFile(
                giver,
                HttpMethod.PUT,
                "/api/services/" + service + "/photos/" + new UUID(giver.siteId(), 99) + "?moment=AFTER",
                MediaType.IMAGE_JPEG,
                Pictures.jpeg(40, 20, 1));
        JsonNode own = site.read(site.post(giver, "/api/parameters", "{\"name\": \"Iodine\", \"unit\": \"mg/L\"}"));
        site.post(giver, "/api/tanks/" + tank + "/readings", """
            {"takenAt": "2026-05-20T10:00:00Z", "moment": "PLAIN", "confirmed": true, "values": [
              {"id": "%s", "parameter": "%s", "amount": 0.06, "belowDetection": false, "early": false, "method": ""}]}""".formatted(
                        new UUID(giver.siteId(), 50), own.get("code").asString()));
    }

    private byte[] archive(SignedIn who, String query) throws Exception {
        return site.get(who, "/api/archive.zip" + query)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    private ResultActions send(SignedIn who, String path, byte[] archive) throws Exception {
        return site.sendFile(who, HttpMethod.POST, path, ZIP, archive);
    }

    private JsonNode bring(SignedIn who, String query, byte[] archive) throws Exception {
        return site.read(send(who, "/api/archive" + query, archive).andExpect(status().isOk()));
    }

    private static int[] count(JsonNode view, String what) {
        return view.get("counts")
                .valueStream()
                .filter(one -> one.get("what").asString().equals(what))
                .map(one ->
                        new int[] {one.get("brought").asInt(), one.get("there").asInt()})
                .findFirst()
                .orElse(new int[2]);
    }

    private List<String> due(SignedIn who) throws Exception {
        return site.read(site.get(who, "/api/forecasts"))
                .valueStream()
                .map(one -> one.get("subject").get("name").asString() + " " + one.get("window"))
                .toList();
    }

    /** The same archive with one of its files written otherwise. */
    private static byte[] with(byte[] archive, String name, UnaryOperator<String> change) throws IOException {
        ByteArrayOutputStream changed = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(changed)) {
            for (Map.Entry<String, byte[]> file : Opened.files(archive).entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(
                        file.getKey().equals(name)
                                ? change.apply(new String(file.getValue(), StandardCharsets.UTF_8))
                                        .getBytes(StandardCharsets.UTF_8)
                                : file.getValue());
            }
        }
        return changed.toByteArray();
    }

    @Test
    void photos_of_how_a_filter_is_built_go_along_with_it() throws Exception {
        UUID built = new UUID(giver.siteId(), 98);
        site.sendFile(
                giver,
                HttpMethod.PUT,
                "/api/filters/" + filter(giver) + "/photos/" + built + "?caption=Lever down",
                MediaType.IMAGE_JPEG,
                Pictures.jpeg(40, 20, 1));

        assertThat(bring(taker, "", archive(giver, "?tank=" + tank))
                        .get("faultCount")
                        .asInt())
                .isZero();

        site.get(taker, "/api/filters/" + filter(taker) + "/photos")
                .andExpect(jsonPath("$.length()").value(1))
                .andExpect(jsonPath("$[0].caption").value("Lever down"));
        site.get(taker, "/api/photos/" + built).andExpect(status().isOk());
    }

    private long filter(SignedIn who) throws Exception {
        return site.read(site.get(who, "/api/filters")).get(0).get("id").asLong();
    }

    @Test
    void a_tank_goes_to_another_keeper_with_its_history_and_asks_for_the_same_on_the_same_days() throws Exception {
        JsonNode view = bring(taker, "", archive(giver, "?tank=" + tank));

        assertThat(view.get("faultCount").asInt()).isZero();
        assertThat(count(view, "SERVICE")).containsExactly(8, 0);
        assertThat(count(view, "PHOTO")).containsExactly(1, 0);
        assertThat(due(taker)).isNotEmpty().isEqualTo(due(giver));
        JsonNode services = site.read(site.get(taker, "/api/services"));
        assertThat(services.toString()).contains(service.toString());
        site.get(taker, "/api/photos/" + new UUID(giver.siteId(), 99)).andExpect(status().isOk());
        assertThat(database.queryForObject(
                        "select name from own_parameter where site_id = ? and 'OWN_' || id = (select parameter from reading"
                                + " where site_id = ?)",
                        String.class,
                        taker.siteId(),
                        taker.siteId()))
                .isEqualTo("Iodine");
    }

    @Test
    void tasks_keep_their_order_where_numbers_grow_a_digit_longer() throws Exception {
        long most = database.queryForObject("select max(id) from care_task", Long.class);
        long edge = (long) Math.pow(10, Math.ceil(Math.log10(most + 3.0)));
        database.queryForObject("select setval(pg_get_serial_sequence('care_task', 'id'), ?)", Long.class, edge - 3);
        site.canister(giver, tank, "Ewer", "2026-03-01");

        bring(taker, "", archive(giver, "?tank=" + tank));

        assertThat(due(taker)).isEqualTo(due(giver));
    }

    @Test
    void its_preview_tells_all_of_it_and_stores_nothing() throws Exception {
        JsonNode view = site.read(
                send(taker, "/api/archive/preview", archive(giver, "")).andExpect(status().isOk()));

        assertThat(view.get("tanks").get(0).get("standing").asString()).isEqualTo("NEW");
        assertThat(view.get("tanks").get(0).get("services").asInt()).isEqualTo(8);
        assertThat(count(view, "READING")).containsExactly(1, 0);
        assertThat(site.read(site.get(taker, "/api/tanks")).size()).isZero();
        assertThat(database.queryForObject(
                        "select count(*) from brought where site_id = ?", Long.class, taker.siteId()))
                .isZero();
    }

    @Test
    void twice_is_once_and_what_came_since_is_added() throws Exception {
        bring(taker, "", archive(giver, ""));
        site.put(giver, "/api/services/" + new UUID(giver.siteId(), 70), """
            {"tankId": %d, "doneOn": "2026-05-30", "doneBy": "Ada", "minutes": 3, "note": "later", "flows": [], "tasks": []}""".formatted(tank));

        JsonNode again = bring(taker, "", archive(giver, ""));

        assertThat(count(again, "TANK")).containsExactly(0, 1);
        assertThat(count(again, "SERVICE")).containsExactly(1, 8);
        assertThat(again.get("faultCount").asInt()).isZero();
        assertThat(site.read(site.get(taker, "/api/tanks")).size()).isEqualTo(1);
    }

    @Test
    void what_its_new_keeper_changed_or_took_out_stays_so() throws Exception {
        bring(taker, "", archive(giver, ""));
        site.delete(taker, "/api/services/" + service).andExpect(status().is2xxSuccessful());

        bring(taker, "", archive(giver, ""));

        site.get(taker, "/api/services/" + service).andExpect(status().isNotFound());
    }

    /** A service at the tank of that keeper's own numbers. */
    private void serve(SignedIn keeper, int number, String day) throws Exception {
        long own = site.read(site.get(keeper, "/api/tanks")).get(0).get("id").asLong();
        site.put(keeper, "/api/services/" + new UUID(giver.siteId(), number), """
            {"tankId": %d, "doneOn": "%s", "doneBy": "Bo", "minutes": 3, "note": "Seen to", "flows": [], "tasks": []}""".formatted(own, day));
    }

    @Test
    void a_tank_that_comes_back_from_its_new_keeper_is_the_same_tank_with_what_was_done_meanwhile() throws Exception {
        bring(taker, "", archive(giver, "?tank=" + tank));
        serve(taker, 71, "2026-05-29");

        JsonNode back = bring(giver, "", archive(taker, ""));

        assertThat(back.get("own").asBoolean()).isFalse();
        assertThat(back.get("tanks").get(0).get("standing").asString()).isEqualTo("HERE");
        assertThat(count(back, "TANK")).containsExactly(0, 1);
        assertThat(count(back, "SERVICE")).containsExactly(1, 8);
        assertThat(site.read(site.get(giver, "/api/tanks")).size()).isEqualTo(1);
        assertThat(due(giver)).isEqualTo(due(taker));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void a_tank_that_reaches_somebody_by_two_ways_is_there_once(boolean straightFirst) throws Exception {
        SignedIn third = site.keeper();
        bring(taker, "", archive(giver, "?tank=" + tank));
        serve(taker, 72, "2026-05-29");
        List<byte[]> ways = new ArrayList<>(List.of(archive(giver, ""), archive(taker, "")));
        if (!straightFirst) {
            Collections.reverse(ways);
        }

        for (byte[] way : ways) {
            assertThat(bring(third, "", way).get("faultCount").asInt()).isZero();
        }

        assertThat(site.read(site.get(third, "/api/tanks")).size()).isEqualTo(1);
        assertThat(site.read(site.get(third, "/api/services")).get("total").asInt())
                .isEqualTo(9);
        assertThat(due(third)).isEqualTo(due(taker));
    }

    @Test
    void an_archive_of_one_tank_tells_no_numbers_of_another() throws Exception {
        long other = site.tank(giver);
        site.canister(giver, other, "Sluice", "2026-03-01");
        bring(taker, "", archive(giver, ""));
        long weir = site.read(site.get(taker, "/api/filters"))
                .valueStream()
                .filter(one -> one.get("name").asString().equals("Weir"))
                .findFirst()
                .orElseThrow()
                .get("tankId")
                .asLong();

        String numbers =
                new String(Opened.files(archive(taker, "?tank=" + weir)).get("numbers.jsonl"), StandardCharsets.UTF_8);

        assertThat(numbers).contains("\"relation\":\"TANK\",\"theirs\":" + tank);
        assertThat(numbers).doesNotContain("\"relation\":\"TANK\",\"theirs\":" + other);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "not json",
                "{}",
                "{\"origin\":\"nobody\",\"relation\":\"TANK\",\"theirs\":1,\"ours\":1}",
                "{\"origin\":\"00000000-0000-0000-0000-000000000001\",\"relation\":\"ACCOUNT\",\"theirs\":1,\"ours\":1}",
                "{\"origin\":\"00000000-0000-0000-0000-000000000001\",\"relation\":\"TANK\",\"theirs\":1e40,\"ours\":1}"
            })
    void numbers_that_say_nothing_are_passed_over(String line) throws Exception {
        bring(taker, "", archive(giver, ""));
        SignedIn third = site.keeper();

        JsonNode view = bring(third, "", with(archive(taker, ""), "numbers.jsonl", text -> line + '\n'));

        assertThat(view.get("faultCount").asInt()).isZero();
        assertThat(count(view, "TANK")).containsExactly(1, 0);
    }

    @ParameterizedTest
    @CsvSource({
        "service, done_on, '\"2026-05-12\"', '\"soon\"', It must be a date.",
        "service, done_on, '\"2026-05-12\"', '\"0001-05-12\"', This day is too far from today.",
        "service, minutes, 6, '\"six\"', It must be a whole number.",
        "service, note, '\"\"', null, It must not be empty.",
        "service_task, finding, '\"HEAVY\"', '\"FILTHY\"', “FILTHY” is not known here.",
        "service, filter_off_minutes, null, -5, A value is out of range (service_off_not_negative)."
    })
    void a_row_at_fault_is_named_and_stays_out_with_what_belongs_to_it(
            String table, String column, String was, String is, String words) throws Exception {
        String file = "tables/" + table + ".jsonl";
        byte[] archive = with(
                archive(giver, ""),
                file,
                text -> text.replaceFirst("\"" + column + "\": " + was, "\"" + column + "\": " + is));

        JsonNode view = bring(taker, "", archive);

        JsonNode fault = view.get("faults").get(0);
        assertThat(fault.get("file").asString()).isEqualTo(file);
        assertThat(fault.get("words").asString()).isEqualTo(words);
        assertThat(fault.get("line").asInt()).isPositive();
        assertThat(count(view, "SERVICE_TASK")[0]).isEqualTo(7);
        assertThat(view.get("faultCount").asInt()).isEqualTo(count(view, "SERVICE")[0] == 7 ? faultsOf(view) : 1);
    }

    /** Of the service, its task, and its photo if it had one. */
    private static int faultsOf(JsonNode view) {
        return 2 + 1 - count(view, "PHOTO")[0];
    }

    @ParameterizedTest
    @ValueSource(strings = {"tank", "filter", "stage", "service", "reading"})
    void a_row_without_its_id_is_named_as_well(String table) throws Exception {
        String file = "tables/" + table + ".jsonl";
        byte[] archive = with(archive(giver, ""), file, text -> text.replaceFirst("\"id\": [^,]+, ", ""));

        JsonNode view = site.read(send(taker, "/api/archive/preview", archive).andExpect(status().isOk()));

        JsonNode fault = view.get("faults").get(0);
        assertThat(fault.get("file").asString()).isEqualTo(file);
        assertThat(fault.get("field").asString()).isEqualTo("id");
        assertThat(fault.get("words").asString()).isEqualTo("It is missing.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "not json", "[1]", "\"text\"", "{\"unheard\": 1}", "{}"})
    void a_line_that_is_no_row_is_named_and_the_rest_comes_in(String line) throws Exception {
        byte[] archive = with(archive(giver, ""), "tables/reading.jsonl", text -> line + "\n" + text);

        JsonNode view = bring(taker, "", archive);

        assertThat(view.get("faultCount").asInt()).isEqualTo(1);
        assertThat(view.get("faults").get(0).get("line").asInt()).isEqualTo(1);
        assertThat(count(view, "READING")).containsExactly(1, 0);
    }

    @Test
    void what_is_no_archive_is_refused() throws Exception {
        for (byte[] foreign : List.of(
                new byte[0],
                "PK nothing".getBytes(StandardCharsets.UTF_8),
                with(archive(giver, ""), "archive.json", text -> "{}"),
                with(archive(giver, ""), "archive.json", text -> text.replace(":1", ":2")))) {
            send(taker, "/api/archive/preview", foreign)
                    .andExpect(status().is4xxClientError())
                    .andExpect(jsonPath("$.code").exists());
        }
    }

    @Test
    void a_tank_of_which_the_impossible_is_told_is_refused_by_name() throws Exception {
        byte[] archive = with(
                archive(giver, ""),
                "tables/filter.jsonl",
                text -> text.replace("\"hoseM\": null", "\"hoseM\": \"wet\""));

        send(taker, "/api/archive/preview", archive)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(org.hamcrest.Matchers.containsString("Brook")));
        assertThat(site.read(site.get(taker, "/api/tanks")).size()).isZero();
    }

    @Test
    void a_tank_deleted_since_comes_back_from_the_sites_own_archive() throws Exception {
        byte[] archive = archive(giver, "");
        List<String> before = due(giver);
        site.delete(giver, "/api/tanks/" + tank).andExpect(status().is2xxSuccessful());

        JsonNode view = bring(giver, "", archive);

        assertThat(view.get("own").asBoolean()).isTrue();
        assertThat(view.get("tanks").get(0).get("standing").asString()).isEqualTo("DELETED_HERE");
        assertThat(count(view, "SERVICE")).containsExactly(0, 8);
        assertThat(due(giver)).isEqualTo(before);
    }

    @Test
    void of_several_tanks_only_those_chosen_come_in() throws Exception {
        long other = site.tank(giver);
        site.canister(giver, other, "Sluice", "2026-03-01");

        JsonNode view = bring(taker, "?tanks=" + other, archive(giver, ""));

        assertThat(view.get("tanks").size()).isEqualTo(2);
        assertThat(count(view, "TANK")).containsExactly(1, 0);
        assertThat(count(view, "SERVICE")).containsExactly(0, 0);
        assertThat(site.read(site.get(taker, "/api/filters")).toString())
                .contains("Sluice")
                .doesNotContain("Weir");
    }

    @Test
    void an_archive_of_one_tank_holds_nothing_of_people_and_other_tanks() throws Exception {
        site.canister(giver, site.tank(giver), "Sluice", "2026-03-01");

        Map<String, byte[]> files = Opened.files(archive(giver, "?tank=" + tank));

        assertThat(files.keySet()).noneMatch(name -> name.contains("account") || name.contains("stock"));
        assertThat(files.values().stream().map(bytes -> new String(bytes, StandardCharsets.UTF_8)))
                .noneMatch(text -> text.contains("Sluice"));
        assertThat(new String(files.get("tables/filter.jsonl"), StandardCharsets.UTF_8))
                .contains("Weir");
        site.get(taker, "/api/archive.zip?tank=" + tank).andExpect(status().isNotFound());
    }

    @Test
    void it_is_for_keepers() throws Exception {
        byte[] archive = archive(giver, "");
        for (Role role : List.of(Role.HELPER, Role.VIEWER)) {
            send(site.personOf(taker, role), "/api/archive", archive).andExpect(status().isForbidden());
        }
    }

    @Test
    void every_table_of_an_archive_comes_in_or_stays_for_a_reason() throws Exception {
        Set<String> tables = new TreeSet<>();
        Opened.files(archive(giver, "")).keySet().stream()
                .filter(name -> name.startsWith("tables/"))
                .forEach(name -> tables.add(name.substring(7, name.length() - 6)));
        for (ArchiveTable table : ArchiveTable.values()) {
            assertThat(tables.remove(table.relation())).as(table.relation()).isTrue();
        }

        assertThat(tables).isEqualTo(STAYS.keySet());
    }
}
