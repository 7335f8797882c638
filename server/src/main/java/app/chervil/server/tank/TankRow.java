package app.chervil.server.tank;

import app.chervil.core.site.Tank;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
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
        boolean measuresFlow,
        double bucketL,
        double drawShare,
        Living animals,
        int version,
        boolean quarantine,
        @Nullable Instant deletedAt,
        Changes changes) {
    ChangedTank changed() {
        return new ChangedTank(
                tank(), changes.rows().stream().map(ChangeRow::change).toList());
    }

    Tank tank() {
        return new Tank(
                id,
                version,
                name,
                room,
                netVolumeL,
                establishedOn,
                new Tank.Setting(
                        water, stocking, feeding, bacteriaHome, tapWater, bucketL, drawShare, animals.animals()),
                new Tank.Practice(new Schools(openingSchool, sockSchool), rinseWater, thoroughness, measuresFlow),
                quarantine,
                Optional.ofNullable(deletedAt));
    }
}
