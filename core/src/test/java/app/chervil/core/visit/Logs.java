package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Look;
import app.chervil.core.interval.Start;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.interval.Window;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.visit.BookedTask.StagePart;
import app.chervil.core.visit.FilterBook.Around;
import app.chervil.core.visit.FilterBook.Device;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** A canister with foam and pre-filter, a sock and lamps, and what keepers write down of them. */
final class Logs {
    static final LocalDate DAY = LocalDate.of(2026, 6, 1);
    static final LocalDate LATER = DAY.plusYears(6);
    static final Schools SCHOOLS = new Schools(OpeningSchool.CONDITION_LED, SockSchool.CLARITY);
    static final Surroundings ALONE = new Surroundings(Stocking.NORMAL, Feeding.NORMAL, 0, 0);
    static final long OPENING = 1;
    static final long FOAM = 2;
    static final long FOAM_NEW = 3;
    static final long PREFILTER = 4;
    static final long SOCK = 5;
    static final long LAMP = 6;
    static final long OTHER_LAMP = 7;

    static Window window(Map<Long, Forecast> forecasts, long task) {
        return Objects.requireNonNull(forecasts.get(task)).window();
    }

    static double variance(FilterBook book) {
        return book.course(OPENING, LATER).orElseThrow().get().belief().variance();
    }

    static Forecast forecast(FilterBook book, long task) {
        return Objects.requireNonNull(book.forecasts(LATER).get(task));
    }

    static long interval(FilterBook book, long task) {
        Forecast forecast = forecast(book, task);
        return ChronoUnit.DAYS.between(forecast.since(), forecast.window().ideal());
    }

    static FilterBook canister(Start start, LoggedService... services) {
        return book(canisterTasks(start), List.of(services), FilterKind.CANISTER);
    }

    static List<BookedTask> canisterTasks(Start start) {
        CareRule opening = CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, SCHOOLS)
                .orElseThrow();
        return List.of(
                new BookedTask(OPENING, Optional.empty(), start, opening, new Learned()),
                stage(FOAM, FOAM, StageKind.COARSE_FOAM, CareAction.RINSE, start, Optional.empty()),
                stage(FOAM_NEW, FOAM, StageKind.COARSE_FOAM, CareAction.REPLACE, start, Optional.empty()),
                prefilter(start, Optional.empty()));
    }

    static BookedTask prefilter(Start start, Optional<LocalDate> fittedOn) {
        return stage(PREFILTER, PREFILTER, StageKind.PREFILTER_SPONGE, CareAction.RINSE, start, fittedOn);
    }

    static BookedTask sock() {
        return stage(SOCK, SOCK, StageKind.SOCK, CareAction.CHANGE, Start.exact(DAY), Optional.empty());
    }

    static BookedTask lamp(long id, Optional<LocalDate> fittedOn, Look... looks) {
        return stage(id, id, StageKind.UV_LAMP, CareAction.REPLACE, Start.exact(DAY), fittedOn, looks);
    }

    static BookedTask stage(
            long id,
            long stage,
            StageKind kind,
            CareAction action,
            Start start,
            Optional<LocalDate> fittedOn,
            Look... looks) {
        return new BookedTask(
                id,
                Optional.of(new StagePart(stage, kind, fittedOn, Endurance.UNKNOWN, List.of(looks))),
                start,
                CareCatalogue.find(Stage.washable(kind), action, SCHOOLS).orElseThrow(),
                new Learned());
    }

    static FilterBook book(List<BookedTask> tasks, List<LoggedService> services, FilterKind kind) {
        return new FilterBook(new Device("Weir", kind), tasks, services, new Around(ALONE, List.of()));
    }

    static LoggedService opened(int day, Finding finding) {
        return service(day, Map.of(OPENING, Optional.empty(), FOAM, Optional.of(finding)));
    }

    static LoggedService flowed(int day, Finding finding, double before, double after) {
        return service(day, Map.of(OPENING, Optional.empty(), FOAM, Optional.of(finding)), before, after);
    }

    static LoggedService service(int day, Map<Long, Optional<Finding>> done) {
        return service(day, done, 0, 0);
    }

    static LoggedService service(int day, Map<Long, Optional<Finding>> done, double before, double after) {
        return new LoggedService(DAY.plusDays(day), done, flow(before), flow(after));
    }

    static Optional<FlowRate> flow(double litresPerHour) {
        return Optional.of(litresPerHour).filter(value -> value > 0).map(FlowRate::of);
    }

    private Logs() {}
}
