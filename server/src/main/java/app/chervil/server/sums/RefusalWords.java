package app.chervil.server.sums;

import app.chervil.core.calc.Digits;
import app.chervil.core.sums.Field;
import app.chervil.core.sums.Measure;
import app.chervil.core.sums.Refused;
import app.chervil.core.sums.Sum;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Why a sum was refused, in words, at its field. */
final class RefusalWords {
    private static final int DECIMALS = 3;

    private static final Map<String, String> SAID = Map.ofEntries(
            Map.entry("expected.kind", "An air lift has no pump curve; catch its flow instead."),
            Map.entry("expected.liftM", "At this height the pump moves nothing: its maximum head is no higher."),
            Map.entry("change.share", "Say either a share or a drop of the level, not both."),
            Map.entry("change.dropMm", "That is more water than the tank holds."),
            Map.entry("change.bucketL", "Buckets and canister hold more than the tank does."),
            Map.entry("conditioner.newL", "That is more new water than the tank holds."),
            Map.entry(
                    "conditioner.plannedMl",
                    "More than five times the label can harm. Dose by the label, or ask its maker."),
            Map.entry(
                    "conditioner.unitMl",
                    "One of these is more than five times the label’s dose for so little water. Use drops or a syringe."),
            Map.entry("mix.hotC", "Hot must be warmer than cold. Are the two taps swapped?"),
            Map.entry("mix.targetC", "These taps cannot mix to that; it must lie between cold and hot."),
            Map.entry("heat.watts", "This heater never gets there: the room takes as much as it gives."),
            Map.entry("heat.roomC", "Water does not cool below its room."),
            Map.entry(
                    "schedule.wantPeak",
                    "No share reaches that: it must lie above the tap by more than rises from one change to the next."),
            Map.entry("lower.tap", "The tap holds as much as you want to reach; changing water cannot get there."),
            Map.entry("hold.coreMm", "The stem is as wide as the place itself."),
            Map.entry("bags.tieMm", "Nothing of the bag is left below the tie."),
            Map.entry("cut.aMm", "The piece is larger than the sheet, with what is cut over."),
            Map.entry("cut.notches", "The notches take all of the piece."),
            Map.entry("cut.holeMm", "The hole takes all of the piece."),
            Map.entry("cutlist.pieces[].aMm", "This piece is larger than the sheet, with what is cut over."),
            Map.entry(
                    "tiles.barMm",
                    "More than 1 mm off: the printer scales. Set it to actual size, 100 %, and print again."),
            Map.entry("draindown.levelMm", "The water stands as high as the rim."),
            Map.entry("topoff.netL", "The chamber holds as much as the tank and its sump."),
            Map.entry("siphon.heightM", "The level would fall to the end of the hose; the siphon stops before."),
            Map.entry("resin.plain", "Only plain bleach: scent, thickener and detergent stay in the resin and kill."),
            Map.entry("resin.labelAllows", "Not this resin: its label must allow bleach. Replace it instead."),
            Map.entry(
                    "resin.acidNear",
                    "Bleach near acid, descaler or ammonia gives off poisonous gas. Clear it away, rinse, air the room first."),
            Map.entry("resin.bleachPct", "For this soak, bleach between the soak’s strength and 12.5 %."),
            Map.entry(
                    "vinegar.bleachNear",
                    "Vinegar near bleach gives off poisonous gas. Clear it away, rinse, air the room first."),
            Map.entry(
                    "vinegar.acidPct",
                    "Household vinegar, stronger than the bath and at most 25 %: essence burns skin and eyes."),
            Map.entry("unit.to", "The two units measure different things."));

    private RefusalWords() {}

    static String of(Sum sum, Refused refused) {
        return switch (refused.code()) {
            case MISSING -> "Fill this in.";
            case RANGE -> range(sum, refused.field());
            case IMPOSSIBLE, UNSAFE ->
                SAID.getOrDefault(
                        sum.name() + "." + refused.field().replaceAll("\\[\\d+]", "[]"), "This does not fit the rest.");
        };
    }

    private static String range(Sum sum, String path) {
        boolean isRow = path.endsWith("]");
        return field(sum.fields(), List.of(path.replaceAll("\\[\\d+]", "").split("\\.")))
                .map(field -> isRow ? rangeOfRow(field) : range(field))
                .orElse("This is out of range.");
    }

    private static Optional<Field> field(List<Field> fields, List<String> path) {
        Optional<Field> found =
                fields.stream().filter(one -> one.name().equals(path.get(0))).findFirst();
        return path.size() == 1 ? found : found.flatMap(one -> field(one.row(), path.subList(1, path.size())));
    }

    private static String rangeOfRow(Field list) {
        return list.type() == Field.Type.NUMBERS ? range(list.row().get(0)) : "A row of this list has fields.";
    }

    private static String range(Field field) {
        return switch (field.type()) {
            case NUMBER -> between(field.measure(), field.least(), field.most());
            case WORD -> "Choose one.";
            case FLAG -> "Say yes or no.";
            case NUMBERS, ROWS -> "Between " + plain(field.least()) + " and " + plain(field.most()) + " of them.";
        };
    }

    static String between(Measure measure, double least, double most) {
        String whole = measure == Measure.COUNT ? "A whole number between " : "Between ";
        return whole + plain(least) + " and " + plain(most) + symbol(measure) + ".";
    }

    private static String plain(double value) {
        return Digits.grouped(BigDecimal.valueOf(value).setScale(DECIMALS, RoundingMode.HALF_UP));
    }

    private static String symbol(Measure measure) {
        return switch (measure) {
            case LITRES -> " L";
            case LITRES_PER_HOUR -> " L/h";
            case MILLILITRES -> " mL";
            case MILLIMETRES -> " mm";
            case METRES -> " m";
            case CELSIUS, KELVIN -> " °C";
            case GRAMS_PER_LITRE -> " g/L";
            case MILLIGRAMS_PER_LITRE -> " mg/L";
            case KILOGRAMS -> " kg";
            case GRAMS -> " g";
            case SECONDS -> " s";
            case MINUTES -> " min";
            case HOURS -> " h";
            case DAYS -> " days";
            case WATTS -> " W";
            case PERCENT -> " %";
            default -> "";
        };
    }
}
