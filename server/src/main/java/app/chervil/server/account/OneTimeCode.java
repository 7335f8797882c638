package app.chervil.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Locale;

/** Secrets that are told once and stored as marks. */
public final class OneTimeCode {
    /** Without letters and digits that are taken for others. */
    private static final String ALPHABET = "abcdefghjkmnpqrstuvwxyz23456789";

    private static final int LENGTH = 20;
    private static final SecureRandom RANDOM = new SecureRandom();

    private OneTimeCode() {}

    /** Twenty characters, near 99 bits. */
    static String draw() {
        return draw(LENGTH);
    }

    /** So many characters, near five bits each. */
    static String draw(int length) {
        StringBuilder drawn = new StringBuilder();
        RANDOM.ints(length, 0, ALPHABET.length()).forEach(place -> drawn.append(ALPHABET.charAt(place)));
        return drawn.toString();
    }

    /** What is stored of a code: SHA-256 of it as it was drawn, whatever dashes and capitals it was typed with. */
    static String mark(String code) {
        String plain = code.replaceAll("[\\s-]", "").toLowerCase(Locale.ROOT);
        return markOf(plain.getBytes(StandardCharsets.UTF_8));
    }

    /** What is stored of a secret: SHA-256, in hexadecimal digits. */
    public static String markOf(byte[] secret) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(secret));
        } catch (NoSuchAlgorithmException everywhere) {
            throw new IllegalStateException(everywhere);
        }
    }
}
