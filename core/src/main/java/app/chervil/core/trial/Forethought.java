package app.chervil.core.trial;

import app.chervil.core.calc.Check;
import app.chervil.core.water.Pooled;
import app.chervil.core.water.Production;
import app.chervil.core.water.Production.Pair;
import app.chervil.core.water.Production.Tried;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What a trial could tell, before it begins: its turns are laid over the weeks that went by, in which nothing was tried, and its
 * differences worked out from what was read then. How unsure they are is how unsure the trial will be, if reading goes on as
 * it did (docs/sources.md#trials).
 *
 * @param readings that fell into those weeks, on all tanks
 * @param smallest difference that would be told apart in four of five cases, as a share of the present rise
 * @param needed readings until the difference that matters is told as often
 */
public record Forethought(int readings, double smallest, int needed) {
    /** The difference that matters, as a share of the first way's rise. */
    public static final double WANTED = 0.2;

    public Forethought {
        Check.positive("smallest", smallest);
    }

    /** The same trial, over just before a day. */
    public static Design before(Design design, LocalDate day) {
        long days = (long) design.periods() * design.periodDays();
        return new Design(day.minusDays(days), design.periodDays(), design.periods(), design.ways());
    }

    /**
     * Looks ahead.
     *
     * @param past the turns laid over the weeks that went by, one for each tank that tells something
     * @return empty if none tells anything, or nothing rises there
     */
    public static Optional<Forethought> of(List<Tried> past) {
        if (past.isEmpty()) {
            return Optional.empty();
        }
        Optional<Together> together = Together.of(past);
        List<Pair> pairs = together.map(Together::pairs).orElseGet(past.get(0)::pairs);
        double rise = past.stream()
                .flatMap(tank -> tank.rises().stream())
                .mapToDouble(Production::perWeek)
                .average()
                .orElse(0);
        int readings =
                past.stream().mapToInt(tank -> tank.rises().get(0).readings()).sum();
        double error = pairs.stream().mapToDouble(Pair::error).max().orElse(0);
        if (!(rise > 0) || !(error > 0) || readings == 0) {
            return Optional.empty();
        }
        int needed = Pooled.readingsWanted(readings, error, WANTED * rise);
        return Optional.of(new Forethought(readings, WANTED * Math.sqrt((double) needed / readings), needed));
    }

    /** Whether the trial as planned would tell the difference that matters. */
    public boolean enough() {
        return needed <= readings;
    }
}
