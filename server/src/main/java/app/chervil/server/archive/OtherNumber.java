package app.chervil.server.archive;

import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A number that a row has at another site, so that a tank handed on from one keeper to the next is known again by whoever
 * meets it twice.
 *
 * @param origin mark of the site where it has that number
 * @param relation name of an {@link ArchiveTable} whose rows are numbered
 * @param theirs its number at that site
 * @param ours its number at the site of the archive
 */
record OtherNumber(UUID origin, String relation, long theirs, long ours) {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    ArchiveTable table() {
        return ArchiveTable.valueOf(relation);
    }

    /** As a line of an archive. */
    String line() {
        return JSON.writeValueAsString(this) + '\n';
    }

    /** What a line of an archive says; empty if it says nothing of the kind. */
    static Optional<OtherNumber> read(String line) {
        try {
            JsonNode told = JSON.readTree(line);
            String relation = told.path("relation").asString("");
            boolean numbered = Arrays.stream(ArchiveTable.values())
                    .anyMatch(table -> table.numbered() && table.name().equals(relation));
            boolean numbers =
                    told.path("theirs").canConvertToLong() && told.path("ours").canConvertToLong();
            return numbered && numbers
                    ? Optional.of(new OtherNumber(
                            UUID.fromString(told.path("origin").asString("")),
                            relation,
                            told.path("theirs").asLong(),
                            told.path("ours").asLong()))
                    : Optional.empty();
        } catch (JacksonException | IllegalArgumentException unreadable) {
            return Optional.empty();
        }
    }
}
