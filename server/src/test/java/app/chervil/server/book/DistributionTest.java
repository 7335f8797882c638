package app.chervil.server.book;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.server.ChervilTest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** A site's data can be stored apart from that of others: each key holds the site, and no statement spans two. */
@ChervilTest
class DistributionTest {
    /** By which a site is found, and what belongs to none. */
    private static final Set<String> EVERYWHERE =
            Set.of("site", "door", "person", "known_address", "spring_session", "sign_in_failure", "scheduled_tasks");

    private static final Pattern STATEMENT = Pattern.compile("(?s)<(select|insert|update|delete) [^>]*>(.*?)</\\1>");
    private static final Pattern INCLUDE = Pattern.compile("<include refid=\"([^\"]+)\"/>");
    private static final Pattern ANNOTATION =
            Pattern.compile("(?s)@(?:Select|Insert|Update|Delete)\\((.*?)\\)\\s+[A-Za-z<>, .]+ [a-zA-Z]+\\(");
    private static final Pattern TABLE = Pattern.compile("\\b(?:from|join|into|update) ([a-z][a-z_]+)\\b");
    private static final Pattern JOIN =
            Pattern.compile("\\bjoin ([a-z_]+)((?: as)? [a-z]+)? on ((?:(?! join | where ).)*)");

    @Autowired
    JdbcTemplate database;

    @Test
    void every_key_of_a_sites_data_holds_the_site() {
        List<String> without = database.queryForList("""
                select pg_constraint.conrelid::regclass || '.' || conname
                from pg_constraint
                join pg_attribute on pg_attribute.attrelid = conrelid and attname = 'site_id'
                where contype in ('p', 'u', 'f')
                  and connamespace = 'public'::regnamespace
                  and conrelid <> 'door'::regclass
                  and not pg_attribute.attnum = any (conkey)""", String.class);

        assertThat(without).isEmpty();
    }

    @Test
    void every_unique_index_holds_it_too_and_every_arrow_has_an_index() {
        assertThat(database.queryForList("""
                select indexrelid::regclass::text
                from pg_index
                join pg_attribute on pg_attribute.attrelid = indrelid and attname = 'site_id'
                where indisunique and indrelid <> 'door'::regclass
                  and not pg_attribute.attnum = any (indkey::int2[])""", String.class)).isEmpty();
        assertThat(database.queryForList("""
                select conrelid::regclass || '.' || conname
                from pg_constraint
                where contype = 'f' and connamespace = 'public'::regnamespace
                  and not exists (
                    select 1 from pg_index
                    where indrelid = conrelid
                      and (indkey::int2[])[0 : cardinality(conkey) - 1] @> conkey)""", String.class)).isEmpty();
    }

    /** Statements of all mappers as they are written, with the fragments they include. */
    private static List<String> statements() throws IOException {
        List<String> found = new ArrayList<>();
        for (Path file : files("src/main/resources", "Mapper.xml")) {
            String text = Files.readString(file);
            for (String part : all(STATEMENT, included(text, text), 2)) {
                found.add(part);
            }
        }
        for (Path file : files("src/main/java", "Mapper.java")) {
            found.addAll(all(ANNOTATION, Files.readString(file), 1));
        }
        return found.stream()
                .map(text ->
                        text.replaceAll("<[^>]*>", " ").replaceAll("\\s+", " ").strip())
                .toList();
    }

    private static String included(String text, String fragments) {
        return INCLUDE.matcher(text)
                .replaceAll(hit -> Matcher.quoteReplacement(
                        all(Pattern.compile("(?s)<sql id=\"" + hit.group(1) + "\">(.*?)</sql>"), fragments, 1)
                                .get(0)));
    }

    private static List<Path> files(String root, String suffix) throws IOException {
        try (Stream<Path> tree = Files.walk(Path.of(root))) {
            return tree.filter(file -> file.toString().endsWith(suffix)).toList();
        }
    }

    private static List<String> all(Pattern pattern, String text, int group) {
        return pattern.matcher(text).results().map(hit -> hit.group(group)).toList();
    }

    private Set<String> tablesOfSites() {
        Set<String> tables = new TreeSet<>(database.queryForList("""
                select table_name::text from information_schema.columns
                where table_schema = 'public' and column_name = 'site_id'""", String.class));
        tables.removeAll(EVERYWHERE);
        return tables;
    }

    @Test
    void no_statement_spans_two_sites() throws IOException {
        Set<String> tables = tablesOfSites();

        assertThat(statements()).hasSizeGreaterThan(120).allSatisfy(text -> {
            boolean ofSite = all(TABLE, text, 1).stream().anyMatch(tables::contains);
            assertThat(!ofSite || text.contains("#{site}") || text.contains("door.mark = "))
                    .as(text)
                    .isTrue();
        });
    }

    @Test
    void tables_meet_within_their_site_only() throws IOException {
        Set<String> tables = tablesOfSites();

        assertThat(statements().stream()
                        .flatMap(text -> JOIN.matcher(text).results())
                        .toList())
                .hasSizeGreaterThan(20)
                .filteredOn(join -> tables.contains(join.group(1)))
                .allSatisfy(join -> assertThat(join.group(3)).as(join.group()).contains(".site_id"));
    }
}
