package app.chervil.core.site;

import app.chervil.core.device.Fitted;
import app.chervil.core.visit.MeterDays;
import java.util.List;
import java.util.Map;

/**
 * Devices on a tank.
 *
 * @param fitted at work now
 * @param meters what flow meters read, also those that are gone, by filter id
 */
public record TankDevices(List<Fitted> fitted, Map<Long, MeterDays> meters) {
    public static final TankDevices NONE = new TankDevices(List.of(), Map.of());

    public TankDevices {
        fitted = List.copyOf(fitted);
        meters = Map.copyOf(meters);
    }

    /** What was read of a filter. */
    MeterDays meter(long filter) {
        return meters.getOrDefault(filter, MeterDays.NONE);
    }
}
