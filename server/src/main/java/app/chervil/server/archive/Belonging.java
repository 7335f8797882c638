package app.chervil.server.archive;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.JsonNode;

/** Finds the tank that each row of an archive is of; rows must come in the order of their tables. */
final class Belonging {
    private final Map<ArchiveTable, Map<String, Long>> tankOf = new EnumMap<>(ArchiveTable.class);

    /** The tank a row is of, by its number in the archive; empty if it is of none, or of one that is not in it. */
    Optional<Long> tank(ArchiveTable table, JsonNode row) {
        Optional<Long> tank = table == ArchiveTable.TANK
                ? Optional.of(row.get("id").asLong())
                : table.references().stream()
                        .map(column -> Optional.ofNullable(tankOf(ArchiveTable.target(column))
                                .get(row.path(column).asString(""))))
                        .flatMap(Optional::stream)
                        .findFirst();
        if (row.has("id")) {
            tank.ifPresent(found -> tankOf(table).put(row.get("id").asString(), found));
        }
        return tank;
    }

    /** Whether a row is of the whole site, though its table is of tanks. */
    static boolean ofSite(JsonNode row) {
        return row.path("tank_id").isNull();
    }

    private Map<String, Long> tankOf(ArchiveTable table) {
        return tankOf.computeIfAbsent(table, one -> new HashMap<>());
    }
}
