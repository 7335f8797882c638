package app.chervil.core.interval;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;

/** Histories of parts that are not graded, for tests: begun on the first of January. */
final class PartHistory {
    static final LocalDate START = LocalDate.of(2026, 1, 1);

    private PartHistory() {}

    static Forecast forecast(CareRule rule, Evidence evidence, LocalDate today) {
        TaskHistory history = new TaskHistory(Start.exact(START), StartingLoad.NORMAL, List.of(), List.of(), evidence);
        return Forecaster.forecast(rule, new Learned(), history, today);
    }

    static Evidence seen(Look... looks) {
        return new Evidence(Endurance.UNKNOWN, Arrays.asList(looks), List.of());
    }

    static Look look(int day, Sign sign, double amount) {
        return new Look(START.plusDays(day), sign, amount);
    }

    static Window window(int earliest, int ideal, int latest) {
        return new Window(START.plusDays(earliest), START.plusDays(ideal), START.plusDays(latest));
    }

    static CareRule rule(StageKind kind, CareAction action) {
        return CareCatalogue.find(Stage.washable(kind), action, Schools.DEFAULT).orElseThrow();
    }
}
