package app.chervil.server.demo;

import app.chervil.core.filter.Stage.Make;
import app.chervil.core.filter.StageKind;
import app.chervil.core.site.Filter;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterInput;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.PassportInput;
import app.chervil.server.tank.TankInput;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.ServiceOperations;
import java.time.LocalDate;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What building the tanks of the demo needs. */
abstract class DemoBuilding {
    final TankOperations tanks;
    final FilterOperations filters;
    private final ServiceOperations services;
    private final DemoUpkeep upkeep;
    final DemoWater water;

    DemoBuilding(
            TankOperations tanks,
            FilterOperations filters,
            ServiceOperations services,
            DemoUpkeep upkeep,
            DemoWater water) {
        this.tanks = tanks;
        this.filters = filters;
        this.services = services;
        this.upkeep = upkeep;
        this.water = water;
    }

    /** Keeps a tank's filters from a day on; what else was done can be added to the diary before it is saved. */
    final DemoDiary kept(SignedIn who, long tank, LocalDate from, FilterStory... stories) {
        DemoDiary diary = new DemoDiary(tank, tanks.today());
        for (FilterStory story : stories) {
            upkeep.keep(who, tanks.find(who, tank), story, from, diary);
        }
        return diary;
    }

    final void save(SignedIn who, DemoDiary diary) {
        diary.save(who, services);
    }

    /** A pre-filter that was added some while ago. */
    final void prefilterAdded(SignedIn who, Filter filter, LocalDate on) {
        tanks.recordChange(who, filter.tankId(), filter.id(), new ContextChange(on, ContextChange.Kind.PREFILTER, 1));
    }

    /** The day the history begins. */
    final LocalDate begin() {
        return ago(DemoUpkeep.HISTORY_DAYS);
    }

    /** How a tank is kept. */
    record Keeping(
            Stocking stocking,
            Feeding feeding,
            BacteriaHome home,
            SockSchool sock,
            OpeningSchool opening,
            Set<Animals> animals) {
        Keeping(Stocking stocking, Feeding feeding, BacteriaHome home, SockSchool sock) {
            this(stocking, feeding, home, sock, OpeningSchool.CONDITION_LED, Set.of());
        }

        /** The same for animals that ask for care of their own. */
        Keeping of(Animals kept) {
            return new Keeping(stocking, feeding, home, sock, opening, Set.of(kept));
        }
    }

    final long tank(
            SignedIn who, String name, String room, double litres, LocalDate since, WaterKind water, Keeping keeping) {
        TankInput.Setting setting = new TankInput.Setting(
                water,
                keeping.stocking,
                keeping.feeding,
                keeping.home,
                TapWater.CHLORAMINE,
                null,
                null,
                keeping.animals);
        TankInput.Schools schools =
                new TankInput.Schools(keeping.opening, keeping.sock, RinseWater.TANK_WATER, Thoroughness.FULL);
        return tanks.create(who, new TankInput(name, room, litres, since, setting, schools))
                .id();
    }

    final LocalDate ago(int days) {
        return tanks.today().minusDays(days);
    }

    final LocalDate years(int count) {
        return tanks.today().minusYears(count);
    }

    /** Says what sits where in a filter, once its history is told. */
    final void described(SignedIn who, long filter, PassportInput passport) {
        Filter as = filters.find(who, filter);
        filters.update(who, filter, as.version(), FilterInput.of(as).described(passport));
    }

    static StageInput stage(StageKind kind) {
        return new StageInput(null, kind, "", 1, null, Make.WASHABLE, false, null, null, null);
    }

    final StageInput foam(StageKind kind) {
        return new StageInput(null, kind, "", 1, null, Make.WASHABLE, false, ago(400), null, null);
    }

    static StageInput disposable(StageKind kind) {
        return new StageInput(null, kind, "", 1, null, Make.DISPOSABLE, false, null, null, null);
    }

    static StageInput media(StageKind kind, double grams, @Nullable LocalDate fittedOn) {
        return new StageInput(null, kind, "", 1, grams, Make.WASHABLE, true, fittedOn, null, null);
    }
}
