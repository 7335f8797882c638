package app.chervil.server.account;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;

/**
 * An account to be made.
 *
 * @param login the name to sign in with, case ignored
 * @param name the name others see
 * @param password 10 to 64 characters; the hash takes no more than 72 bytes
 */
public record NewAccount(
        @NotBlank(message = "Choose a name to sign in with.") @Size(max = 60, message = "At most 60 characters.")
        String login,

        @NotBlank(message = "Say what others call you.")
        @Size(max = 60, message = "At most 60 characters.")
        @Pattern(regexp = NewAccount.TO_BE_SEEN, message = "This holds characters that cannot be seen.")
        String name,

        @FitPassword String password) {
    /** No control characters, and none that turn the order of what follows. */
    static final String TO_BE_SEEN = "[^\\p{Cc}\\u200E\\u200F\\u202A-\\u202E\\u2066-\\u2069]*";
}
