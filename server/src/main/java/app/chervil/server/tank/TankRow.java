package app.chervil.server.tank;

import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A tank as stored. */
record TankRow(
        long id,
        String name,
        String room,
        double netVolumeL,
        WaterKind water,
        LocalDate establishedOn,
        Stocking stocking,
        Feeding feeding,
        BacteriaHome bacteriaHome,
        TapWater tapWater,
        OpeningSchool openingSchool,
        SockSchool sockSchool,
        RinseWater rinseWater,
        Thoroughness thoroughness,
        double bucketL,
        double drawShare,
        int version,
        @Nullable Instant deletedAt) {
    TankView view() {
        TankInput.Setting setting =
                new TankInput.Setting(water, stocking, feeding, bacteriaHome, tapWater, bucketL, drawShare);
        TankInput.Schools schools = new TankInput.Schools(openingSchool, sockSchool, rinseWater, thoroughness);
        return new TankView(
                id, version, new TankInput(name, room, netVolumeL, establishedOn, setting, schools), deletedAt);
    }
}
