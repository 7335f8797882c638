package app.chervil.server.demo;

import app.chervil.core.filter.Stage.Make;
import app.chervil.core.filter.StageKind;
import app.chervil.server.filter.FilterInput.StageInput;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** One tank of Tern House. All days are counted back from the day the demo is loaded. */
abstract class DemoTank implements DemoChapter {
    final DemoBuilding building;

    DemoTank(DemoBuilding building) {
        this.building = building;
    }

    /** The day the history begins. */
    final LocalDate begin() {
        return ago(DemoUpkeep.HISTORY_DAYS);
    }

    final LocalDate ago(int days) {
        return building.tanks.today().minusDays(days);
    }

    final LocalDate years(int count) {
        return building.tanks.today().minusYears(count);
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
