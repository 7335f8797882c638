package app.chervil.core.passport;

import app.chervil.core.calc.Check;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Where something sits in a chamber.
 *
 * @param name what the keeper calls it, in the middle of a sentence: "the top tray"
 * @param emptiedInPlace whether its contents come out while it stays where it is
 * @param under places of the same chamber that are lifted first, by their number; empty for all trays before a tray, and for
 *     nothing before a cage or what is fixed
 * @param holeMm width of its holes in millimetres, 0.1 to 100; empty if nobody measured
 * @param contents in the order a hand meets them
 */
public record Place(
        String name,
        Kind kind,
        boolean emptiedInPlace,
        Optional<List<Integer>> under,
        OptionalDouble holeMm,
        List<Content> contents) {
    /** What a place is. */
    public enum Kind {
        /** Lifted out with what is in it. */
        TRAY,
        /** Stands beside the trays and is lifted alone. */
        CAGE,
        /** Part of the housing: a hand takes things out of it. */
        FIXED
    }

    /** How something is packed. */
    public enum Packing {
        SHEET,
        PIECE,
        BAG,
        LOOSE
    }

    /**
     * What lies in a place.
     *
     * @param stage its number in the water path, from zero
     * @param litres it takes up, above zero; empty if nobody measured
     * @param grainMm size of its grains in millimetres, above zero; empty if it has none or nobody measured
     */
    public record Content(int stage, Packing packing, OptionalDouble litres, OptionalDouble grainMm) {
        public Content {
            Check.within("stage", stage, 0, 999);
            litres.ifPresent(volume -> Check.positive("litres", volume));
            grainMm.ifPresent(grain -> Check.positive("grainMm", grain));
        }

        /** A piece of which nothing was measured. */
        public static Content piece(int stage) {
            return new Content(stage, Packing.PIECE, OptionalDouble.empty(), OptionalDouble.empty());
        }
    }

    public Place {
        under = under.map(List::copyOf);
        holeMm.ifPresent(hole -> Check.within("holeMm", hole, 0.1, 100));
        contents = List.copyOf(contents);
    }

    /** A tray of which nothing was measured. */
    public static Place tray(String name, boolean emptiedInPlace, Content... contents) {
        return new Place(name, Kind.TRAY, emptiedInPlace, Optional.empty(), OptionalDouble.empty(), List.of(contents));
    }

    /** A cage of which nothing was measured. */
    public static Place cage(String name, Content... contents) {
        return new Place(name, Kind.CAGE, false, Optional.empty(), OptionalDouble.empty(), List.of(contents));
    }

    /** Part of the housing. */
    public static Place fixed(String name, Content... contents) {
        return new Place(name, Kind.FIXED, true, Optional.empty(), OptionalDouble.empty(), List.of(contents));
    }

    boolean isFixed() {
        return kind == Kind.FIXED;
    }

    boolean holds(int stage) {
        return contents.stream().anyMatch(content -> content.stage() == stage);
    }
}
