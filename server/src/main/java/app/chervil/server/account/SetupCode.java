package app.chervil.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import org.springframework.stereotype.Component;

/** The one-time code that proves the first visitor can see where Chervil was started. */
@Component
class SetupCode {
    private static final String ALPHABET = "abcdefghjkmnpqrstuvwxyz23456789";
    private static final int LENGTH = 10;

    private final String code = draw(new SecureRandom());

    String value() {
        return code;
    }

    boolean matches(String given) {
        return MessageDigest.isEqual(
                code.getBytes(StandardCharsets.UTF_8), given.strip().getBytes(StandardCharsets.UTF_8));
    }

    private static String draw(SecureRandom random) {
        StringBuilder drawn = new StringBuilder();
        random.ints(LENGTH, 0, ALPHABET.length()).forEach(place -> drawn.append(ALPHABET.charAt(place)));
        return drawn.toString();
    }
}
