package app.chervil.core.sums;

import java.util.Arrays;

/** The converter of the trade (docs/sources.md#units). */
final class TradeUnits extends Sum {
    private static final Field VALUE = Field.of("value", Measure.NUMBER).from(-1e9, 1e9);
    private static final Field FROM = Field.word("from", Unit.words());
    private static final Field TO = Field.word("to", Unit.words());

    private static final double ABSOLUTE_ZERO = -273.15;

    TradeUnits() {
        super("unit", Result.class, VALUE, FROM, TO);
    }

    private enum Kind {
        VOLUME,
        FLOW,
        MASS,
        LENGTH,
        HARDNESS,
        TEMPERATURE
    }

    /** A unit: a value in the first of its kind is {@code size} times it, plus {@code zero}. */
    private enum Unit {
        L(Kind.VOLUME, 1, "L"),
        ML(Kind.VOLUME, .001, "mL"),
        GAL_US(Kind.VOLUME, 3.785411784, "galUS"),
        FLOZ_US(Kind.VOLUME, 3.785411784 / 128, "flozUS"),
        CUP(Kind.VOLUME, 3.785411784 / 16, "cup"),
        TBSP(Kind.VOLUME, 3.785411784 / 256, "tbsp"),
        TSP(Kind.VOLUME, 3.785411784 / 768, "tsp"),
        GAL_IMP(Kind.VOLUME, 4.54609, "galImp"),
        FLOZ_IMP(Kind.VOLUME, 4.54609 / 160, "flozImp"),
        IN3(Kind.VOLUME, .016387064, "in3"),
        FT3(Kind.VOLUME, 28.316846592, "ft3"),
        /** Twenty to a millilitre: keepers' rule, droppers differ. */
        DROP(Kind.VOLUME, .00005, "drop"),
        LPH(Kind.FLOW, 1, "L/h"),
        LPM(Kind.FLOW, 60, "L/min"),
        GPH(Kind.FLOW, 3.785411784, "galUS/h"),
        GPH_IMP(Kind.FLOW, 4.54609, "galImp/h"),
        KG(Kind.MASS, 1, "kg"),
        G(Kind.MASS, .001, "g"),
        LB(Kind.MASS, .45359237, "lb"),
        OZ(Kind.MASS, .45359237 / 16, "oz"),
        MM(Kind.LENGTH, 1, "mm"),
        CM(Kind.LENGTH, 10, "cm"),
        M(Kind.LENGTH, 1000, "m"),
        IN(Kind.LENGTH, 25.4, "in"),
        FT(Kind.LENGTH, 304.8, "ft"),
        DGH(Kind.HARDNESS, 1, "dGH"),
        PPM_CACO3(Kind.HARDNESS, .05603, "ppmCaCO3"),
        MEQ(Kind.HARDNESS, 2.804, "meq/L"),
        FH(Kind.HARDNESS, .5603, "fH"),
        EH(Kind.HARDNESS, .7987, "eH"),
        MMOL(Kind.HARDNESS, 5.608, "mmol/L"),
        C(Kind.TEMPERATURE, 1, "C"),
        F(Kind.TEMPERATURE, 5.0 / 9, "F");

        private final Kind kind;
        private final double size;
        private final String word;

        Unit(Kind kind, double size, String word) {
            this.kind = kind;
            this.size = size;
            this.word = word;
        }

        static String[] words() {
            return Arrays.stream(values()).map(unit -> unit.word).toArray(String[]::new);
        }

        static Unit of(String word) {
            return Arrays.stream(values())
                    .filter(unit -> unit.word.equals(word))
                    .findFirst()
                    .orElseThrow();
        }

        private double zero() {
            return this == F ? -160.0 / 9 : 0;
        }

        double stored(double value) {
            return value * size + zero();
        }

        double shown(double stored) {
            return (stored - zero()) / size;
        }

        double least() {
            return kind == Kind.TEMPERATURE ? ABSOLUTE_ZERO : 0;
        }
    }

    /** The same in the other unit. */
    record Result(@Says(Measure.NUMBER) double value) {}

    @Override
    Outcome solve(Given given) {
        Unit from = Unit.of(given.word(FROM));
        Unit to = Unit.of(given.word(TO));
        if (from.kind != to.kind) {
            return Refused.impossible(TO);
        }
        double stored = from.stored(given.number(VALUE));
        if (stored < from.least()) {
            return Refused.range(VALUE);
        }
        return Solved.of(new Result(to.shown(stored)));
    }
}
