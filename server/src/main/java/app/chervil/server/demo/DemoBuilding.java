package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;
import static app.chervil.core.interval.Finding.*;

import app.chervil.core.filter.Stage.Make;
import app.chervil.core.filter.StageKind;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.FilterView;
import app.chervil.server.tank.TankInput;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.ServiceOperations;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** What building the tanks of the demo needs. */
abstract class DemoBuilding {
    final TankOperations tanks;
    final FilterOperations filters;
    final ServiceOperations services;
    final DemoWater water;

    DemoBuilding(TankOperations tanks, FilterOperations filters, ServiceOperations services, DemoWater water) {
        this.tanks = tanks;
        this.filters = filters;
        this.services = services;
        this.water = water;
    }

    final DemoLog log(SignedIn who, long tank, FilterView filter) {
        return new DemoLog(services, who, tank, filters.find(who, filter.id()), tanks.today());
    }

    /** How a tank is kept. */
    record Keeping(Stocking stocking, Feeding feeding, BacteriaHome home, SockSchool sock) {}

    final long tank(
            SignedIn who, String name, String room, double litres, LocalDate since, WaterKind water, Keeping keeping) {
        TankInput.Setting setting =
                new TankInput.Setting(water, keeping.stocking, keeping.feeding, keeping.home, TapWater.CHLORAMINE);
        TankInput.Schools schools = new TankInput.Schools(
                OpeningSchool.CONDITION_LED, keeping.sock, RinseWater.TANK_WATER, Thoroughness.FULL);
        return tanks.create(who, new TankInput(name, room, litres, since, setting, schools))
                .id();
    }

    final LocalDate ago(int days) {
        return tanks.today().minusDays(days);
    }

    final LocalDate years(int count) {
        return tanks.today().minusYears(count);
    }

    static StageInput stage(StageKind kind) {
        return new StageInput(null, kind, "", 1, null, Make.WASHABLE, false, null, null, null);
    }

    final StageInput foam(StageKind kind) {
        return new StageInput(null, kind, "", 1, null, Make.WASHABLE, false, ago(400), null, null);
    }

    static StageInput media(StageKind kind, double grams, @Nullable LocalDate fittedOn) {
        return new StageInput(null, kind, "", 1, grams, Make.WASHABLE, true, fittedOn, null, null);
    }
}
