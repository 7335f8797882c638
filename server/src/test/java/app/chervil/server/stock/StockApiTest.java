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

/** A keeper with one canister, whose fine pad is thrown away at each opening; today is Monday 1 June 2026. */
@ChervilTest
class StockApiTest {
    private static final String STORES = "/api/stores";
    private static final String ITEMS = STORES + "/items";
    private static final String PAD = """
            {"name": "%s", "unit": "PIECE", "turned": false, "amountPerUse": 1, "reorderAt": 3, "leadDays": 10, "price": 2.50}""";

    @Autowired
    TestSite site;

    private SignedIn keeper;
    private long tank;
    private JsonNode canister;

    @BeforeEach
    void tank() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        canister = site.canister(keeper, tank, "Weir", "2026-04-20");
    }

    private long pad() throws Exception {
        return site.read(site.post(keeper, ITEMS, PAD.formatted("Fine pad")).andExpect(status().isCreated()))
                .get("id")
                .asLong();
    }

    private UUID move(long item, String kind, double amount, String on) throws Exception {
        UUID id = UUID.randomUUID();
        site.put(keeper, STORES + "/moves/" + id, moved(item, kind, amount, on)).andExpect(status().isNoContent());
        return id;
    }

    private static String moved(long item, String kind, double amount, String on) {
        return """
            {"itemId": %d, "kind": "%s", "amount": %s, "on": "%s"}""".formatted(item, kind, amount, on);
    }

    private UUID padChanged(String on, String parts) throws Exception {
        UUID id = UUID.randomUUID();
        site.put(keeper, "/api/services/" + id, """
                {"tankId": %d, "doneOn": "%s", "doneBy": "Marit", "note": "", "flows": [],
                 "tasks": [{"taskId": %d}], "circumstances": {"parts": [%s]}}""".formatted(
                                tank, on, TestSite.task(canister, "Change the fine pad"), parts))
                .andExpect(status().isOk());
        return id;
    }

    private JsonNode stores() throws Exception {
        return site.read(site.get(keeper, STORES).andExpect(status().isOk()));
    }

    private JsonNode only() throws Exception {
        JsonNode items = stores().get("items");
        assertThat(items).hasSize(1);
        return items.get(0);
    }

    @Test
    void what_filters_use_is_offered_until_it_is_kept() throws Exception {
        JsonNode before = stores().get("notKept");

        pad();

        assertThat(before.valueStream().map(one -> one.get("name").asString())).contains("Fine pad");
        assertThat(before.get(0).get("tanks").get(0).asString()).isEqualTo("Brook");
        assertThat(stores().get("notKept").valueStream().map(one -> one.get("name")
                        .asString()))
                .doesNotContain("Fine pad");
    }

    @Test
    void a_service_takes_from_the_shelf_what_its_tasks_use() throws Exception {
        long pad = pad();
        move(pad, "COUNTED", 4, "2026-05-10");

        UUID service = padChanged("2026-05-20", "");

        JsonNode item = only();
        assertThat(item.get("shelf").get("ready").asDouble()).isEqualTo(3);
        assertThat(item.get("outlook").get("standing").asString()).isEqualTo("ENOUGH");
        assertThat(item.get("use").get("costAYear").decimalValue())
                .isEqualByComparingTo(stores().get("costAYear").decimalValue())
                .isPositive();
        assertThat(site.read(site.get(keeper, ITEMS + "/" + pad + "/moves"))
                        .get(0)
                        .get("service")
                        .asString())
                .isEqualTo(service.toString());
    }

    @Test
    void what_a_service_says_it_used_counts_and_taking_it_back_puts_it_back() throws Exception {
        long pad = pad();
        move(pad, "COUNTED", 4, "2026-05-10");
        UUID two = padChanged("2026-05-20", "{\"thing\": \"Fine pad\", \"quantity\": 2}");
        padChanged("2026-05-21", "{\"thing\": \"Fine pad\", \"quantity\": 0}");

        assertThat(only().get("shelf").get("ready").asDouble()).isEqualTo(2);
        assertThat(only().get("outlook").get("standing").asString()).isEqualTo("LOW");

        site.delete(keeper, "/api/services/" + two).andExpect(status().isNoContent());

        assertThat(only().get("shelf").get("ready").asDouble()).isEqualTo(4);
    }

    @Test
    void nothing_is_said_of_the_shelf_before_it_is_counted() throws Exception {
        long pad = pad();
        padChanged("2026-05-20", "");
        UUID bought = move(pad, "BOUGHT", 5, "2026-05-21");

        assertThat(only().has("shelf")).isFalse();

        move(pad, "COUNTED", 6, "2026-05-22");
        site.delete(keeper, STORES + "/moves/" + bought).andExpect(status().isNoContent());

        assertThat(only().get("shelf").get("ready").asDouble()).isEqualTo(6);
    }

    @Test
    void input_that_makes_no_sense_is_refused_at_its_field() throws Exception {
        long pad = pad();

        site.post(keeper, ITEMS, PAD.formatted(" fine PAD "))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("name"));
        site.post(keeper, ITEMS, PAD.formatted("")).andExpect(status().isUnprocessableContent());
        String move = STORES + "/moves/" + UUID.randomUUID();
        site.put(keeper, move, moved(pad, "WASHED", 2, "2026-05-20"))
                .andExpect(jsonPath("$.errors[0].code").value("not-washed"));
        site.put(keeper, move, moved(pad, "BOUGHT", 0, "2026-05-20"))
                .andExpect(jsonPath("$.errors[0].field").value("amount"));
        site.put(keeper, move, moved(pad, "COUNTED", 2, "2026-06-02"))
                .andExpect(jsonPath("$.errors[0].field").value("on"));
    }

    @Test
    void an_item_of_another_site_is_not_there() throws Exception {
        long pad = pad();
        SignedIn stranger = site.keeper();

        site.get(stranger, ITEMS + "/" + pad + "/moves").andExpect(status().isNotFound());
        site.put(stranger, ITEMS + "/" + pad, "{\"version\": 0, \"item\": " + PAD.formatted("Mine") + "}")
                .andExpect(status().isNotFound());
        site.delete(stranger, ITEMS + "/" + pad).andExpect(status().isNotFound());
    }

    @Test
    void a_removed_item_returns_with_its_shelf_unless_its_name_is_taken() throws Exception {
        long pad = pad();
        move(pad, "COUNTED", 4, "2026-05-10");
        site.put(keeper, ITEMS + "/" + pad, "{\"version\": 7, \"item\": " + PAD.formatted("Fine pad") + "}")
                .andExpect(status().isConflict());
        site.delete(keeper, ITEMS + "/" + pad).andExpect(status().isNoContent());
        assertThat(stores().get("items")).isEmpty();

        site.post(keeper, ITEMS + "/" + pad + "/restore", "").andExpect(status().isNoContent());

        assertThat(only().get("shelf").get("ready").asDouble()).isEqualTo(4);
        site.post(keeper, ITEMS + "/" + pad + "/restore", "").andExpect(status().isUnprocessableContent());
    }

    @Test
    void prices_are_in_the_currency_of_the_site() throws Exception {
        String units = """
            {"volume": "LITRE", "mass": "GRAM", "length": "METRE", "dose": "MILLILITRE", "temperature": "CELSIUS",
             "concentration": "PPM", "hardness": "DH", "salinity": "G_PER_L", "dateOrder": "DAY_FIRST",
             "weekStart": "MONDAY", "decimalSign": "POINT", "currency": "%s"}""";
        site.put(keeper, "/api/units", units.formatted("CHF"))
                .andExpect(jsonPath("$.currency").value("CHF"));
        site.put(keeper, "/api/units", units.formatted("francs"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("currency"));
    }
}
