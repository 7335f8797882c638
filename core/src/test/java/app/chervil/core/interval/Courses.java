package app.chervil.core.interval;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.util.Arrays;

/** Courses of graded stages, for tests: begun on the first of January. */
final class Courses {
    static final LocalDate DAY = LocalDate.of(2026, 1, 1);
    /** Starts at 90 days. */
    static final CareRule CANISTER = CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
            .orElseThrow();
    /** Starts at 14 days. */
    static final CareRule PREFILTER = CareCatalogue.find(
                    Stage.washable(StageKind.PREFILTER_SPONGE), CareAction.RINSE, Schools.DEFAULT)
            .orElseThrow();

    private Courses() {}

    static Course served(CareRule rule, Serviced... services) {
        Course course = Course.begin(rule, DAY, StartingLoad.NORMAL);
        Arrays.stream(services).forEach(course::serve);
        return course;
    }

    static Serviced found(int days, Finding finding) {
        return Serviced.found(DAY.plusDays(days), finding);
    }
}
