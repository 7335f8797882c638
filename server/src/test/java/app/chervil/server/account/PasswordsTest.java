package app.chervil.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** What guessing at a stolen database costs; the tests of the whole server hash at less. */
class PasswordsTest {
    @Test
    void a_guess_costs_a_thousand_rounds_at_least() {
        assertThat(new SecuritySetup().passwordEncoder().encode("Forelle im Bach"))
                .matches("\\{bcrypt}\\$2a\\$1[0-9]\\$.+");
    }
}
