package app.chervil.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.springframework.stereotype.Component;

/** The one-time code that proves the first visitor can see where Chervil was started. */
@Component
class SetupCode {
    private static final int LENGTH = 10;

    private final String code = OneTimeCode.draw(LENGTH);

    String value() {
        return code;
    }

    boolean matches(String given) {
        return MessageDigest.isEqual(
                code.getBytes(StandardCharsets.UTF_8), given.strip().getBytes(StandardCharsets.UTF_8));
    }
}
