package app.chervil.server.archive;

import app.chervil.server.archive.ArchiveMapper.Column;
import app.chervil.server.table.Storable;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Reads the rows of one table and says what is wrong with those that this server would not have written. */
final class RowCheck {
    /** Longest line that is read. */
    static final int MOST_CHARACTERS = 500_000;

    private static final double MOST_NUMBER = 1e12;
    private static final LocalDate OLDEST = LocalDate.of(1950, 1, 1);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String relation;
    private final Map<String, Column> columns;
    private final LocalDate latest;

    /**
     * Checks rows of a table.
     *
     * @param columns of it that an archive holds
     * @param latest day that anything here may speak of
     */
    RowCheck(String relation, List<Column> columns, LocalDate latest) {
        this.relation = relation;
        this.columns = columns.stream().collect(Collectors.toMap(Column::name, Function.identity()));
        this.latest = latest;
    }

    /** A row, or why it is none. */
    record Checked(@Nullable ObjectNode row, @Nullable RowFault fault) {}

    Checked check(String line) {
        if (line.length() > MOST_CHARACTERS) {
            return refused("", "The line is too long.");
        }
        JsonNode read;
        try {
            read = JSON.readTree(line);
        } catch (JacksonException unreadable) {
            return refused("", "The line is no JSON.");
        }
        if (!(read instanceof ObjectNode row)) {
            return refused("", "The line is no JSON object.");
        }
        for (String name : row.propertyNames()) {
            Column column = columns.get(name);
            if (column == null) {
                return refused(name, "There is no such column here. The archive may be of a newer Chervil.");
            }
            Optional<String> fault = fault(column, row.get(name));
            if (fault.isPresent()) {
                return refused(name, fault.get());
            }
        }
        return columns.values().stream()
                .filter(column -> column.needed() && !row.has(column.name()))
                .findFirst()
                .map(column -> refused(column.name(), "It is missing."))
                .orElseGet(() -> new Checked(row, null));
    }

    private static Checked refused(String field, String words) {
        return new Checked(null, new RowFault(field, words));
    }

    private Optional<String> fault(Column column, JsonNode value) {
        if (value.isNull()) {
            return told(column.nullable(), "It must not be empty.");
        }
        return switch (column.type()) {
            case "bigint", "integer", "smallint" ->
                told(value.isIntegralNumber() && within(value), "It must be a whole number.");
            case "double precision", "numeric", "real" ->
                told(value.isNumber() && within(value), "It must be a number.");
            case "boolean" -> told(value.isBoolean(), "It must be true or false.");
            case "ARRAY" -> told(value.isArray(), "It must be a list.");
            case "json", "jsonb" -> told(value.isObject() && Storable.is(value.toString()), "It must be an object.");
            case "uuid" -> told(parsed(value, UUID::fromString), "It must be an id (UUID).");
            case "date" -> day(value, LocalDate::parse);
            case "timestamp with time zone" ->
                day(value, text -> OffsetDateTime.parse(text).toLocalDate());
            default -> text(column, value);
        };
    }

    private Optional<String> text(Column column, JsonNode value) {
        if (!value.isString() || !Storable.is(value.stringValue())) {
            return Optional.of("It must be text that can be kept.");
        }
        Set<String> known = ArchiveTable.constants(relation, column.name());
        return told(
                known.isEmpty() || known.contains(value.stringValue()),
                "“" + value.stringValue() + "” is not known here.");
    }

    private Optional<String> day(JsonNode value, Function<String, LocalDate> parse) {
        try {
            LocalDate day = parse.apply(value.isString() ? value.stringValue() : "");
            return told(!day.isBefore(OLDEST) && !day.isAfter(latest), "This day is too far from today.");
        } catch (DateTimeException unreadable) {
            return Optional.of("It must be a date.");
        }
    }

    private static boolean within(JsonNode value) {
        return Math.abs(value.doubleValue()) <= MOST_NUMBER;
    }

    private static boolean parsed(JsonNode value, Function<String, ?> parse) {
        try {
            return value.isString() && parse.apply(value.stringValue()) != null;
        } catch (IllegalArgumentException unreadable) {
            return false;
        }
    }

    private static Optional<String> told(boolean holds, String fault) {
        return holds ? Optional.empty() : Optional.of(fault);
    }
}
