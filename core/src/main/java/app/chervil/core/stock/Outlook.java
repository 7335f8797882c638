package app.chervil.core.stock;

import app.chervil.core.calc.Check;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * How long what is there will last, if each task comes on its ideal day and then at its present interval.
 *
 * @param runsOut the first day on which too little is left for what is wanted; empty if that lies beyond two years
 * @param orderBy the last day to order so that it comes in time; today if that has passed
 */
public record Outlook(Standing standing, Optional<LocalDate> runsOut, Optional<LocalDate> orderBy) {
    private static final int HORIZON_DAYS = 731;
    /** Beyond the time of delivery, our judgement: a fortnight. */
    private static final int MARGIN_DAYS = 14;

    /** Where a thing stands against its reorder point. */
    public enum Standing {
        /** Nothing is ready. */
        OUT,
        /** Less than its reorder point. */
        LOW,
        ENOUGH
    }

    /** One wanted time on the line of days. */
    private record Wanted(LocalDate on, int time, Need need) {}

    /**
     * Looks ahead.
     *
     * @param ready what can be used today
     * @param reorderAt below which it is to be ordered; 0 or above
     * @param leadDays from order to shelf; 0 or above
     */
    public static Outlook of(double ready, double reorderAt, int leadDays, List<Need> needs, LocalDate today) {
        Check.notNegative("reorderAt", reorderAt);
        Check.notNegative("leadDays", leadDays);
        Standing standing = ready <= 0 ? Standing.OUT : ready < reorderAt ? Standing.LOW : Standing.ENOUGH;
        Optional<LocalDate> runsOut = runsOut(ready, needs, today);
        Optional<LocalDate> orderBy =
                runsOut.map(day -> day.minusDays(leadDays)).map(day -> day.isBefore(today) ? today : day);
        return new Outlook(standing, runsOut, orderBy);
    }

    private static Optional<LocalDate> runsOut(double ready, List<Need> needs, LocalDate today) {
        PriorityQueue<Wanted> line = line(needs, today);
        double left = ready;
        while (!line.isEmpty()) {
            Wanted wanted = line.poll();
            left -= wanted.need().amount();
            if (left < 0) {
                return Optional.of(wanted.on());
            }
            again(line, wanted, today, HORIZON_DAYS);
        }
        return Optional.empty();
    }

    /**
     * What will be used between an order and its coming, with a fortnight's margin: a reorder point to begin with.
     *
     * @param leadDays from order to shelf; 0 or above
     */
    public static double reorderPoint(int leadDays, List<Need> needs, LocalDate today) {
        int days = leadDays + MARGIN_DAYS;
        PriorityQueue<Wanted> line = line(needs, today);
        double used = 0;
        while (!line.isEmpty()) {
            Wanted wanted = line.poll();
            if (!wanted.on().isAfter(today.plusDays(days))) {
                used += wanted.need().amount();
                again(line, wanted, today, days);
            }
        }
        double least = needs.stream().mapToDouble(Need::amount).max().orElse(0);
        return Math.max(used, least);
    }

    private static PriorityQueue<Wanted> line(List<Need> needs, LocalDate today) {
        PriorityQueue<Wanted> line = new PriorityQueue<>(Comparator.comparing(Wanted::on));
        needs.forEach(need -> line.add(new Wanted(need.day(0, today), 0, need)));
        return line;
    }

    private static void again(PriorityQueue<Wanted> line, Wanted last, LocalDate today, int horizonDays) {
        int time = last.time() + 1;
        LocalDate on = last.need().day(time, today);
        if (!on.isAfter(today.plusDays(horizonDays))) {
            line.add(new Wanted(on, time, last.need()));
        }
    }
}
