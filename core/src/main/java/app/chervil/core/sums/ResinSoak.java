package app.chervil.core.sums;

import java.util.Optional;

/**
 * Plain bleach for regenerating resin, and conditioner for what rinsing leaves in its pores: 9525 · soak % · pore · millilitres
 * of resin ÷ 1000 mg of chlorine. Refused near any acid, for scented or strong bleach, and where the label says nothing of it
 * (docs/sources.md#sum-bleach).
 */
final class ResinSoak extends Sum {
    private static final Field RESIN = Field.of("resinMl", Measure.MILLILITRES);
    private static final Field BLEACH =
            Field.of("bleachPct", Measure.PERCENT).from(1, 20).by(Basis.LABEL);
    private static final Field SOAK =
            Field.of("soakPct", Measure.PERCENT).from(.5, 5).rule(2.5);
    private static final Field TIMES =
            Field.of("soakTimes", Measure.NUMBER).from(2, 10).rule(3);
    private static final Field PORE =
            Field.of("pore", Measure.SHARE).from(.05, .8).rule(.4);
    private static final Field TREATS =
            Field.of("treatsLPerMl", Measure.LITRES).from(.5, 200).by(Basis.LABEL);
    private static final Field TAP =
            Field.of("tapMgL", Measure.MILLIGRAMS_PER_LITRE).from(.5, 10).rule(2);
    private static final Field PLAIN = Field.flag("plain");
    private static final Field ALLOWS = Field.flag("labelAllows");
    private static final Field ACID = Field.flag("acidNear");

    private static final double STRONGEST_PCT = 12.5;
    /** Milligrams of available chlorine in a millilitre of a solution of 1 %, as sodium hypochlorite. */
    private static final double CHLORINE = 9525;

    ResinSoak() {
        super("resin", Result.class, RESIN, BLEACH, SOAK, TIMES, PORE, TREATS, TAP, PLAIN, ALLOWS, ACID);
    }

    /**
     * The soak.
     *
     * @param leftMg of chlorine that rinsing leaves
     */
    record Result(
            @Says(Measure.MILLILITRES) double soakMl,
            @Says(Measure.MILLILITRES) double bleachMl,
            @Says(Measure.MILLILITRES) double waterMl,
            @Says(Measure.MILLIGRAMS) double leftMg,
            @Says(Measure.MILLILITRES) double conditionerMl) {}

    @Override
    Outcome solve(Given given) {
        Optional<Refused> refused = unsafe(given);
        if (refused.isPresent()) {
            return refused.get();
        }
        double strength = given.number(SOAK);
        if (given.number(BLEACH) < strength) {
            return Refused.impossible(BLEACH);
        }
        double soak = given.number(TIMES) * given.number(RESIN);
        double bleach = soak * strength / given.number(BLEACH);
        double left = CHLORINE * strength * given.number(PORE) * given.number(RESIN) / 1000;
        return Solved.of(
                new Result(soak, bleach, soak - bleach, left, left / (given.number(TAP) * given.number(TREATS))));
    }

    private static Optional<Refused> unsafe(Given given) {
        if (!given.is(PLAIN)) {
            return Optional.of(Refused.unsafe(PLAIN));
        }
        if (!given.is(ALLOWS)) {
            return Optional.of(Refused.unsafe(ALLOWS));
        }
        if (given.is(ACID)) {
            return Optional.of(Refused.unsafe(ACID));
        }
        return Slack.above(given.number(BLEACH), STRONGEST_PCT)
                ? Optional.of(Refused.unsafe(BLEACH))
                : Optional.empty();
    }
}
