package app.chervil.core.site;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.site.Tried.Reads;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Watch;
import app.chervil.core.water.Watch.Cause;
import app.chervil.core.water.WaterBook;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A reading that a risky service, another reading or a trial asks for.
 *
 * @param began when its cause was
 * @param from first day on which it tells something
 * @param until last such day
 * @param why in words
 */
public record AskedReading(Parameter parameter, LocalDate began, LocalDate from, LocalDate until, String why) {
    private static final int LONG_OFF_MINUTES = 240;

    /** Older causes ask for nothing any more. */
    private static final int LONGEST_WATCH_DAYS = 70;

    /** What is asked for now and nobody has taken, one a parameter. */
    public static List<AskedReading> due(TankBook tank, LocalDateTime now) {
        LocalDate today = now.toLocalDate();
        WaterBook water = tank.records().water();
        Map<Parameter, AskedReading> due = new LinkedHashMap<>();
        Watch.due(watches(tank, today), water.readings(), now)
                .forEach(asked -> due.putIfAbsent(asked.parameter(), of(asked)));
        water.retests(today)
                .forEach(retest -> due.putIfAbsent(
                        retest.parameter(),
                        new AskedReading(retest.parameter(), retest.since(), today, today, retest.why())));
        wantedByTrials(tank, today).forEach(asked -> due.putIfAbsent(asked.parameter(), asked));
        return List.copyOf(due.values());
    }

    /** A trial that runs wants its parameter read in each turn, and often enough to tell the ways apart. */
    private static List<AskedReading> wantedByTrials(TankBook tank, LocalDate today) {
        return tank.records().filters().stream()
                .flatMap(filter -> filter.tasks().stream())
                .flatMap(task -> tank.tried(task.id()).flatMap(Tried::reads).stream())
                .filter(reads -> tank.records().water().readings().stream()
                        .noneMatch(one ->
                                one.parameter() == reads.parameter() && one.trusted() && isFresh(one, reads, today)))
                .map(reads ->
                        new AskedReading(reads.parameter(), reads.since(), today, reads.until(), "A trial compares it"))
                .toList();
    }

    private static boolean isFresh(Reading one, Reads reads, LocalDate today) {
        return !one.on().isBefore(reads.since())
                && !one.on().isAfter(today)
                && ChronoUnit.DAYS.between(one.on(), today) < reads.everyDays();
    }

    /** What watches ask for from a day on, answered or not. */
    public static List<AskedReading> schedule(TankBook tank, LocalDate today) {
        return watches(tank, today).stream()
                .flatMap(watch -> watch.schedule().stream())
                .filter(asked -> !asked.until().isBefore(today))
                .map(AskedReading::of)
                .toList();
    }

    private static AskedReading of(Watch.Asked asked) {
        Watch watch = asked.watch();
        return new AskedReading(
                asked.parameter(),
                watch.began(),
                asked.from(),
                asked.until(),
                watch.cause().words());
    }

    private static List<Watch> watches(TankBook tank, LocalDate today) {
        LocalDate oldest = today.minusDays(LONGEST_WATCH_DAYS);
        List<Watch> watches = new ArrayList<>();
        tank.records().water().replacements().stream()
                .filter(replaced -> replaced.on().isAfter(oldest))
                .forEach(replaced -> watches.add(new Watch(Cause.MEDIA_REPLACED, replaced.on())));
        Set<Long> openings = openings(tank.records().filters());
        tank.records().services().stream()
                .filter(service -> !service.doneOn().isBefore(oldest))
                .forEach(service -> watches.addAll(watches(service, openings)));
        return watches;
    }

    private static List<Watch> watches(PastService service, Set<Long> openings) {
        List<Watch> watches = new ArrayList<>();
        if (service.done().keySet().stream().anyMatch(openings::contains)) {
            watches.add(new Watch(Cause.FULL_SERVICE, service.doneOn()));
        }
        if (service.filterOffMinutes().orElse(0) > LONG_OFF_MINUTES) {
            watches.add(new Watch(Cause.LONG_OFF, service.doneOn()));
        }
        return watches;
    }

    private static Set<Long> openings(List<Filter> filters) {
        return filters.stream()
                .filter(filter -> filter.kind() == FilterKind.CANISTER)
                .flatMap(filter -> filter.tasks().stream())
                .filter(task -> task.action() == CareAction.OPEN)
                .map(FilterTask::id)
                .collect(Collectors.toSet());
    }
}
