package app.chervil.server.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A service kit: bought as one, counted down part by part, to the millilitre. Today is Monday 1 June 2026. */
@ChervilTest
class KitApiTest {
    private static final String STORES = "/api/stores";
    private static final String KIT = """
            {"name": "Service kit", "unit": "PIECE", "turned": false, "amountPerUse": 1, "reorderAt": 1, "leadDays": 10,
             "kit": [{"name": "Impeller set", "count": 1}, {"name": "Set of seal rings", "count": 2},
                     {"name": "Silicone grease", "count": 4.5}]}""";
    private static final String GREASE = """
            {"name": "Silicone grease", "unit": "MILLILITRE", "turned": false, "amountPerUse": 0.2, "reorderAt": 1,
             "leadDays": 5, "price": 0.012345}""";

    @Autowired
    TestSite site;

    SignedIn keeper;
    long kit;
    long grease;

    @BeforeEach
    void fill() throws Exception {
        keeper = site.keeper();
        kit = made(KIT);
        grease = made(GREASE);
        move(kit, "COUNTED", 2);
        move(grease, "COUNTED", 1.5);
    }

    @Test
    void opened_it_is_gone_and_every_part_of_it_is_on_the_shelf() throws Exception {
        open(UUID.randomUUID(), kit);

        assertThat(ready("Service kit")).isEqualTo(1);
        assertThat(ready("Impeller set")).isEqualTo(1);
        assertThat(ready("Set of seal rings")).isEqualTo(2);
        assertThat(ready("Silicone grease")).isEqualTo(6);
    }

    @Test
    void opened_twice_under_one_id_it_is_opened_once_and_taken_back_all_of_it_returns() throws Exception {
        UUID id = UUID.randomUUID();
        open(id, kit);
        open(id, kit);
        assertThat(ready("Silicone grease")).isEqualTo(6);

        site.delete(keeper, STORES + "/moves/" + id).andExpect(status().isNoContent());

        assertThat(ready("Service kit")).isEqualTo(2);
        assertThat(ready("Silicone grease")).isEqualTo(1.5);
    }

    @Test
    void a_price_per_millilitre_comes_back_to_its_last_digit() throws Exception {
        assertThat(item("Silicone grease").get("item").get("price").decimalValue())
                .isEqualByComparingTo("0.012345");
        assertThat(item("Service kit").get("item").get("kit")).hasSize(3);
    }

    @Test
    void what_is_no_kit_is_not_opened_and_a_kit_holds_each_part_once() throws Exception {
        site.put(keeper, STORES + "/openings/" + UUID.randomUUID(), opening(grease))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("no-kit"));
        site.post(
                        keeper,
                        STORES + "/items",
                        KIT.replace("Service kit", "Kit").replace("Impeller set", "set of seal rings"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("kit"));
        site.put(keeper, STORES + "/moves/" + UUID.randomUUID(), """
                {"itemId": %d, "kind": "OPENED", "amount": 1, "on": "2026-06-01"}""".formatted(kit))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("open-the-kit"));
    }

    @Test
    void more_taken_than_was_there_leaves_nothing_and_asks_for_a_count() throws Exception {
        move(grease, "LOST", 4);

        JsonNode shelf = item("Silicone grease").get("shelf");
        assertThat(shelf.get("ready").asDouble()).isZero();
        assertThat(shelf.get("unsure").asBoolean()).isTrue();

        move(grease, "COUNTED", 3);
        assertThat(item("Silicone grease").get("shelf").get("unsure").asBoolean())
                .isFalse();
    }

    private long made(String item) throws Exception {
        return site.read(site.post(keeper, STORES + "/items", item).andExpect(status().isCreated()))
                .get("id")
                .asLong();
    }

    private void move(long item, String kind, double amount) throws Exception {
        site.put(keeper, STORES + "/moves/" + UUID.randomUUID(), """
                {"itemId": %d, "kind": "%s", "amount": %s, "on": "2026-06-01"}""".formatted(item, kind, amount))
                .andExpect(status().isNoContent());
    }

    private void open(UUID id, long item) throws Exception {
        site.put(keeper, STORES + "/openings/" + id, opening(item)).andExpect(status().isNoContent());
    }

    private static String opening(long item) {
        return "{\"itemId\": %d, \"on\": \"2026-06-01\"}".formatted(item);
    }

    private double ready(String name) throws Exception {
        return item(name).get("shelf").get("ready").asDouble();
    }

    private JsonNode item(String name) throws Exception {
        return site.read(site.get(keeper, STORES))
                .get("items")
                .valueStream()
                .filter(one -> one.get("item").get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }
}
