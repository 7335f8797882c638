package app.chervil.core.sums;

/** Salinity in the four ways it is read: ‰, specific gravity, grams a litre, conductivity ({@link SeaWater}). */
final class SalinityUnits extends Sum {
    private static final Field VALUE = Field.of("value", Measure.NUMBER).from(0, 1e5);
    private static final Field UNIT = Field.word("unit", Unit.class);
    private static final Field CELSIUS =
            Field.of("celsius", Measure.CELSIUS).from(0, 35).otherwise(25);

    SalinityUnits() {
        super("salinity", Result.class, VALUE, UNIT, CELSIUS);
    }

    /** How it is read. */
    enum Unit {
        SG,
        PPT,
        MS_CM,
        G_L
    }

    /**
     * In all four.
     *
     * @param sg against fresh water of the same temperature
     */
    record Result(
            @Says(Measure.PER_MILLE) double ppt,
            @Says(Measure.SPECIFIC_GRAVITY) double sg,
            @Says(Measure.GRAMS_PER_LITRE) double gL,
            @Says(Measure.MILLISIEMENS_PER_CM) double mScm) {}

    @Override
    Outcome solve(Given given) {
        double value = given.number(VALUE);
        SeaWater water = new SeaWater(given.number(CELSIUS));
        double ppt =
                switch (given.word(UNIT, Unit.class)) {
                    case PPT -> value;
                    case SG -> SeaWater.pptWhere(water::specificGravity, value);
                    case G_L -> SeaWater.pptWhere(water::gramsALitre, value);
                    case MS_CM -> SeaWater.pptWhere(water::conductivity, value);
                };
        if (!(Slack.atLeast(ppt, SeaWater.LEAST_PPT) && Slack.atMost(ppt, SeaWater.MOST_PPT))) {
            return Refused.range(VALUE);
        }
        return Solved.of(new Result(ppt, water.specificGravity(ppt), water.gramsALitre(ppt), water.conductivity(ppt)));
    }
}
