package app.chervil.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import java.io.EOFException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockServletContext;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.support.AnnotationConfigWebApplicationContext;
import org.springframework.web.servlet.config.annotation.EnableWebMvc;

class DatabaseAwayTest {
    private final MockHttpServletResponse response = new MockHttpServletResponse();

    static Stream<Exception> away() {
        return Stream.of(
                new CannotCreateTransactionException("no connection"),
                new CannotGetJdbcConnectionException("no connection"),
                new TransactionSystemException("JDBC rollback failed", new SQLException("Connection is closed")),
                new IllegalStateException(new SQLTransientConnectionException("timed out")),
                new ServletException(new RuntimeException(new SQLException("cut", "57P01"))),
                new RuntimeException(new SQLException("gone", "08006")),
                new RuntimeException(new SQLException("a standby only reads", "25006")));
    }

    @ParameterizedTest
    @MethodSource("away")
    void whatever_tells_that_the_database_is_away_is_said_so(Exception failure) throws Exception {
        response.getWriter().write("half an ans");

        answer(failure);

        assertThat(response.getStatus()).isEqualTo(503);
        assertThat(response.getHeader("Retry-After")).isEqualTo("5");
        assertThat(response.getContentAsString())
                .startsWith("{")
                .contains("\"code\":\"database-away\"")
                .contains("What you typed is kept");
    }

    @Test
    void a_full_disk_is_said_to_be_full() throws Exception {
        answer(new IllegalStateException(new SQLException("could not extend file", "53100")));

        assertThat(response.getStatus()).isEqualTo(507);
        assertThat(response.getContentAsString()).contains("\"code\":\"disk-full\"", "was not stored");
    }

    @Test
    void what_went_wrong_otherwise_is_not_said_to_be_that() {
        RuntimeException other = new RuntimeException(new SQLException("twice", "23505"));

        assertThatThrownBy(() -> answer(other)).isSameAs(other);
    }

    @Test
    void an_answer_that_is_on_its_way_is_not_written_over() {
        response.setCommitted(true);

        assertThatThrownBy(() -> answer(new CannotCreateTransactionException("gone")))
                .isInstanceOf(CannotCreateTransactionException.class);
    }

    @RestController
    static class Writing {
        @PutMapping("/api/thing")
        void write() {
            throw new CannotCreateTransactionException(
                    "no transaction", new SQLException("An I/O error occurred", "08006", new EOFException()));
        }
    }

    /** The framework would take the end of the database's data for a visitor who hung up, and answer an empty 200. */
    @Test
    void a_database_that_goes_away_while_a_transaction_begins_is_not_taken_for_success() throws Exception {
        try (AnnotationConfigWebApplicationContext context = new AnnotationConfigWebApplicationContext()) {
            context.setServletContext(new MockServletContext());
            context.register(WithFramework.class, NoSilence.class, Writing.class);
            context.refresh();
            MockMvcBuilders.webAppContextSetup(context)
                    .addFilters(new DatabaseAway())
                    .build()
                    .perform(put("/api/thing"))
                    .andExpect(status().isServiceUnavailable());
        }
    }

    @Configuration
    @EnableWebMvc
    static class WithFramework {}

    private void answer(Exception failure) throws Exception {
        FilterChain chain = (request, answer) -> {
            if (failure instanceof ServletException wrapped) {
                throw wrapped;
            }
            throw (RuntimeException) failure;
        };
        new DatabaseAway().doFilter(new MockHttpServletRequest("GET", "/api/tanks"), response, chain);
    }
}
