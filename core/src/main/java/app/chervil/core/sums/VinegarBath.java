package app.chervil.core.sums;

/** Vinegar thinned for lime: litres · wanted % ÷ acid %. Refused near bleach and for essence (docs/sources.md#sum-bleach). */
final class VinegarBath extends Sum {
    private static final Field LITRES = Field.of("litres", Measure.LITRES);
    private static final Field ACID =
            Field.of("acidPct", Measure.PERCENT).from(1, 100).by(Basis.LABEL);
    private static final Field TO =
            Field.of("toPct", Measure.PERCENT).from(.5, 10).rule(2.5);
    private static final Field BLEACH = Field.flag("bleachNear");

    private static final double STRONGEST_PCT = 25;

    VinegarBath() {
        super("vinegar", Result.class, LITRES, ACID, TO, BLEACH);
    }

    /** The bath. */
    record Result(
            @Says(Measure.LITRES) double vinegarL,
            @Says(Measure.LITRES) double waterL) {}

    @Override
    Outcome solve(Given given) {
        if (given.is(BLEACH)) {
            return Refused.unsafe(BLEACH);
        }
        double acid = given.number(ACID);
        if (Slack.above(acid, STRONGEST_PCT)) {
            return Refused.unsafe(ACID);
        }
        if (acid < given.number(TO)) {
            return Refused.impossible(ACID);
        }
        double vinegar = given.number(LITRES) * given.number(TO) / acid;
        return Solved.of(new Result(vinegar, given.number(LITRES) - vinegar));
    }
}
