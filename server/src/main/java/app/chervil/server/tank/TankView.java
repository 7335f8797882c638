package app.chervil.server.tank;

import app.chervil.core.site.Tank;
import app.chervil.core.tank.Schools;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A stored tank.
 *
 * @param version to send back with a change
 * @param deletedAt absent while it is in use
 */
record TankView(
        long id, int version, TankInput tank, @Nullable Instant deletedAt) {
    static TankView of(Tank tank) {
        Tank.Setting kept = tank.setting();
        Schools schools = tank.practice().schools();
        return new TankView(
                tank.id(),
                tank.version(),
                new TankInput(
                        tank.name(),
                        tank.room(),
                        tank.netVolumeL(),
                        tank.establishedOn(),
                        new TankInput.Setting(
                                kept.water(),
                                kept.stocking(),
                                kept.feeding(),
                                kept.bacteriaHome(),
                                kept.tapWater(),
                                kept.bucketL(),
                                kept.drawShare(),
                                kept.animals()),
                        new TankInput.Schools(
                                schools.opening(),
                                schools.sock(),
                                tank.practice().rinse(),
                                tank.practice().thoroughness(),
                                tank.practice().measuresFlow())),
                tank.deletedAt().orElse(null));
    }
}
