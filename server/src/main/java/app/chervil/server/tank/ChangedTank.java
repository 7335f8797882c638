package app.chervil.server.tank;

import app.chervil.core.site.Change;
import app.chervil.core.site.Tank;
import java.util.List;

/** A tank in use with what changed about it, the earliest first. */
public record ChangedTank(Tank tank, List<Change> changes) {}
