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

    @Test
    void a_name_that_nobody_has_costs_as_much_as_one_that_somebody_has() {
        int method = "{bcrypt}$2a$10$".length();

        assertThat(Passwords.DECOY.substring(0, method))
                .isEqualTo(new SecuritySetup()
                        .passwordEncoder()
                        .encode("Forelle im Bach")
                        .substring(0, method));
    }
}
