package app.chervil.server.account;

import java.text.Normalizer;
import java.util.Locale;
import java.util.regex.Pattern;

/** Names to sign in with. */
final class Login {
    private static final Pattern FIT = Pattern.compile("[a-z0-9][a-z0-9._@+-]{1,59}");

    private Login() {}

    /** The name as it is stored: without spaces around it, in small letters, wide and joined characters as plain ones. */
    static String canonical(String typed) {
        return Normalizer.normalize(typed.strip(), Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
    }

    /** Whether a new name is of characters that cannot be taken for others: another alphabet's, or none to be seen. */
    static boolean fit(String canonical) {
        return FIT.matcher(canonical).matches();
    }
}
