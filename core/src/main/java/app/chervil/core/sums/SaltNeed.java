package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;

/** Salt for a rise of salinity, by what the label says a litre takes; or water to replace for a fall (docs/sources.md#sum-salt). */
final class SaltNeed extends Sum {
    private static final Field LITRES = Field.of("litres", Measure.LITRES);
    private static final Field TO = Field.of("toGL", Measure.GRAMS_PER_LITRE);
    private static final Field FROM =
            Field.of("fromGL", Measure.GRAMS_PER_LITRE).otherwise(0);
    private static final Field LABEL_G =
            Field.of("labelG", Measure.GRAMS).from(20, 60).otherwise(38).by(Basis.LABEL);
    private static final Field LABEL_GL = Field.of("labelGL", Measure.GRAMS_PER_LITRE)
            .from(20, 45)
            .otherwise(35)
            .by(Basis.LABEL);
    private static final Field STEP_LIMIT =
            Field.of("stepLimit", Measure.GRAMS_PER_LITRE).from(.2, 10).rule(1.5);

    SaltNeed() {
        super("salt", Result.class, LITRES, TO, FROM, LABEL_G, LABEL_GL, STEP_LIMIT);
    }

    /**
     * What it takes.
     *
     * @param replaceL by fresh water
     */
    record Result(
            @Says(Measure.GRAMS) double grams,
            @Says(Measure.LITRES) double replaceL) {}

    @Override
    Outcome solve(Given given) {
        double from = given.number(FROM);
        double to = given.number(TO);
        double litres = given.number(LITRES);
        double grams = Math.max(0, to - from) * litres * given.number(LABEL_G) / given.number(LABEL_GL);
        double replace = to < from ? litres * (1 - to / from) : 0;
        boolean step = from > 0 && Slack.above(Math.abs(to - from), given.number(STEP_LIMIT));
        return Solved.of(new Result(grams, replace), new Watchful().when(step, Warning.STEP));
    }
}
