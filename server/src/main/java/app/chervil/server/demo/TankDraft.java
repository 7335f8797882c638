package app.chervil.server.demo;

import app.chervil.core.tank.Animals;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import app.chervil.server.tank.TankInput;
import java.time.LocalDate;
import java.util.Set;

/** A tank to be. Unless something else is said it is stocked and fed normally, and its bacteria live in its media. */
final class TankDraft {
    private final String name;
    private final String room;
    private final double litres;
    private final WaterKind water;
    private final LocalDate since;
    private Stocking stocking = Stocking.NORMAL;
    private Feeding feeding = Feeding.NORMAL;
    private BacteriaHome home = BacteriaHome.MEDIA;
    private SockSchool sock = SockSchool.CLARITY;
    private OpeningSchool opening = OpeningSchool.CONDITION_LED;
    private Set<Animals> animals = Set.of();

    TankDraft(String name, String room, double litres, WaterKind water, LocalDate since) {
        this.name = name;
        this.room = room;
        this.litres = litres;
        this.water = water;
        this.since = since;
    }

    TankDraft stocked(Stocking level, Feeding fed) {
        stocking = level;
        feeding = fed;
        return this;
    }

    TankDraft bacteriaIn(BacteriaHome where) {
        home = where;
        return this;
    }

    TankDraft socks(SockSchool school) {
        sock = school;
        return this;
    }

    TankDraft opened(OpeningSchool school) {
        opening = school;
        return this;
    }

    TankDraft of(Animals kept) {
        animals = Set.of(kept);
        return this;
    }

    TankInput input() {
        TankInput.Setting setting =
                new TankInput.Setting(water, stocking, feeding, home, TapWater.CHLORAMINE, null, null, animals);
        TankInput.Schools schools = new TankInput.Schools(opening, sock, RinseWater.TANK_WATER, Thoroughness.FULL);
        return new TankInput(name, room, litres, since, setting, schools);
    }
}
