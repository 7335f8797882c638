package app.chervil.core.water;

import app.chervil.core.tank.WaterKind;
import java.util.Optional;

/**
 * Values that most keepers aim at, drawn behind a line; no rule rests on them (docs/sources.md#target-bands).
 *
 * @param low in the unit of the parameter
 * @param high not below low
 */
public record TargetBand(double low, double high) {
    /** The band of a parameter in a kind of water; empty where it depends on the animals alone. */
    public static Optional<TargetBand> of(Parameter parameter, WaterKind water) {
        boolean marine = water == WaterKind.MARINE;
        return switch (parameter) {
            case AMMONIA -> band(0, 0.2);
            case NITRITE -> band(0, 0.1);
            case NITRATE -> marine ? band(0, 10) : band(0, 40);
            case PHOSPHATE -> marine ? band(0, 0.1) : band(0, 1);
            case PH ->
                switch (water) {
                    case MARINE -> band(7.9, 8.4);
                    case BRACKISH -> band(7.4, 8.4);
                    default -> Optional.empty();
                };
            case SALINITY -> marine ? band(33, 36) : Optional.empty();
            case KH -> marine ? band(7, 11) : Optional.empty();
            default -> Optional.empty();
        };
    }

    private static Optional<TargetBand> band(double low, double high) {
        return Optional.of(new TargetBand(low, high));
    }
}
