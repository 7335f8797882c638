package app.chervil.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;

/** What is always so on the day the demo is loaded. */
final class DemoStory {
    private final Reader reader;
    private final LocalDate today;

    DemoStory(Reader reader, LocalDate today) {
        this.reader = reader;
        this.today = today;
    }

    /** Reads as its keeper. */
    interface Reader {
        JsonNode read(String path) throws Exception;
    }

    void holds() throws Exception {
        JsonNode rounds = reader.read("/api/rounds");
        List<JsonNode> due = reader.read("/api/forecasts")
                .valueStream()
                .filter(one ->
                        one.path("hold").isMissingNode() || one.get("hold").isNull())
                .filter(one -> Set.of(today, today.plusDays(1))
                        .contains(LocalDate.parse(one.get("window").get("ideal").asString())))
                .toList();

        assertThat(rounds.get("visits").valueStream())
                .filteredOn(visit -> visit.get("standing").asString().equals("LATE"))
                .singleElement()
                .satisfies(visit ->
                        assertThat(visit.get("effort").get("daysLate").asInt()).isEqualTo(2));
        assertThat(due.size()).isBetween(4, 6);
        assertThat(rounds.get("held")
                        .valueStream()
                        .map(held -> held.get("tank").get("name").asString()))
                .containsExactly("Newt nursery");
        assertThat(rounds.get("readings")
                        .valueStream()
                        .map(watch -> watch.get("tank").get("name").asString()))
                .containsExactly("Mangrove edge", "Newt nursery");
        assertThat(reader.read("/api/stores").get("items").valueStream())
                .filteredOn(
                        item -> !item.get("outlook").get("standing").asString().equals("ENOUGH"))
                .singleElement()
                .satisfies(item -> assertThat(item.get("shelf").get("ready").asDouble())
                        .isLessThan(item.get("item").get("reorderAt").asDouble())
                        .isPositive());
        assertThat(reader.read("/api/trials").valueStream()).singleElement().satisfies(trial -> {
            assertThat(trial.get("state").asString()).isEqualTo("RUNNING");
            assertThat(trial.get("subject").get("task").asString()).isEqualTo("Change the sock");
            assertThat(trial.get("verdict").asString()).isNotEqualTo("TOO_FEW");
        });
        assertThat(reader.read("/api/tanks").size()).isEqualTo(7);
        assertThat(reader.read("/api/services").get("total").asInt()).isBetween(400, 900);
    }

    /** Nothing but its pre-filter is asked of Brook bench, whose canister came to be opened after about 150 days. */
    void brookBenchIsDueItsPreFilter() throws Exception {
        assertThat(reader.read("/api/rounds").get("visits").valueStream())
                .filteredOn(visit -> visit.get("tank").get("name").asString().equals("Brook bench"))
                .singleElement()
                .satisfies(visit -> {
                    assertThat(visit.get("standing").asString()).isEqualTo("DUE");
                    assertThat(visit.get("errands").valueStream())
                            .singleElement()
                            .satisfies(errand ->
                                    assertThat(errand.get("name").asString()).isEqualTo("Rinse the pre-filter"));
                });
        assertThat(reader.read("/api/forecasts").valueStream())
                .filteredOn(forecast ->
                        forecast.get("subject").get("name").asString().equals("Open canister Weir"))
                .singleElement()
                .satisfies(forecast ->
                        assertThat(forecast.get("intervalDays").asInt()).isBetween(140, 160));
    }
}
