package app.chervil.server.tank;

import app.chervil.core.site.Tank;

/**
 * A tank, in use or deleted at any time, for what happened in it.
 *
 * @param quarantine whether nothing goes from it into another
 */
public record TankEver(Tank tank, boolean quarantine) {}
