package app.chervil.server.bench;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Random;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Writes of every kind on one tank with a canister, each under an id of its own, and what takes them back. */
final class Writes {
    private static final String TANK = """
            {"name": "Tank", "room": "", "netVolumeL": 220, "establishedOn": "2020-01-01",
             "setting": {"water": "FRESH", "stocking": "NORMAL", "feeding": "NORMAL", "bacteriaHome": "MEDIA",
                         "tapWater": "CHLORAMINE"},
             "schools": {"opening": "CONDITION_LED", "sock": "CLARITY", "rinse": "TANK_WATER", "thoroughness": "LIGHT"}}""";

    private static final String FILTER = """
            {"name": "Weir", "kind": "CANISTER", "direction": "BOTTOM_UP", "rating": {"flowLph": 900},
             "careFrom": "2024-01-01", "stages": [
               {"kind": "PREFILTER_SPONGE", "label": "", "quantity": 1, "make": "WASHABLE", "bagged": false},
               {"kind": "COARSE_FOAM", "label": "", "quantity": 1, "make": "WASHABLE", "bagged": false}]}""";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What is written, and how many rows of which table must then hold its id. */
    enum Kind {
        SERVICE("service_task", "service_id", 1),
        READINGS("reading", "id", 2),
        WATER_CHANGE("water_change", "id", 1),
        CHORE("chore_done", "id", 1),
        CONDITION("condition_check", "id", 1),
        GUIDED("guided_event", "id", 3);

        private final String table;
        private final String column;
        private final int rows;

        Kind(String table, String column, int rows) {
            this.table = table;
            this.column = column;
            this.rows = rows;
        }

        String table() {
            return table;
        }

        String column() {
            return column;
        }

        int rows() {
            return rows;
        }
    }

    /** One write. */
    record Written(Kind kind, UUID id) {
        static Written of(Kind kind, Random random) {
            return new Written(
                    kind, new UUID(random.nextLong() & ~0xF000L | 0x4000L, random.nextLong() >>> 2 | 1L << 63));
        }

        /** Ids of its rows, which follow from the first. */
        UUID id(int place) {
            return new UUID(id.getMostSignificantBits(), id.getLeastSignificantBits() + place);
        }

        /** A time that is the same whenever this is sent. */
        private Instant at() {
            return Instant.parse("2026-01-01T00:00:00Z")
                    .plusSeconds(Math.floorMod(id.getLeastSignificantBits(), 8_000_000));
        }

        private LocalDate day() {
            return at().atZone(ZoneOffset.UTC).toLocalDate();
        }
    }

    /** What is asked of the server. */
    record Request(String method, String path, String body) {}

    private final long tank;
    private final long task;
    private final UUID guided;
    private final String step;

    private Writes(long tank, long task, UUID guided, String step) {
        this.tank = tank;
        this.task = task;
        this.guided = guided;
        this.step = step;
    }

    /** Makes the tank, its filter and a guided service that is under way. */
    static Writes prepare(Served server) throws Exception {
        long tank =
                JSON.readTree(server.ask("POST", "/api/tanks", TANK)).get("id").asLong();
        JsonNode made = JSON.readTree(server.ask("POST", "/api/tanks/" + tank + "/filters", FILTER));
        long task = made.get("tasks").get(0).get("id").asLong();
        UUID guided = UUID.randomUUID();
        String begun = server.ask("PUT", "/api/guided-services/" + guided, """
            {"filterId": %d, "tasks": [%d], "chores": []}""".formatted(
                        made.get("id").asLong(), task));
        return new Writes(
                tank,
                task,
                guided,
                JSON.readTree(begun).get("steps").get(0).get("id").asString());
    }

    long tank() {
        return tank;
    }

    Request request(Written one) {
        UUID id = one.id();
        return switch (one.kind()) {
            case SERVICE -> new Request("PUT", "/api/services/" + id, """
                {"tankId": %d, "doneOn": "%s", "doneBy": "Ada", "minutes": 5, "note": "", "flows": [],
                 "tasks": [{"taskId": %d, "finding": "LIGHT"}]}""".formatted(tank, one.day(), task));
            case READINGS ->
                new Request("POST", "/api/tanks/" + tank + "/readings", """
                {"takenAt": "%s", "moment": "PLAIN", "confirmed": true, "values": [
                  {"id": "%s", "parameter": "NITRATE", "amount": 20, "belowDetection": false, "early": false, "method": ""},
                  {"id": "%s", "parameter": "PH", "amount": 7.2, "belowDetection": false, "early": false, "method": ""}]}""".formatted(one.at(), id, one.id(1)));
            case WATER_CHANGE ->
                new Request("PUT", "/api/tanks/" + tank + "/water-changes/" + id, """
                {"changedAt": "%s", "litres": 40, "bucketLitres": 0, "note": ""}""".formatted(one.at()));
            case CHORE -> new Request("PUT", "/api/chores-done/" + id, """
                {"tankId": %d, "kind": "LIGHTS_AND_COVERS", "doneOn": "%s"}""".formatted(tank, one.day()));
            case CONDITION -> new Request("PUT", "/api/tanks/" + tank + "/condition-checks/" + id, """
                {"amiss": [], "note": ""}""");
            case GUIDED -> new Request("POST", "/api/guided-services/" + guided + "/events", events(one));
        };
    }

    /** What takes a write back; a step of a guided service cannot be. */
    Request takenBack(Written one) {
        String path =
                switch (one.kind()) {
                    case SERVICE -> "/api/services/";
                    case READINGS -> "/api/readings/";
                    case WATER_CHANGE -> "/api/water-changes/";
                    case CHORE -> "/api/chores-done/";
                    case CONDITION -> "/api/tanks/" + tank + "/condition-checks/";
                    case GUIDED -> throw new IllegalArgumentException("steps stay");
                };
        return new Request("DELETE", path + one.id(), "");
    }

    private String events(Written one) {
        StringBuilder all = new StringBuilder();
        for (int i = 0; i < Kind.GUIDED.rows; i++) {
            all.append(i == 0 ? "" : ",")
                    .append("""
                {"id": "%s", "step": "%s", "kind": "%s", "value": "", "happenedAt": "%s"}""".formatted(one.id(i), step, i % 2 == 0 ? "DONE" : "UNDONE", one.at()));
        }
        return "{\"events\": [" + all + "]}";
    }
}
