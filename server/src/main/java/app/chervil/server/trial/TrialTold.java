package app.chervil.server.trial;

import app.chervil.core.site.FilterTask;
import app.chervil.core.trial.Design;
import app.chervil.core.trial.Forethought;
import app.chervil.core.trial.Heard;
import app.chervil.core.trial.Knee;
import app.chervil.core.trial.Together;
import app.chervil.core.trial.Verdict;
import app.chervil.core.water.Pooled;
import app.chervil.core.water.Production.Pair;
import app.chervil.core.water.Production.Tried;
import app.chervil.server.trial.TrialMapper.TrialRow;
import app.chervil.server.trial.TrialView.ComparedWays;
import app.chervil.server.trial.TrialView.State;
import app.chervil.server.trial.TrialView.TrialChange;
import app.chervil.server.trial.TrialView.TrialOutlook;
import app.chervil.server.trial.TrialView.TrialSubject;
import app.chervil.server.trial.TrialView.TrialTogether;
import app.chervil.server.trial.TrialView.TriedWay;
import app.chervil.server.trial.TrialView.WatchedParameter;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * A trial with what was done and read during it.
 *
 * @param heard what its readings say
 */
record TrialTold(TrialRow row, Lived lived, Heard heard, LocalDate today) {
    /**
     * What was done, read and changed on its days.
     *
     * @param services days on which the task was done, oldest first
     * @param readings days on which the parameter was read, oldest first
     */
    record Lived(
            List<LocalDate> services,
            List<LocalDate> readings,
            List<WatchedParameter> watched,
            List<TrialChange> changes) {}

    /** What trials begun together tell together; absent for one that stands alone. */
    static @Nullable TrialTogether together(List<TrialTold> all) {
        @Nullable UUID id = all.get(0).row.together();
        if (id == null) {
            return null;
        }
        List<Tried> telling = all.stream()
                .map(one -> one.heard().compared())
                .flatMap(Optional::stream)
                .toList();
        Optional<Together> pooled = Together.of(telling);
        return new TrialTogether(
                id,
                telling.size(),
                compared(pooled.map(Together::pairs).orElse(List.of())),
                boxed(pooled.map(one -> one.knee(all.get(0).row.ways())).orElse(OptionalInt.empty())));
    }

    private static List<ComparedWays> compared(List<Pair> pairs) {
        return pairs.stream()
                .map(pair -> new ComparedWays(
                        pair.way(),
                        pair.less(),
                        pair.difference(),
                        pair.percent().orElse(null),
                        pair.apart()))
                .toList();
    }

    static final double DAYS_A_WEEK = 7;

    /**
     * All that is told of it.
     *
     * @param cost of what its task uses up each time; empty if a price is missing
     */
    TrialView view(String tank, FilterTask task, OptionalDouble cost, @Nullable TrialTogether together) {
        Design design = row.design();
        OptionalInt now = row.runsOn(today) ? design.wayOn(today) : OptionalInt.empty();
        Optional<Tried> tried = heard.compared();
        return new TrialView(
                row.id(),
                new TrialSubject(
                        row.tankId(),
                        tank,
                        row.taskId(),
                        task.name(),
                        row.parameter().label(),
                        row.parameter().unit(),
                        row.startedBy()),
                state(),
                plan(design),
                design.all(),
                lived.services(),
                boxed(now),
                IntStream.range(0, design.ways().size())
                        .mapToObj(way -> way(way, design, task.minutes(), cost))
                        .toList(),
                Verdict.of(tried),
                compared(tried.map(Tried::pairs).orElse(List.of())),
                boxed(tried.map(ways -> Knee.of(design.ways(), ways.rises())).orElse(OptionalInt.empty())),
                tried.flatMap(this::outlook).orElse(null),
                row.adopted(),
                together,
                lived.watched(),
                lived.changes(),
                readBy(design));
    }

    private TrialView.TrialPlan plan(Design design) {
        boolean swaps = design.kept().isPresent()
                && row.together() != null
                && row.runsOn(today)
                && today.isAfter(design.turnOn(today).orElseThrow().from())
                && !design.hadAll(LocalDate.MAX);
        return new TrialView.TrialPlan(
                design.began(),
                row.until(),
                design.periodDays(),
                over(design),
                design.kept().isPresent(),
                swaps);
    }

    /** The day by which its parameter is to be read next, so that each turn has enough of its own. */
    private @Nullable LocalDate readBy(Design design) {
        return row.tried(today)
                .flatMap(app.chervil.core.site.Tried::reads)
                .map(reads -> lived.readings().stream()
                        .filter(day -> !day.isBefore(reads.since()) && !day.isAfter(today))
                        .reduce((earlier, later) -> later)
                        .map(last -> last.plusDays(reads.everyDays()))
                        .orElse(reads.since().plusDays(1)))
                .map(day -> day.isBefore(today) ? today : day)
                .filter(day -> day.isBefore(design.ends()))
                .orElse(null);
    }

    private static @Nullable Integer boxed(OptionalInt place) {
        return place.isPresent() ? place.getAsInt() : null;
    }

    private State state() {
        if (row.runsOn(today)) {
            return State.RUNNING;
        }
        return row.until().isBefore(row.design().ends()) ? State.STOPPED : State.DONE;
    }

    private int over(Design design) {
        return (int) design.all().stream()
                .filter(period -> !period.until().isAfter(row.lived(today)))
                .count();
    }

    /** By the pair that is known worst: how many readings would tell it, and whether the bands leave room for anything. */
    private Optional<TrialOutlook> outlook(Tried ways) {
        double wanted = Forethought.WANTED * ways.rises().get(0).perWeek();
        if (!(wanted > 0)) {
            return Optional.empty();
        }
        int readings = ways.rises().get(0).readings();
        double error = ways.pairs().stream().mapToDouble(Pair::error).max().orElseThrow();
        int needed = Pooled.readingsWanted(readings, error, wanted);
        boolean nothingLeft = ways.pairs().stream()
                .map(Pair::difference)
                .allMatch(band -> band.low() > -wanted && band.high() < wanted);
        long lived = ChronoUnit.DAYS.between(row.beganOn(), row.lived(today));
        boolean more = row.runsOn(today) && needed > readings && lived > 0;
        double days = more ? Math.ceil((needed - readings) * (double) lived / readings) : 0;
        return Optional.of(new TrialOutlook(
                readings,
                (int) Math.round(100 * Forethought.WANTED),
                needed,
                more && days < MOST_DAYS ? today.plusDays((long) days) : null,
                nothingLeft));
    }

    private static final int MOST_DAYS = 3650;

    private TriedWay way(int place, Design design, int minutesEach, OptionalDouble cost) {
        long days = design.all().stream()
                .filter(turn -> turn.way() == place)
                .mapToLong(turn -> turn.livedBy(row.lived(today)))
                .sum();
        int times = under(place, design, lived.services());
        boolean toldByNow = days >= DAYS_A_WEEK;
        double timesAWeek = toldByNow ? times * DAYS_A_WEEK / days : 0;
        return new TriedWay(
                boxed(design.ways().get(place).days()),
                days,
                times,
                under(place, design, lived.readings()),
                toldByNow ? (Double) (minutesEach * timesAWeek) : null,
                toldByNow && cost.isPresent() ? (Double) (cost.getAsDouble() * timesAWeek) : null,
                heard.rise(place).orElse(null));
    }

    private static int under(int way, Design design, List<LocalDate> days) {
        return (int) days.stream()
                .filter(day -> design.wayOn(day).equals(OptionalInt.of(way)))
                .count();
    }
}
