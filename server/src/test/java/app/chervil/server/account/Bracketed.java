package app.chervil.server.account;

import org.springframework.security.crypto.password.PasswordEncoder;

/** Stores a password as itself between brackets. */
final class Bracketed implements PasswordEncoder {
    @Override
    public String encode(CharSequence password) {
        return "[" + password + "]";
    }

    @Override
    public boolean matches(CharSequence password, String hash) {
        return encode(password).equals(hash);
    }
}
