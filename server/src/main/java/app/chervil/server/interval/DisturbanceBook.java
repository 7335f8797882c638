package app.chervil.server.interval;

import app.chervil.core.water.Permission.Earlier;
import app.chervil.server.account.SignedIn;
import java.util.List;

/** Work on a tank that disturbed its bacteria and stands in another log than that of services. */
public interface DisturbanceBook {
    /** What was done on a tank, in any order. */
    List<Earlier> disturbances(SignedIn who, long tank);
}
