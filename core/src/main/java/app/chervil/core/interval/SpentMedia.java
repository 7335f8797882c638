package app.chervil.core.interval;

import static app.chervil.core.calc.Count.days;
import static app.chervil.core.interval.Reasons.DAY;

import app.chervil.core.calc.Normal;
import app.chervil.core.filter.CareRule;
import app.chervil.core.interval.Forecast.Basis;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * When carbon and resin are spent, θ = ln T learned run by run from looks (docs/sources.md#other-lives). Carbon: prior
 * N(ln 28, 0.25); tint back after d days gives y = ln(d − 3.5), R = 0.04 + (3.5 ÷ d)²; not back at d says θ > ln d. Resin:
 * a coloured share L after X days gives y = ln X − ln L, R = 0.04.
 */
final class SpentMedia {
    private static final double CARBON_PRIOR_DAYS = 28;
    private static final double CARBON_PRIOR_SD = 0.5;
    private static final double LOOK_SPACING_DAYS = 3.5;
    private static final double CARBON_LEAST_DAYS = 10;
    private static final Window.Days CLEARING = new Window.Days(1, 3, 7);
    private static final double RESIN_USED_AT = 0.75;
    private static final double RESIN_PRIOR_SD = 0.5;

    private double mean;
    private double variance;

    private SpentMedia(double mean, double sd) {
        this.mean = mean;
        this.variance = sd * sd;
    }

    static Forecast carbon(CareRule rule, TaskHistory history, LocalDate today) {
        SpentMedia belief = new SpentMedia(Math.log(CARBON_PRIOR_DAYS), CARBON_PRIOR_SD);
        LocalDate from = history.start().on();
        for (Serviced change : history.services()) {
            if (clearing(history, from, change.on().minusDays(1)).isEmpty()) {
                belief.carbonRun(from, history.evidence().between(from, change.on()));
            }
            from = change.on();
        }
        LocalDate since = history.since();
        Optional<Look> clearing = clearing(history, since, today);
        if (clearing.isPresent()) {
            return oneShot(since, clearing.get());
        }
        List<Look> open = history.evidence().between(since, today);
        belief.carbonRun(since, open);
        return first(open, Sign.TINT_BACK)
                .map(back -> tintBack(since, back))
                .orElseGet(() -> belief.stillClear(rule, since, open, looked(history)));
    }

    private static Forecast tintBack(LocalDate since, Look back) {
        return new Forecast(
                since,
                new Window(back.on(), back.on(), back.on()),
                Basis.LEARNED,
                Optional.empty(),
                List.of("The tint was back on " + DAY.format(back.on()) + ", after " + days(daysTo(since, back))
                        + "."));
    }

    /** How long carbon that still holds the tint back is thought to last. */
    private Forecast stillClear(CareRule rule, LocalDate since, List<Look> open, boolean learned) {
        double sd = Math.sqrt(variance);
        double latest = clamp(
                Math.exp(mean + 0.6 * sd), CARBON_LEAST_DAYS, rule.bounds().mostDays());
        double ideal = clamp(Math.exp(mean), rule.bounds().leastDays(), latest);
        List<String> reasons = new ArrayList<>();
        last(open, Sign.NO_TINT)
                .ifPresent(look -> reasons.add(
                        "No tint yet after " + days(daysTo(since, look)) + ", so it lasts at least that long."));
        reasons.add("Thought to last about " + days(Math.round(Math.exp(mean)))
                + "; look against a white card each week. At the latest " + days(Math.round(latest)) + ".");
        return new Forecast(
                since,
                Window.after(since, new Window.Days(Math.min(ideal, Math.exp(mean - 0.6 * sd)), ideal, latest)),
                learned ? Basis.LEARNED : Basis.START,
                Optional.empty(),
                reasons);
    }

    /** Carbon that clears a medicine is used once: it tells nothing of the tint, and goes out when that is done. */
    private static Forecast oneShot(LocalDate since, Look look) {
        return new Forecast(
                since,
                Window.after(look.on(), CLEARING),
                Basis.AGE,
                Optional.empty(),
                List.of("Put in to take a medicine out: it is used once and thrown away, in the time that the"
                        + " medicine's label gives."));
    }

    private static Optional<Look> clearing(TaskHistory history, LocalDate firstInclusive, LocalDate lastInclusive) {
        return first(history.evidence().between(firstInclusive.minusDays(1), lastInclusive), Sign.FOR_MEDICATION);
    }

    static Forecast resin(CareRule rule, TaskHistory history, LocalDate today) {
        SpentMedia belief = new SpentMedia(Math.log(rule.startDays() / RESIN_USED_AT), RESIN_PRIOR_SD);
        LocalDate from = history.start().on();
        for (Serviced done : history.services()) {
            belief.resinRun(from, history.evidence().between(from, done.on()));
            from = done.on();
        }
        LocalDate since = history.since();
        List<Look> open = history.evidence().between(since, today);
        belief.resinRun(since, open);
        double full = Math.exp(belief.mean);
        double ideal = clamp(
                RESIN_USED_AT * full, rule.bounds().leastDays(), rule.bounds().mostDays());
        double latest = clamp(full, ideal, rule.bounds().mostDays());
        List<String> reasons = new ArrayList<>();
        last(open, Sign.COLOURED)
                .ifPresent(look -> reasons.add(
                        Math.round(look.amount()) + " % coloured after " + days(daysTo(since, look)) + "."));
        reasons.add("Regenerated at three quarters coloured, thought to come after about " + days(Math.round(ideal))
                + ". " + regenerated(history.services().size()));
        return new Forecast(
                since,
                Window.after(since, new Window.Days(0.75 * ideal, ideal, latest)),
                looked(history) ? Basis.LEARNED : Basis.START,
                Optional.empty(),
                reasons);
    }

    /** A tint that came back tells more than that it had not come back before. */
    private void carbonRun(LocalDate since, List<Look> looks) {
        Optional<Look> back = first(looks, Sign.TINT_BACK);
        if (back.isPresent()) {
            double d = Math.max(daysTo(since, back.get()), LOOK_SPACING_DAYS + 1);
            double unsure = LOOK_SPACING_DAYS / d;
            step(Math.log(d - LOOK_SPACING_DAYS), 0.04 + unsure * unsure);
            return;
        }
        last(looks, Sign.NO_TINT).ifPresent(look -> atLeast(Math.log(Math.max(1, daysTo(since, look)))));
    }

    private void resinRun(LocalDate since, List<Look> looks) {
        last(looks, Sign.COLOURED)
                .filter(look -> look.amount() > 0)
                .ifPresent(
                        look -> step(Math.log(Math.max(1, daysTo(since, look))) - Math.log(look.amount() / 100), 0.04));
    }

    private void step(double observed, double noise) {
        double gain = variance / (variance + noise);
        mean += gain * (observed - mean);
        variance *= 1 - gain;
    }

    /** Mean and variance of the belief cut off below a bound. */
    private void atLeast(double bound) {
        double sd = Math.sqrt(variance);
        double alpha = (bound - mean) / sd;
        double hazard = Normal.hazardBelow(-alpha);
        mean += sd * hazard;
        variance *= Math.max(0.05, 1 - hazard * (hazard - alpha));
    }

    private static boolean looked(TaskHistory history) {
        return !history.evidence().looks().isEmpty();
    }

    private static Optional<Look> first(List<Look> looks, Sign sign) {
        return looks.stream().filter(look -> look.sign() == sign).findFirst();
    }

    private static Optional<Look> last(List<Look> looks, Sign sign) {
        return looks.stream().filter(look -> look.sign() == sign).reduce((earlier, later) -> later);
    }

    private static int daysTo(LocalDate since, Look look) {
        return Math.toIntExact(ChronoUnit.DAYS.between(since, look.on()));
    }

    private static String regenerated(int times) {
        return times == 0
                ? "Not regenerated yet."
                : "Regenerated " + (times == 1 ? "once" : times + " times") + " so far.";
    }

    private static double clamp(double value, double least, double most) {
        return Math.min(Math.max(value, least), most);
    }
}
