package app.chervil.server.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Which table a variable in the path of an operation is an id of. */
final class PathIds {
    private static final Set<String> NAMED_LIKE_THEIR_TABLE =
            Set.of("tank", "filter", "account", "service", "photo", "pause", "device", "alert");

    private static final Map<String, String> TABLES = Map.of(
            "task", "care_task",
            "other", "service",
            "guided", "guided_service",
            "look", "stage_look",
            "followUp", "follow_up",
            "future", "future_run",
            "mark", "pass",
            "piece", "media_piece",
            "move", "media_move",
            "exchange", "media_exchange");

    /** By the word that stands before it, where a path only says id. */
    private static final Map<String, String> BEFORE_ID = Map.ofEntries(
            Map.entry("calendars", "calendar_feed"),
            Map.entry("chores-done", "chore_done"),
            Map.entry("media-replacements", "media_replacement"),
            Map.entry("exceptions", "day_exception"),
            Map.entry("readings", "reading"),
            Map.entry("items", "stock_item"),
            Map.entry("moves", "stock_move"),
            Map.entry("openings", "stock_move"),
            Map.entry("trials", "trial"),
            Map.entry("trouble-cases", "trouble_case"),
            Map.entry("vessels", "vessel"),
            Map.entry("water-changes", "water_change"),
            Map.entry("condition-checks", "condition_check"),
            Map.entry("medications", "medication"),
            Map.entry("tank-events", "tank_event"),
            Map.entry("events", "tank_event"));

    /** What is no id of a row that belongs to a site. */
    private static final Set<String> WORDS = Set.of("kind", "name", "key", "login", "secret", "site", "passkey");

    private PathIds() {}

    /**
     * The table; empty for what is a word.
     *
     * @throws IllegalArgumentException if nobody said, so that no operation is tried with ids of nothing
     */
    static Optional<String> table(String path, String variable) {
        if (WORDS.contains(variable)) {
            return Optional.empty();
        }
        if (NAMED_LIKE_THEIR_TABLE.contains(variable)) {
            return Optional.of(variable);
        }
        List<String> parts = Arrays.asList(path.split("/"));
        String table =
                variable.equals("id") ? BEFORE_ID.get(parts.get(parts.indexOf("{id}") - 1)) : TABLES.get(variable);
        return Optional.of(Optional.ofNullable(table)
                .orElseThrow(() -> new IllegalArgumentException(path + ": whose id is " + variable + "?")));
    }
}
