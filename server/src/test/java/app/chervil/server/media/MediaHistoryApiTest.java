package app.chervil.server.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.startsWith;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** Brook has run for years, with 2,000 g of media in Weir; Nursery is a fortnight old, with none in Puff. */
@ChervilTest
class MediaHistoryApiTest {
    @Autowired
    TestSite site;

    @Autowired
    Clock clock;

    private SignedIn keeper;
    private LocalDate today;
    private long brook;
    private long nursery;
    private long weir;
    private long puff;

    @BeforeEach
    void tanks() throws Exception {
        keeper = site.keeper();
        today = LocalDate.now(clock);
        brook = site.tank(keeper);
        nursery = site.read(site.post(
                        keeper,
                        "/api/tanks",
                        TestSite.TANK
                                .replace("\"Brook\"", "\"Nursery\"")
                                .replace("220", "60")
                                .replace("2024-01-01", today.minusDays(14).toString())))
                .get("id")
                .asLong();
        weir = filter(brook, "Weir", "\"BIO_MEDIA\", \"massG\": 2000");
        puff = filter(nursery, "Puff", "\"BIO_MEDIA\"");
    }

    private long filter(long tank, String name, String media) throws Exception {
        String body = TestSite.canister(name, "2026-03-01").replace("\"BIO_MEDIA\"", media);
        return site.read(site.post(keeper, "/api/tanks/" + tank + "/filters", body)
                        .andExpect(status().isCreated()))
                .get("id")
                .asLong();
    }

    private static String working(long filter) {
        return "{\"kind\": \"IN_FILTER\", \"filterId\": " + filter + "}";
    }

    private String seeding() {
        return "{\"kind\": \"SEEDING\", \"filterId\": " + weir + ", \"forTankId\": " + nursery + "}";
    }

    private ResultActions begin(UUID id, double grams, LocalDate since, String spot, String why) throws Exception {
        return site.put(keeper, "/api/media/" + id, """
                {"name": "Bag A", "kind": "POROUS", "grams": %s, "since": "%s", "moveId": "%s", "spot": %s, "why": %s}""".formatted(grams, since, UUID.randomUUID(), spot, why));
    }

    private UUID bag(double grams, LocalDate since, String spot) throws Exception {
        UUID id = UUID.randomUUID();
        begin(id, grams, since, spot, "null").andExpect(status().isOk());
        return id;
    }

    private ResultActions move(UUID piece, UUID id, LocalDate on, String to, String rest) throws Exception {
        return site.put(
                keeper, "/api/media/" + piece + "/moves/" + id, "{\"on\": \"" + on + "\", \"to\": " + to + rest + "}");
    }

    private JsonNode piece(UUID id) throws Exception {
        return site.read(site.get(keeper, "/api/media"))
                .valueStream()
                .filter(one -> one.get("id").asString().equals(id.toString()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void when_seeded_media_is_ripe_follows_the_rule_the_site_keeps() throws Exception {
        UUID bag = bag(60, today.minusDays(40), seeding());
        assertThat(piece(bag).toString()).contains("RIPE");

        site.put(keeper, "/api/sum-rules/media.ripeDays", "{\"value\": 60}").andExpect(status().is2xxSuccessful());

        assertThat(piece(bag).toString()).contains("SETTLING");
        site.put(keeper, "/api/sum-rules/media.ripeDays", "{\"value\": 5}")
                .andExpect(status().isUnprocessableContent());
        site.delete(keeper, "/api/sum-rules/media.ripeDays").andExpect(status().is2xxSuccessful());
        assertThat(piece(bag).toString()).contains("RIPE");
    }

    private double mass(long tank, long filter) throws Exception {
        JsonNode mass = site.read(site.get(keeper, "/api/tanks/" + tank + "/filters"))
                .valueStream()
                .filter(one -> one.get("id").asLong() == filter)
                .flatMap(one -> one.get("stages").valueStream())
                .filter(stage -> stage.get("kind").asString().equals("BIO_MEDIA"))
                .findFirst()
                .orElseThrow()
                .path("massG");
        return mass.isNumber() ? mass.asDouble() : -1;
    }

    private List<String> onTheRounds() throws Exception {
        return site.read(site.get(keeper, "/api/rounds"))
                .get("looks")
                .valueStream()
                .map(look -> look.get("words").asString())
                .toList();
    }

    @Test
    void a_bag_seeded_for_five_weeks_is_told_of_moved_and_its_gap_closed() throws Exception {
        UUID bag = bag(300, today.minusDays(36), seeding());
        assertThat(piece(bag).get("state").asString()).isEqualTo("RIPE");
        assertThat(onTheRounds())
                .containsExactly("Bag A in Weir is ripe. Move it to Nursery, and close the gap it leaves.");

        site.post(keeper, "/api/media/" + bag + "/advice", "{\"on\": \"" + today + "\", \"to\": " + working(puff) + "}")
                .andExpect(jsonPath("$.holds").isEmpty())
                .andExpect(jsonPath("$.gap").value(startsWith("Close the gap in Weir")))
                .andExpect(jsonPath("$.advice").value(hasItem(containsString("about 45 % of its stocking"))))
                .andExpect(jsonPath("$.carries").value(org.hamcrest.Matchers.closeTo(0.453, 0.002)));

        UUID id = UUID.randomUUID();
        move(bag, id, today, working(puff), "").andExpect(status().isOk());
        move(bag, id, today, working(puff), "").andExpect(status().isOk());

        JsonNode moved = piece(bag);
        assertThat(moved.get("stays").valueStream().map(stay -> stay.get("where")
                        .asString()))
                .containsExactly("Weir on Brook", "Puff on Nursery");
        assertThat(moved.get("state").asString()).isEqualTo("RIPE");
        assertThat(mass(brook, weir)).as("it was never counted there").isEqualTo(2000);
        assertThat(onTheRounds()).singleElement().asString().startsWith("Close the gap in Weir");
    }

    @Test
    void its_curve_rises_as_it_settles_and_falls_where_it_dried() throws Exception {
        UUID bag = bag(300, today.minusDays(90), working(weir));
        move(bag, UUID.randomUUID(), today.minusDays(5), "{\"kind\": \"DRY_SHELF\"}", "")
                .andExpect(status().isOk());

        List<Double> shares = site.read(site.get(keeper, "/api/media/" + bag))
                .get("curve")
                .valueStream()
                .map(point -> point.get("share").asDouble())
                .toList();
        assertThat(shares.get(0)).isZero();
        assertThat(shares).hasSizeBetween(40, 100).anyMatch(share -> share > 0.99);
        assertThat(shares.subList(
                        0, shares.indexOf(shares.stream().max(Double::compare).orElseThrow())))
                .isSorted();
        assertThat(shares.get(shares.size() - 1)).isZero();
        site.get(keeper, "/api/media/" + UUID.randomUUID()).andExpect(status().isNotFound());
    }

    @Test
    void a_look_at_ripe_media_is_ticked_off_and_comes_back() throws Exception {
        bag(300, today.minusDays(36), seeding());
        JsonNode look = site.read(site.get(keeper, "/api/rounds")).get("looks").get(0);
        String path = "/api/follow-ups/" + look.get("id").asString() + "/done";

        site.put(keeper, path, "").andExpect(status().is2xxSuccessful());
        assertThat(onTheRounds()).isEmpty();
        site.delete(keeper, path).andExpect(status().is2xxSuccessful());
        assertThat(onTheRounds()).hasSize(1);
    }

    @Test
    void part_of_what_works_in_a_filter_goes_within_the_share_and_counts_as_exchanged() throws Exception {
        UUID all = bag(2000, today.minusDays(400), working(weir));
        UUID part = UUID.randomUUID();
        UUID id = UUID.randomUUID();

        move(all, UUID.randomUUID(), today, working(puff), part(UUID.randomUUID(), 1200))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("why"))
                .andExpect(jsonPath("$.errors[0].message").value(containsString("at most 1000 g now")));
        move(all, id, today, working(puff), part(part, 600)).andExpect(status().isOk());

        assertThat(piece(all).get("grams").asDouble()).isEqualTo(1400);
        assertThat(piece(part).get("grams").asDouble()).isEqualTo(600);
        assertThat(piece(part).get("stays")).hasSize(2);
        assertThat(mass(brook, weir)).isEqualTo(1400);
        assertThat(mass(nursery, puff)).as("nobody knows what it holds").isEqualTo(-1);
        site.get(keeper, "/api/tanks/" + brook + "/media-replacements")
                .andExpect(jsonPath("$[0].grams").value(600));

        site.delete(keeper, "/api/media-moves/" + id).andExpect(status().isNoContent());
        assertThat(piece(all).get("grams").asDouble()).isEqualTo(2000);
        assertThat(mass(brook, weir)).isEqualTo(2000);
        site.get(keeper, "/api/tanks/" + brook + "/media-replacements")
                .andExpect(jsonPath("$").isEmpty());
        assertThat(site.read(site.get(keeper, "/api/media"))).hasSize(1);
        assertThat(onTheRounds()).isEmpty();
    }

    private static String part(UUID id, double grams) {
        return ", \"part\": {\"id\": \"" + id + "\", \"name\": \"Bag B\", \"grams\": " + grams + "}";
    }

    @Test
    void foam_is_no_part_of_what_bio_media_weighs() throws Exception {
        UUID foam = UUID.randomUUID();
        site.put(keeper, "/api/media/" + foam, """
                {"name": "Foam", "kind": "FOAM", "grams": 3000, "since": "%s", "moveId": "%s", "spot": %s}""".formatted(today.minusDays(90), UUID.randomUUID(), working(weir)))
                .andExpect(status().isOk());
        move(foam, UUID.randomUUID(), today, working(puff), "").andExpect(status().isOk());

        assertThat(mass(brook, weir)).isEqualTo(2000);
        site.get(keeper, "/api/tanks/" + brook + "/media-replacements")
                .andExpect(jsonPath("$").isEmpty());
    }

    @Test
    void a_gap_of_long_ago_is_not_asked_for() throws Exception {
        UUID bag = bag(300, today.minusDays(90), seeding());
        move(bag, UUID.randomUUID(), today.minusDays(30), working(puff), "").andExpect(status().isOk());

        assertThat(onTheRounds()).isEmpty();
    }

    @Test
    void a_part_is_less_than_its_whole() throws Exception {
        UUID bag = bag(300, today.minusDays(40), working(weir));

        move(bag, UUID.randomUUID(), today, working(puff), part(UUID.randomUUID(), 300))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("part.grams"));
    }

    @Test
    void a_treated_tank_holds_its_media_and_kills_it() throws Exception {
        UUID bag = bag(300, today.minusDays(60), seeding());
        site.post(keeper, "/api/tanks/" + brook + "/medications", """
                {"product": "A remedy", "firstDay": "%s"}""".formatted(today.minusDays(2)))
                .andExpect(status().is2xxSuccessful());

        assertThat(piece(bag).get("state").asString()).isEqualTo("DEAD");
        assertThat(piece(bag).get("death").asString()).isEqualTo("It was in its tank during a treatment.");
        assertThat(onTheRounds()).as("nothing ripe").isEmpty();
        move(bag, UUID.randomUUID(), today, working(puff), "")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("held"));
        begin(UUID.randomUUID(), 100, today, seeding(), "null").andExpect(status().isUnprocessableContent());
        move(bag, UUID.randomUUID(), today, working(puff), ", \"why\": \"Rinsed and boiled\"")
                .andExpect(status().isOk());
    }

    @Test
    void nobody_seeds_in_a_tank_that_is_young_unless_they_say_why() throws Exception {
        String young = "{\"kind\": \"SEEDING\", \"filterId\": " + puff + ", \"forTankId\": " + brook + "}";

        begin(UUID.randomUUID(), 100, today, young, "null")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(startsWith("This tank is 14 days old")));
        begin(UUID.randomUUID(), 100, today, young, "\"A start is a start\"").andExpect(status().isOk());
    }

    @Test
    void quarantine_goes_one_way() throws Exception {
        SignedIn helper = site.personOf(keeper, Role.HELPER);
        site.put(helper, "/api/tanks/" + nursery + "/quarantine", "{\"quarantine\": true}")
                .andExpect(status().isForbidden());
        site.put(keeper, "/api/tanks/" + nursery + "/quarantine", "{\"quarantine\": true}")
                .andExpect(status().isNoContent());
        site.get(keeper, "/api/quarantine-tanks").andExpect(jsonPath("$[0]").value(nursery));

        UUID bag = bag(300, today.minusDays(40), working(weir));
        move(bag, UUID.randomUUID(), today.minusDays(1), working(puff), "").andExpect(status().isOk());
        move(bag, UUID.randomUUID(), today, working(weir), ", \"why\": \"Please\"")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(startsWith("Nursery is a quarantine tank")));
        move(bag, UUID.randomUUID(), today, "{\"kind\": \"GONE\"}", ", \"why\": \"Done with\"")
                .andExpect(status().isOk());
        assertThat(piece(bag).get("state").asString()).isEqualTo("GONE");
    }

    @Test
    void moves_are_taken_back_last_first() throws Exception {
        UUID bag = bag(300, today.minusDays(40), working(weir));
        UUID shelf = UUID.randomUUID();
        UUID back = UUID.randomUUID();
        String first = piece(bag).get("lastMove").get("id").asString();
        move(bag, shelf, today.minusDays(3), "{\"kind\": \"DRY_SHELF\"}", "").andExpect(status().isOk());
        move(bag, back, today, working(puff), "").andExpect(status().isOk());
        assertThat(piece(bag).get("death").asString()).isEqualTo("It dried out.");

        move(bag, UUID.randomUUID(), today.minusDays(2), working(weir), "")
                .andExpect(jsonPath("$.errors[0].code").value("moved-since"));
        site.delete(keeper, "/api/media-moves/" + shelf)
                .andExpect(jsonPath("$.errors[0].code").value("not-the-last"));
        site.delete(keeper, "/api/media/" + bag)
                .andExpect(jsonPath("$.errors[0].code").value("has-a-history"));
        site.delete(keeper, "/api/media-moves/" + back).andExpect(status().isNoContent());
        site.delete(keeper, "/api/media-moves/" + shelf).andExpect(status().isNoContent());
        site.delete(keeper, "/api/media-moves/" + first)
                .andExpect(jsonPath("$.errors[0].code").value("first"));
        assertThat(piece(bag).get("state").asString()).isEqualTo("RIPE");
        assertThat(mass(brook, weir)).isEqualTo(2000);

        site.delete(keeper, "/api/media/" + bag).andExpect(status().isNoContent());
        site.get(keeper, "/api/media").andExpect(jsonPath("$").isEmpty());
    }

    @Test
    void history_stays_when_its_filter_and_tank_are_gone() throws Exception {
        UUID bag = bag(300, today.minusDays(40), working(weir));
        move(bag, UUID.randomUUID(), today, "{\"kind\": \"WET_SHELF\"}", "").andExpect(status().isOk());
        site.delete(keeper, "/api/filters/" + weir).andExpect(status().is2xxSuccessful());
        site.delete(keeper, "/api/tanks/" + brook).andExpect(status().is2xxSuccessful());

        JsonNode piece = piece(bag);
        assertThat(piece.get("stays").get(0).get("where").asString()).isEqualTo("Weir on Brook");
        assertThat(piece.get("share").asDouble()).isGreaterThan(0.9);
        move(bag, UUID.randomUUID(), today, working(weir), "").andExpect(status().isNotFound());
    }

    @Test
    void what_is_kept_under_an_id_stays_and_a_name_can_change() throws Exception {
        UUID bag = bag(300, today.minusDays(40), working(weir));

        begin(bag, 400, today.minusDays(40), working(weir), "null").andExpect(status().isConflict());
        begin(bag, 300, today.minusDays(40), working(weir), "null").andExpect(status().isOk());
        site.put(keeper, "/api/media/" + bag + "/name", "{\"name\": \" Old rings \"}")
                .andExpect(status().isOk());
        assertThat(piece(bag).get("name").asString()).isEqualTo("Old rings");
        site.put(keeper, "/api/media/" + UUID.randomUUID() + "/name", "{\"name\": \"x\"}")
                .andExpect(status().isNotFound());
    }

    @Test
    void a_spot_names_what_it_needs() throws Exception {
        begin(UUID.randomUUID(), 1, today, "{\"kind\": \"IN_FILTER\"}", "null")
                .andExpect(jsonPath("$.errors[0].field").value("spot.filterId"));
        begin(UUID.randomUUID(), 1, today, "{\"kind\": \"SEEDING\", \"filterId\": " + weir + "}", "null")
                .andExpect(jsonPath("$.errors[0].field").value("spot.forTankId"));
        begin(UUID.randomUUID(), 1, today.plusDays(2), working(weir), "null")
                .andExpect(jsonPath("$.errors[0].field").value("since"));
        begin(UUID.randomUUID(), 0, today, working(weir), "null")
                .andExpect(jsonPath("$.errors[0].field").value("grams"));
    }
}
