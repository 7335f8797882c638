package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import app.chervil.core.water.ToxicAmmonia;
import app.chervil.core.water.ToxicAmmonia.Band;
import java.util.OptionalDouble;

/**
 * What harmful ammonia would do if pH or temperature rose: total · the un-ionised share ({@link ToxicAmmonia}), and the pH at
 * which each band would begin (docs/sources.md#toxic-ammonia).
 */
final class ToxicRise extends Sum {
    private static final Field TOTAL =
            Field.of("total", Measure.MILLIGRAMS_PER_LITRE).from(0, 50);
    private static final Field PH = Field.of("ph", Measure.PH);
    private static final Field CELSIUS = Field.of("celsius", Measure.CELSIUS);
    private static final Field SALT =
            Field.of("saltGL", Measure.GRAMS_PER_LITRE).otherwise(0);
    private static final Field THEN_PH = Field.of("thenPh", Measure.PH).optional();
    private static final Field THEN_C = Field.of("thenC", Measure.CELSIUS).optional();

    ToxicRise() {
        super("toxic", Result.class, TOTAL, PH, CELSIUS, SALT, THEN_PH, THEN_C);
    }

    /**
     * Now and then.
     *
     * @param share of the total that harms
     * @param toxic what harms now
     * @param phStrain where strain would begin
     */
    record Result(
            @Says(Measure.MILLIGRAMS_PER_LITRE) double toxic,
            Band band,
            @Says(Measure.SHARE) double share,
            @Says(Measure.MILLIGRAMS_PER_LITRE) double toxicThen,
            Band bandThen,
            @Says(Measure.PH) OptionalDouble phStrain,
            @Says(Measure.PH) OptionalDouble phHarm,
            @Says(Measure.PH) OptionalDouble phDanger) {}

    @Override
    Outcome solve(Given given) {
        double total = given.number(TOTAL);
        double salt = given.number(SALT);
        double celsius = given.number(CELSIUS);
        double ph = given.number(PH);
        double share = ToxicAmmonia.share(ph, celsius, salt);
        double thenC = given.or(THEN_C, celsius);
        double then = total * ToxicAmmonia.share(given.or(THEN_PH, ph), thenC, salt);
        Band band = Band.of(total * share);
        Band bandThen = Band.of(then);
        double pka = ToxicAmmonia.pka(thenC, salt);
        return Solved.of(
                new Result(
                        total * share,
                        band,
                        share,
                        then,
                        bandThen,
                        phAt(Band.STRAIN, total, pka),
                        phAt(Band.HARM, total, pka),
                        phAt(Band.DANGER, total, pka)),
                new Watchful().when(bandThen.compareTo(band) > 0, Warning.WORSE));
    }

    private static OptionalDouble phAt(Band band, double total, double pka) {
        double share = band.from() / total;
        return share < 1 ? OptionalDouble.of(pka + Math.log10(share / (1 - share))) : OptionalDouble.empty();
    }
}
