package app.chervil.server.book;

import app.chervil.core.site.TankDevices;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Devices that are fitted, and what flow meters read of filters, a day at a time; provided by devices. */
public interface DeviceLog {
    /**
     * Devices by tank; tanks that never had any are left out.
     *
     * @param tank null for all tanks of the site
     */
    Map<Long, TankDevices> devices(long site, @Nullable Long tank);
}
