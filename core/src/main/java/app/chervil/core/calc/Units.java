package app.chervil.core.calc;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The units a site reads: one for each quantity.
 *
 * @param chosen those that are missing are metric
 */
public record Units(Map<Quantity, Unit> chosen) {
    private static final List<Unit> STORED = List.of(
            Unit.LITRE,
            Unit.LITRES_AN_HOUR,
            Unit.GRAM,
            Unit.METRE,
            Unit.MILLIMETRE,
            Unit.MILLILITRE,
            Unit.CELSIUS,
            Unit.MG_PER_L,
            Unit.DH,
            Unit.G_PER_L);

    private static final int DIGITS = 3;

    public static final Units METRIC = new Units(Map.of());

    public Units {
        Map<Quantity, Unit> all = new EnumMap<>(Quantity.class);
        STORED.forEach(unit -> all.put(unit.quantity(), unit));
        all.putAll(chosen);
        chosen = Map.copyOf(all);
    }

    /**
     * A choice.
     *
     * @param units at most one for each quantity; those that are missing are metric
     * @throws IllegalArgumentException if two are of one quantity
     */
    public static Units of(Unit... units) {
        return new Units(
                Arrays.stream(units).collect(Collectors.toMap(Unit::quantity, Function.identity(), Units::twice)));
    }

    private static Unit twice(Unit one, Unit other) {
        throw new IllegalArgumentException("units must be of different quantities but were " + one + " and " + other);
    }

    public Unit of(Quantity quantity) {
        Unit unit = chosen.get(quantity);
        if (unit == null) {
            throw new IllegalStateException("no unit of " + quantity);
        }
        return unit;
    }

    /**
     * A measure in words, "29 gal": three digits that count, no more after the point than say something.
     *
     * @param stored in the unit in which the quantity is stored
     */
    public String say(Quantity quantity, double stored) {
        Unit unit = of(quantity);
        return number(unit.shown(stored), unit) + " " + unit.symbol();
    }

    private static String number(double shown, Unit unit) {
        // Specific gravity counts in thousandths.
        BigDecimal rounded = unit == Unit.SPECIFIC_GRAVITY
                ? BigDecimal.valueOf(shown).setScale(DIGITS, RoundingMode.HALF_EVEN)
                : BigDecimal.valueOf(shown).round(new MathContext(Math.max(DIGITS, whole(shown))));
        return Digits.grouped(rounded);
    }

    private static int whole(double shown) {
        return Math.abs(shown) < 1 ? 1 : (int) Math.floor(Math.log10(Math.abs(shown))) + 1;
    }
}
