package app.chervil.server.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.account.SignedIn;
import app.chervil.server.visit.Pictures;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A tank goes to another keeper, and comes back. */
@ChervilTest
class BringingApiTest extends BroughtTank {
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
    JdbcTemplate database;

    private List<String> due(SignedIn who) throws Exception {
        return site.read(site.get(who, "/api/forecasts"))
                .valueStream()
                .map(one -> one.get("subject").get("name").asString() + " " + one.get("window"))
                .toList();
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
