package app.chervil.server.visit;

import app.chervil.server.account.SignedIn;
import java.util.UUID;

/** A service left the log or came back, told to whoever did more than log it, within the same transaction. */
public sealed interface LogChange {
    SignedIn who();

    UUID service();

    /** It was taken out of the log. */
    record TakenBack(SignedIn who, UUID service) implements LogChange {}

    /** It stands in the log again. */
    record PutBack(SignedIn who, UUID service) implements LogChange {}
}
