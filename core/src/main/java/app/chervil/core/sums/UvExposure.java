package app.chervil.core.sums;

import app.chervil.core.filter.LampOutput;
import app.chervil.core.sums.Solved.Watchful;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Whether water passes a lamp slowly enough: litres an hour by label or watts, less what lamp and sleeve have lost, against the
 * flow; how long the lamps last, and how long a tank takes to pass three times (docs/sources.md#sum-uv).
 */
final class UvExposure extends Sum {
    private static final Field FLOW = Field.of("flowLph", Measure.LITRES_PER_HOUR);
    private static final Field WATTS = Field.of("watts", Measure.WATTS).from(1, 5000);
    private static final Field PURPOSE = Field.word("purpose", Purpose.class);
    private static final Field LABEL =
            Field.of("labelLph", Measure.LITRES_PER_HOUR).optional().by(Basis.LABEL);
    private static final Field SLEEVE = Field.word("sleeve", Sleeve.class).otherwise(Sleeve.CLEAN.name());
    private static final Field RATED =
            Field.of("ratedH", Measure.HOURS).from(6000, 12000).otherwise(9000).by(Basis.LABEL);
    private static final Field LIT =
            Field.of("litHours", Measure.HOURS).from(.5, 24).otherwise(24);
    private static final Field NET = Field.of("netL", Measure.LITRES).optional();
    private static final Field HOURS =
            Field.of("hours", Measure.HOURS).from(0, 5e4).optional();
    private static final Field STARTS =
            Field.of("starts", Measure.COUNT).from(0, 1e5).otherwise(0);
    private static final Field LAMPS = Field.rows("lamps", 1, 8, HOURS, STARTS);

    private static final double AMPLE_FROM = 1.5;
    private static final double FAST_FROM = .7;

    UvExposure() {
        super("uv", Result.class, FLOW, WATTS, PURPOSE, LABEL, SLEEVE, RATED, LIT, NET, LAMPS);
    }

    /** What the lamp is for, with litres an hour to a watt (keepers' rule). */
    enum Purpose {
        ALGAE(100),
        MICROBES(40);

        private final double lphAWatt;

        Purpose(double lphAWatt) {
            this.lphAWatt = lphAWatt;
        }
    }

    /** What its sleeve lets through (our judgement). */
    enum Sleeve {
        CLEAN(1),
        FILM(.85),
        SCALE(.6);

        private final double through;

        Sleeve(double through) {
            this.through = through;
        }
    }

    /** How slow. */
    enum Pace {
        AMPLE,
        SLOW_ENOUGH,
        FAST,
        TOO_FAST
    }

    /**
     * How slow, and how long.
     *
     * @param output of lamps and sleeve, 1 when new
     * @param slowEnoughLph flow at which it works
     * @param hoursLeft of the lamp that ends first
     * @param wastedHours of the others, if all are changed then
     * @param hoursFor95 until all but a twentieth of the tank has passed
     */
    record Result(
            @Says(Measure.SHARE) double output,
            @Says(Measure.LITRES_PER_HOUR) double slowEnoughLph,
            @Says(Measure.NUMBER) double ratio,
            @Says(value = Measure.NUMBER, name = "class") Pace pace,
            @Says(Measure.HOURS) double hoursLeft,
            @Says(Measure.DAYS) double daysLeft,
            @Says(Measure.HOURS) double wastedHours,
            @Says(Measure.HOURS) OptionalDouble hoursFor95) {}

    @Override
    Outcome solve(Given given) {
        List<Given> lamps = given.rows(LAMPS);
        double rated = given.number(RATED);
        List<Double> lit = lamps.stream()
                .map(lamp -> lamp.or(HOURS, rated) + LampOutput.HOURS_A_START * lamp.number(STARTS))
                .toList();
        double lamp = lit.stream()
                .mapToDouble(hours -> LampOutput.after(hours, rated))
                .average()
                .orElseThrow();
        double output = lamp * given.word(SLEEVE, Sleeve.class).through;
        double byWatts = given.number(WATTS) * given.word(PURPOSE, Purpose.class).lphAWatt;
        double slowEnough = given.or(LABEL, byWatts) * output;
        List<Double> left =
                lit.stream().map(hours -> Math.max(0, rated - hours)).toList();
        double least = left.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        double all = left.stream().mapToDouble(Double::doubleValue).sum();
        double flow = given.number(FLOW);
        Result result = new Result(
                output,
                slowEnough,
                slowEnough / flow,
                pace(slowEnough / flow),
                least,
                least / given.number(LIT),
                all - left.size() * least,
                given.following(NET, net -> Math.log(20) * net / flow));
        return Solved.of(
                result,
                new Watchful()
                        .when(lamps.stream().anyMatch(one -> !one.has(HOURS)), Warning.AGE_UNKNOWN)
                        .when(least <= 0, Warning.SPENT));
    }

    private static Pace pace(double ratio) {
        if (Slack.atLeast(ratio, AMPLE_FROM)) {
            return Pace.AMPLE;
        }
        if (Slack.atLeast(ratio, 1)) {
            return Pace.SLOW_ENOUGH;
        }
        return Slack.atLeast(ratio, FAST_FROM) ? Pace.FAST : Pace.TOO_FAST;
    }
}
