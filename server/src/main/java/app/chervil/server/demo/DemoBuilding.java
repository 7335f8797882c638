package app.chervil.server.demo;

import app.chervil.core.site.Filter;
import app.chervil.core.tank.ContextChange;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterInput;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.PassportInput;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What building the tanks of the demo needs. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoBuilding {
    final TankOperations tanks;
    final FilterOperations filters;
    private final DemoDiaries diaries;
    private final DemoUpkeep upkeep;
    final DemoWater water;

    DemoBuilding(
            TankOperations tanks, FilterOperations filters, DemoDiaries diaries, DemoUpkeep upkeep, DemoWater water) {
        this.tanks = tanks;
        this.filters = filters;
        this.diaries = diaries;
        this.upkeep = upkeep;
        this.water = water;
    }

    /** Keeps a tank's filters from a day on; what else was done can be added to the diary before it is saved. */
    DemoDiary kept(SignedIn who, long tank, LocalDate from, FilterStory... stories) {
        DemoDiary diary = new DemoDiary(tank, tanks.today());
        for (FilterStory story : stories) {
            upkeep.keep(who, tanks.find(who, tank), story, from, diary);
        }
        return diary;
    }

    void save(SignedIn who, DemoDiary diary) {
        diaries.save(who, diary);
    }

    /** A pre-filter that was added some while ago. */
    void prefilterAdded(SignedIn who, Filter filter, LocalDate on) {
        tanks.recordChange(who, filter.tankId(), filter.id(), new ContextChange(on, ContextChange.Kind.PREFILTER, 1));
    }

    long tank(SignedIn who, TankDraft draft) {
        return tanks.create(who, draft.input()).id();
    }

    /** Says what sits where in a filter, once its history is told. */
    void described(SignedIn who, long filter, PassportInput passport) {
        Filter as = filters.find(who, filter);
        filters.update(who, filter, as.version(), FilterInput.of(as).described(passport));
    }
}
