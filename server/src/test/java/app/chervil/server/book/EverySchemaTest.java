package app.chervil.server.book;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/**
 * A database that has lived through every version: in each, every table is given a row more before the next comes, so that
 * each migration meets rows as every version before it kept them, and loses none.
 */
class EverySchemaTest {
    private static final long SEED = 3;

    @Test
    void what_any_version_stored_is_there_after_all_later_ones() {
        var source = new SingleConnectionDataSource(
                UpgradeTest.database(), System.getenv("CHERVIL_DB_USER"), System.getenv("CHERVIL_DB_PASSWORD"), true);
        JdbcTemplate stored = new JdbcTemplate(source);
        AnyRows rows = new AnyRows(stored, SEED);
        List<MigrationVersion> versions = Arrays.stream(
                        Flyway.configure().dataSource(source).load().info().all())
                .map(MigrationInfo::getVersion)
                .toList();
        assertThat(versions).hasSizeGreaterThan(35);

        Map<String, Integer> before = new TreeMap<>();
        for (MigrationVersion version : versions) {
            Flyway.configure().dataSource(source).target(version).load().migrate();
            List<String> tables = rows.tables();
            before.forEach((table, count) -> {
                if (tables.contains(table)) {
                    assertThat(rows.rowsOf(table))
                            .as("rows of %s after version %s", table, version)
                            .isGreaterThanOrEqualTo(count);
                }
            });
            assertThat(rows.addOneToEach())
                    .as("tables of version %s that took no row, and have none", version)
                    .allMatch(table -> rows.rowsOf(table) > 0);
            before.clear();
            tables.forEach(table -> before.put(table, rows.rowsOf(table)));
        }
    }
}
