package app.chervil.server.archive;

import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.SignedIn;
import app.chervil.server.archive.ArchiveMapper.Column;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What stands before the tables of an archive: what it is, of which site and moment, and what its lines hold. */
@Component
class ArchiveHead {
    private final ArchiveMapper mapper;
    private final AccountOperations accounts;
    private final Clock clock;
    private final JsonMapper json = JsonMapper.builder().build();

    ArchiveHead(ArchiveMapper mapper, AccountOperations accounts, Clock clock) {
        this.mapper = mapper;
        this.accounts = accounts;
        this.clock = clock;
    }

    void write(ZipOutputStream zip, SignedIn who, Map<String, List<Column>> tables) throws IOException {
        text(zip, "README.txt", readme(who));
        text(
                zip,
                "archive.json",
                json.writeValueAsString(json.createObjectNode()
                        .put("format", ArchiveFile.FORMAT)
                        .put("version", ArchiveFile.VERSION)
                        .put("mark", mapper.mark(who.siteId()).toString())
                        .put("site", accounts.siteName(who))
                        .put("made", clock.instant().toString())));
        text(zip, "schema.json", json.writerWithDefaultPrettyPrinter().writeValueAsString(schema(tables)));
    }

    private String readme(SignedIn who) throws IOException {
        return new ClassPathResource("archive-readme.txt")
                .getContentAsString(StandardCharsets.UTF_8)
                .replace("{site}", accounts.siteName(who))
                .replace("{moment}", clock.instant().toString());
    }

    /** What each line of each table holds (JSON Schema 2020-12). */
    static Map<String, Object> schema(Map<String, List<Column>> tables) {
        Map<String, Object> definitions = new LinkedHashMap<>();
        tables.forEach((table, columns) -> {
            Map<String, Object> properties = new LinkedHashMap<>();
            columns.forEach(column -> properties.put(column.name(), type(table, column)));
            definitions.put(
                    table,
                    Map.of(
                            "type",
                            "object",
                            "properties",
                            properties,
                            "required",
                            columns.stream().map(Column::name).toList(),
                            "additionalProperties",
                            false));
        });
        return Map.of("$schema", "https://json-schema.org/draft/2020-12/schema", "$defs", definitions);
    }

    private static Map<String, Object> type(String table, Column column) {
        String plain =
                switch (column.type()) {
                    case "bigint", "integer", "smallint" -> "integer";
                    case "double precision", "numeric", "real" -> "number";
                    case "boolean" -> "boolean";
                    case "ARRAY" -> "array";
                    case "json", "jsonb" -> "object";
                    default -> "string";
                };
        Map<String, Object> told = new LinkedHashMap<>();
        told.put("type", column.nullable() ? List.of(plain, "null") : plain);
        switch (column.type()) {
            case "uuid" -> told.put("format", "uuid");
            case "date" -> told.put("format", "date");
            case "timestamp with time zone" -> told.put("format", "date-time");
            default -> {}
        }
        Set<String> constants = ArchiveTable.constants(table, column.name());
        if (!constants.isEmpty()) {
            List<@Nullable String> names = new ArrayList<>(new TreeSet<>(constants));
            if (column.nullable()) {
                names.add(null);
            }
            told.put("enum", names);
        }
        return told;
    }

    static void text(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(entry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    /** Without a time of its own, so that the same site gives the same bytes. */
    static ZipEntry entry(String name) {
        ZipEntry entry = new ZipEntry(name);
        entry.setTime(0);
        return entry;
    }
}
