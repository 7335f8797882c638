package app.chervil.server;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;
import org.springframework.boot.test.util.TestPropertyValues;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Makes an empty database for each context, on the cluster that {@code ./chervil test} starts. Its connections are waited for
 * longer than people are let wait: a busy machine is no fault here, and how soon a server says that its records are away is
 * tested at the one that is shipped.
 */
class TestDatabase implements ApplicationContextInitializer<ConfigurableApplicationContext> {
    private static final String[] PATIENT = {
        "spring.datasource.hikari.connection-timeout=20000", "spring.datasource.hikari.validation-timeout=10000"
    };

    @Override
    public void initialize(ConfigurableApplicationContext context) {
        String base = needed("CHERVIL_DB_BASE");
        String user = needed("CHERVIL_DB_USER");
        String password = needed("CHERVIL_DB_PASSWORD");
        String name = "chervil_" + UUID.randomUUID().toString().replace("-", "");
        try (Connection connection = DriverManager.getConnection(base + "/postgres", user, password);
                Statement statement = connection.createStatement()) {
            statement.execute("create database " + name);
        } catch (SQLException failure) {
            throw new IllegalStateException("Could not make a test database", failure);
        }
        TestPropertyValues.of(PATIENT)
                .and("spring.datasource.url=" + base + "/" + name)
                .applyTo(context);
    }

    private static String needed(String variable) {
        String value = System.getenv(variable);
        if (value == null) {
            throw new IllegalStateException(variable + " is not set: run the tests with ./chervil test");
        }
        return value;
    }
}
