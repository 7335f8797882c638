package app.chervil.core.sums;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.sums.Solved.Watchful;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a filter moves, caught in a vessel: q = 3600 · litres ÷ seconds, the median of the catches; the spread between them, or
 * 0.3 s of reaction at the shortest, says how far to trust it (docs/sources.md#sum-flow).
 */
final class CaughtFlow extends Sum {
    private static final Field RATED =
            Field.of("ratedLph", Measure.LITRES_PER_HOUR).optional();
    private static final Field CLEAN =
            Field.of("cleanLph", Measure.LITRES_PER_HOUR).optional();
    private static final Field NET = Field.of("netL", Measure.LITRES).optional();
    private static final Field SPREAD_LIMIT =
            Field.of("spreadLimit", Measure.SHARE).from(.05, .5).rule(.15);
    private static final Field LITRES = Field.of("litres", Measure.LITRES);
    private static final Field SECONDS = Field.of("seconds", Measure.SECONDS);
    private static final Field CATCHES = Field.rows("catches", 1, 9, LITRES, SECONDS);

    private static final int ENOUGH = 3;
    private static final double SHORT_SECONDS = 3;
    private static final double REACTION_SECONDS = .3;
    private static final double OVER_PLATE = 1.05;
    private static final double FASTER_THAN_CLEAN = -.1;
    private static final double PREFILTER_FROM = .3;
    private static final double FILTER_FROM = .5;

    CaughtFlow() {
        super("catch", Result.class, RATED, CLEAN, NET, SPREAD_LIMIT, CATCHES);
    }

    /** What a loss of flow asks for. */
    enum Action {
        NONE,
        PREFILTER,
        FILTER
    }

    /**
     * What was caught.
     *
     * @param spread of the catches, against their median
     * @param plusMinus share by which the flow may be off
     * @param loss against the clean flow; below zero if it runs faster
     * @param turnover of the tank in an hour
     */
    record Result(
            @Says(Measure.LITRES_PER_HOUR) double lph,
            @Says(Measure.SHARE) double spread,
            @Says(Measure.SHARE) double plusMinus,
            @Says(Measure.SHARE) OptionalDouble shareOfPlate,
            @Says(Measure.SHARE) OptionalDouble loss,
            Optional<Action> action,
            @Says(Measure.NUMBER) OptionalDouble turnover) {}

    @Override
    Outcome solve(Given given) {
        List<Double> flows = given.rows(CATCHES).stream()
                .map(one -> 3600 * one.number(LITRES) / one.number(SECONDS))
                .sorted()
                .toList();
        if (flows.get(flows.size() - 1) > FlowRate.MOST) {
            return Refused.range(CATCHES);
        }
        return told(given, flows);
    }

    private static Solved told(Given given, List<Double> flows) {
        double lph = median(flows);
        double spread = (flows.get(flows.size() - 1) - flows.get(0)) / lph;
        double shortest = given.rows(CATCHES).stream()
                .mapToDouble(one -> one.number(SECONDS))
                .min()
                .orElseThrow();
        OptionalDouble ofPlate = given.following(RATED, rated -> lph / rated);
        OptionalDouble loss = given.following(CLEAN, clean -> 1 - lph / clean);
        Result result = new Result(
                lph,
                spread,
                Math.max(spread / 2, REACTION_SECONDS / shortest),
                ofPlate,
                loss,
                loss.isPresent() ? Optional.of(action(loss.getAsDouble())) : Optional.empty(),
                given.following(NET, net -> lph / net));
        return Solved.of(
                result,
                new Watchful()
                        .when(flows.size() < ENOUGH, Warning.FEW)
                        .when(Slack.above(spread, given.number(SPREAD_LIMIT)), Warning.SPREAD)
                        .when(Slack.above(SHORT_SECONDS, shortest), Warning.SHORT)
                        .when(Slack.above(ofPlate.orElse(0), OVER_PLATE), Warning.ABOVE_PLATE)
                        .when(Slack.above(FASTER_THAN_CLEAN, loss.orElse(0)), Warning.FASTER));
    }

    private static Action action(double loss) {
        if (Slack.atLeast(loss, FILTER_FROM)) {
            return Action.FILTER;
        }
        return Slack.atLeast(loss, PREFILTER_FROM) ? Action.PREFILTER : Action.NONE;
    }

    private static double median(List<Double> sorted) {
        int middle = sorted.size() / 2;
        return sorted.size() % 2 == 1 ? sorted.get(middle) : (sorted.get(middle - 1) + sorted.get(middle)) / 2;
    }
}
