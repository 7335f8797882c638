package app.chervil.server.water;

import app.chervil.server.account.SignedIn;
import java.util.UUID;

/** An exchange of bio media was removed from the log; told within the same transaction. */
public record MediaPutBack(SignedIn by, UUID id) {}
