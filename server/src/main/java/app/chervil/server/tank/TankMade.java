package app.chervil.server.tank;

import app.chervil.server.account.SignedIn;

/** A tank was made; told within the same transaction. */
public record TankMade(SignedIn by, long tank) {}
