package app.chervil.server.account;

import app.chervil.server.problem.Rejected;
import app.chervil.server.problem.Rejected.Violation;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Hashes passwords, a few at a time and never while the database waits, and tells weak ones. */
@Component
class Passwords {
    private static final int FEWEST_CHARACTERS = 5;
    private static final int SECONDS_OF_PATIENCE = 10;

    /** What lists of the most used passwords come down to, without the digits and marks at their end. */
    private static final Set<String> COMMON = Set.of(
            "password",
            "passwort",
            "passord",
            "letmein",
            "welcome",
            "iloveyou",
            "qwertyuiop",
            "qwertyuiopasdf",
            "asdfghjkl",
            "qwerty",
            "qwertz",
            "azerty",
            "abcdefghij",
            "abcdefghijk",
            "administrator",
            "admin",
            "changeme",
            "secret",
            "aquarium",
            "chervil",
            "fishtank",
            "sunshine",
            "princess",
            "football");

    private static final Pattern TAIL = Pattern.compile("[^\\p{L}]+$");
    private static final String ROWS = "abcdefghijklmnopqrstuvwxyz 01234567890123456789 98765432109876543210";

    /** Of a password that was thrown away, at the cost of all others. */
    static final String DECOY = "{bcrypt}$2a$10$7WVM0g2nr7bZ0QO2.n5mJOJJcWwYLROnl58OJF1sXjenb4qwkoNZ6";

    private final PasswordEncoder encoder;
    private final Semaphore desks =
            new Semaphore(Math.max(2, Runtime.getRuntime().availableProcessors()), true);

    Passwords(PasswordEncoder encoder) {
        this.encoder = encoder;
    }

    /**
     * Whether a password fits; somebody who is not known takes as long.
     *
     * @param hash null if nobody has that name
     * @throws Rejected if too many ask at once
     */
    boolean match(String password, @Nullable String hash) {
        return atDesk(() -> encoder.matches(password, hash == null ? DECOY : hash)) && hash != null;
    }

    /**
     * What is stored for a new password.
     *
     * @param field at which it was typed
     * @throws Rejected if it is easily guessed, or if too many ask at once
     */
    String hash(String field, String login, String password) {
        if (guessed(login, password)) {
            throw Rejected.field(
                    field, "easily-guessed", "This is easily guessed. Four or five unrelated words make a good one.");
        }
        return atDesk(() -> encoder.encode(password));
    }

    private static boolean guessed(String login, String password) {
        String plain = password.toLowerCase(Locale.ROOT).strip();
        String stem = TAIL.matcher(plain).replaceFirst("");
        return plain.chars().distinct().count() < FEWEST_CHARACTERS
                || ROWS.contains(plain)
                || COMMON.contains(stem)
                || (plain.contains(login) && plain.length() < login.length() + FEWEST_CHARACTERS);
    }

    private <T> T atDesk(java.util.function.Supplier<T> work) {
        try {
            if (!desks.tryAcquire(SECONDS_OF_PATIENCE, TimeUnit.SECONDS)) {
                throw busy();
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw busy();
        }
        try {
            return work.get();
        } finally {
            desks.release();
        }
    }

    private static Rejected busy() {
        return new Rejected(
                HttpStatus.TOO_MANY_REQUESTS,
                List.of(new Violation("", "busy", "Many are signing in at once. Try again in a moment.")));
    }
}
