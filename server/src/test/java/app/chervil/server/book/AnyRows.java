package app.chervil.server.book;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Rows for whatever tables a database has, made from its catalogue alone: a value of each column's type, one of the words
 * its check allows, a row that its foreign keys find. What a check over several columns refuses is drawn again.
 */
final class AnyRows {
    private static final int TRIES = 24;
    private static final Pattern LITERAL = Pattern.compile("'([^']*)'::text");

    private final JdbcTemplate stored;
    private final Random random;
    private int made;

    AnyRows(JdbcTemplate stored, long seed) {
        this.stored = stored;
        this.random = new Random(seed);
    }

    private record Column(
            String name, String type, boolean nullable, boolean given, boolean usual, List<String> words) {}

    private record Reference(String table, List<String> from, List<String> to) {}

    List<String> tables() {
        return stored.queryForList("""
                select relname from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace
                  and relname <> 'flyway_schema_history' order by relname""", String.class);
    }

    int rowsOf(String table) {
        return Objects.requireNonNull(
                stored.queryForObject("select count(*) from \"" + table + "\"", Integer.class), table);
    }

    /**
     * Adds a row to every table that takes one, those first that others refer to.
     *
     * @return tables that took none
     */
    List<String> addOneToEach() {
        List<String> left = new ArrayList<>(tables());
        int before;
        do {
            before = left.size();
            left.removeIf(this::add);
        } while (!left.isEmpty() && left.size() < before);
        return left;
    }

    private boolean add(String table) {
        List<Column> columns = columns(table);
        List<Reference> references = references(table);
        for (int attempt = 0; attempt < TRIES; attempt++) {
            Map<String, Object> row = row(columns, references);
            try {
                stored.update(
                        "insert into \"%s\" (%s) values (%s)"
                                .formatted(
                                        table,
                                        row.keySet().stream()
                                                .map(name -> '"' + name + '"')
                                                .collect(Collectors.joining(", ")),
                                        row.keySet().stream()
                                                .map(name -> "?::" + type(columns, name))
                                                .collect(Collectors.joining(", "))),
                        row.values().toArray());
                return true;
            } catch (DataAccessException refused) {
                continue;
            }
        }
        return false;
    }

    private static String type(List<Column> columns, String name) {
        return columns.stream()
                .filter(column -> column.name().equals(name))
                .findFirst()
                .orElseThrow()
                .type();
    }

    private Map<String, Object> row(List<Column> columns, List<Reference> references) {
        Map<String, Object> row = new HashMap<>();
        for (Reference reference : references) {
            refer(reference, row);
        }
        for (Column column : columns) {
            boolean referring =
                    references.stream().anyMatch(reference -> reference.from().contains(column.name()));
            boolean leftOut = column.given()
                    || (column.usual() && random.nextBoolean())
                    || (column.nullable() && random.nextInt(3) == 0);
            if (!referring && !leftOut) {
                row.put(column.name(), value(column));
            }
        }
        return row;
    }

    private void refer(Reference reference, Map<String, Object> row) {
        List<String> known = new ArrayList<>();
        List<Object> values = new ArrayList<>();
        for (int i = 0; i < reference.from().size(); i++) {
            Object value = row.get(reference.from().get(i));
            if (value != null) {
                known.add("\"" + reference.to().get(i) + "\" = ?");
                values.add(value);
            }
        }
        List<Map<String, Object>> found = stored.queryForList(
                "select * from \"" + reference.table() + "\""
                        + (known.isEmpty() ? "" : " where " + String.join(" and ", known)),
                values.toArray());
        if (reference.table().equals("site")) {
            // All of one site, since a row never refers to another's.
            found = found.stream()
                    .min(Comparator.comparing(site -> ((Number) site.get("id")).longValue()))
                    .map(List::of)
                    .orElse(List.of());
        }
        if (!found.isEmpty()) {
            Map<String, Object> one = found.get(random.nextInt(found.size()));
            for (int i = 0; i < reference.from().size(); i++) {
                row.put(reference.from().get(i), one.get(reference.to().get(i)));
            }
        }
    }

    /** Text is a JSON array as well, since some columns held JSON as text before they held it as such. */
    private Object value(Column column) {
        made++;
        if (!column.words().isEmpty()) {
            return column.words().get(random.nextInt(column.words().size()));
        }
        return switch (column.type()) {
            case "text" -> "[" + made + "]";
            case "integer", "bigint", "smallint", "numeric(12,2)", "double precision", "real" -> 1 + random.nextInt(9);
            case "boolean" -> random.nextBoolean();
            case "uuid" -> new UUID(random.nextLong(), random.nextLong());
            case "date" -> "2026-%02d-%02d".formatted(1 + random.nextInt(6), 1 + random.nextInt(28));
            case "timestamp with time zone" -> "2026-%02d-11T10:00:00Z".formatted(1 + random.nextInt(9));
            case "time without time zone" -> "%02d:30".formatted(random.nextInt(24));
            case "jsonb" -> random.nextBoolean() ? "{}" : "[]";
            case "bytea" -> new byte[] {1, 2, 3};
            default -> "[" + made + "]";
        };
    }

    private List<Column> columns(String table) {
        return stored.query(
                """
                select a.attname, format_type(a.atttypid, a.atttypmod) as type, not a.attnotnull as nullable,
                  a.attidentity <> '' or a.attgenerated <> '' as given,
                  a.atthasdef as usual,
                  coalesce((select string_agg(pg_get_constraintdef(c.oid), ' ') from pg_constraint c
                    where c.conrelid = a.attrelid and c.contype = 'c' and a.attnum = any (c.conkey)), '') as checks
                from pg_attribute a
                where a.attrelid = ?::regclass and a.attnum > 0 and not a.attisdropped order by a.attnum""",
                (found, i) -> new Column(
                        found.getString("attname"),
                        found.getString("type"),
                        found.getBoolean("nullable"),
                        found.getBoolean("given"),
                        found.getBoolean("usual"),
                        LITERAL.matcher(found.getString("checks"))
                                .results()
                                .map(literal -> literal.group(1))
                                .toList()),
                table);
    }

    private List<Reference> references(String table) {
        return stored.query(
                """
                select c.confrelid::regclass::text as found,
                  (select string_agg(a.attname, ',' order by k.n) from unnest(c.conkey) with ordinality k(num, n)
                    join pg_attribute a on a.attrelid = c.conrelid and a.attnum = k.num) as from_columns,
                  (select string_agg(a.attname, ',' order by k.n) from unnest(c.confkey) with ordinality k(num, n)
                    join pg_attribute a on a.attrelid = c.confrelid and a.attnum = k.num) as to_columns
                from pg_constraint c where c.conrelid = ?::regclass and c.contype = 'f' order by c.conname""",
                (found, i) -> new Reference(
                        found.getString("found"),
                        List.of(found.getString("from_columns").split(",")),
                        List.of(found.getString("to_columns").split(","))),
                table);
    }
}
