package app.chervil.server.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.chervil.server.ChervilTest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.json.JsonMapper;

/** The scan of doors tries every operation with ids of rows that there are, also those that were added since. */
@ChervilTest
class PathIdsTest {
    private static final Pattern VARIABLE = Pattern.compile("\\{([^}]+)}");

    @Autowired
    JdbcTemplate database;

    @Test
    void every_variable_of_every_path_is_an_id_of_a_table_of_the_site() throws IOException {
        Set<String> asked = new TreeSet<>();
        for (String path : paths()) {
            VARIABLE.matcher(path).results().map(found -> found.group(1)).forEach(variable -> PathIds.table(
                            path, variable)
                    .ifPresent(asked::add));
        }

        List<String> there = database.queryForList(
                "select table_name from information_schema.columns where table_schema = 'public' and column_name in ('id',"
                        + " 'site_id', 'mark') group by table_name having count(*) = 2",
                String.class);
        assertThat(asked).hasSizeGreaterThan(30).allMatch(there::contains);
    }

    @Test
    void a_variable_that_nobody_knows_is_told() {
        assertThatThrownBy(() -> PathIds.table("/api/dragons/{dragon}", "dragon"))
                .hasMessage("/api/dragons/{dragon}: whose id is dragon?");
    }

    private static List<String> paths() throws IOException {
        return JsonMapper.builder()
                .build()
                .readTree(Files.readString(Path.of("openapi.json")))
                .get("paths")
                .propertyStream()
                .map(java.util.Map.Entry::getKey)
                .toList();
    }
}
