package app.chervil.core.procedure;

import app.chervil.core.calc.Check;
import app.chervil.core.calc.Count;
import app.chervil.core.calc.Quantity;
import app.chervil.core.calc.Unit;
import app.chervil.core.calc.Units;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Tubs of tank water for rinsing: as many as the work wants, as large as the keeper's buckets, and never more of the tank
 * than its share (docs/sources.md#rinse-water). Foam has the first ones, bio media has the last to itself.
 *
 * @param count 0 to 3
 * @param litresEach zero if there are none
 * @param bio whether bio media rests in the last one
 */
public record Tubs(int count, double litresEach, boolean bio) {
    private static final double FILLED = 2.0 / 3;
    private static final double LEAST_LITRES = 1;
    private static final double BUCKET_FROM_LITRES = 4;
    private static final double STEP_LITRES = 0.5;
    private static final double STEP_GALLONS = 0.1;
    private static final List<String> NUMBERS = List.of("one", "two", "three");

    /**
     * A tub or bucket of the keeper's own.
     *
     * @param litres to its brim, {@link #LEAST_L} to {@link #MOST_L}
     */
    public record Vessel(String name, double litres) {
        /** The least that foam is squeezed in. */
        public static final double LEAST_L = 0.5;

        public static final double MOST_L = 100;

        public Vessel {
            Check.within("litres", litres, LEAST_L, MOST_L);
        }
    }

    /**
     * What a keeper draws with, and how much a tank can give.
     *
     * @param bucketL volume of a bucket in litres; two thirds of it are used; above zero
     * @param tankL net volume of the tank in litres; above zero
     * @param share of the tank that a service may draw in all, above 0 to 1
     * @param units in which the keeper's buckets are marked
     * @param vessels tubs and buckets the keeper has, told apart by name; none if nobody said
     */
    public record Means(double bucketL, double tankL, double share, Units units, List<Vessel> vessels) {
        /** A bucket of 8 L, a quarter of the tank. */
        public static final double USUAL_BUCKET_L = 8;

        public static final double USUAL_SHARE = 0.25;

        /** Means marked in litres. */
        public Means(double bucketL, double tankL, double share) {
            this(bucketL, tankL, share, Units.METRIC, List.of());
        }

        public Means {
            vessels = vessels.stream()
                    .sorted(Comparator.comparingDouble(Vessel::litres))
                    .toList();
            Check.positive("bucketL", bucketL);
            Check.positive("tankL", tankL);
            Check.within("share", share, 0.01, 1);
        }

        double mostLitres() {
            return share * tankL;
        }

        /** Litres drawn into one tub at most: two thirds of the bucket, or of the largest vessel if that is smaller. */
        private double fill() {
            double largest = vessels.isEmpty()
                    ? bucketL
                    : vessels.get(vessels.size() - 1).litres();
            return FILLED * Math.min(bucketL, largest);
        }

        /** The smallest vessel that is no more than two thirds full with so much. */
        Optional<Vessel> vesselFor(double litres) {
            return vessels.stream()
                    .filter(one -> FILLED * one.litres() >= litres - 1e-9)
                    .findFirst();
        }

        /** The same with another share. */
        Means sharing(double other) {
            return new Means(bucketL, tankL, other, units, vessels);
        }

        /** Litres as far as the marks of a bucket go: down to the next one, and half a litre or a tenth of a gallon at least. */
        private double marked(double litres) {
            Unit unit = units.of(Quantity.VOLUME);
            double mark = unit == Unit.LITRE ? STEP_LITRES : STEP_GALLONS;
            return unit.stored(Math.floor(unit.shown(litres) / mark + 1e-9) * mark);
        }
    }

    /**
     * Shares water out.
     *
     * @param rinses tubs wanted for foam, 0 to 2
     * @param bio whether bio media comes out
     */
    static Tubs of(int rinses, boolean bio, Means means) {
        int wanted = rinses + (bio ? 1 : 0);
        if (wanted == 0) {
            return new Tubs(0, 0, false);
        }
        double most = means.mostLitres();
        int count = wanted;
        while (count > 1 && most / count < LEAST_LITRES) {
            count--;
        }
        double each = Math.min(means.fill(), most / count);
        return new Tubs(count, each < LEAST_LITRES ? Math.floor(each * 10) / 10 : means.marked(each), bio);
    }

    /** What to bring, in words: those for tank water, and an empty bucket if something drains into one. */
    List<String> toBring(boolean empty) {
        if (!empty) {
            return count == 0 ? List.of() : List.of(counted(count));
        }
        if (count == 0) {
            return List.of("1 empty bucket");
        }
        return isBucket()
                ? List.of(counted(count + 1) + ", one of them empty")
                : List.of(counted(count), "1 empty bucket");
    }

    private String counted(int vessels) {
        return Count.of(vessels, vessel());
    }

    /** Litres drawn in all. */
    public double litres() {
        return count * litresEach;
    }

    private String vessel() {
        return isBucket() ? "bucket" : "tub";
    }

    private boolean isBucket() {
        return litresEach >= BUCKET_FROM_LITRES;
    }

    private String name(int number) {
        return count == 1 ? "the " + vessel() : vessel() + " " + NUMBERS.get(number - 1);
    }

    /** Tubs that foam is squeezed in. */
    private int rinses() {
        return bio ? count - 1 : count;
    }

    /** Where foam is rinsed first. */
    String first(boolean tap) {
        if (tap) {
            return "under the tap";
        }
        return pours(false) ? "over an empty bucket, pouring water from " + bioTub() + " by jug," : "in " + name(1);
    }

    /** Whether there is no tub for foam, so that it is rinsed by jug. */
    boolean pours(boolean tap) {
        return !tap && rinses() == 0;
    }

    /** Whether a tub is there to squeeze foam in. */
    boolean hasOneForFoam(boolean tap) {
        return !tap && rinses() > 0;
    }

    /** Whether foam is squeezed a second time, in water of its own. */
    boolean hasSecond(boolean tap) {
        return !tap && rinses() >= 2;
    }

    String second() {
        return "in " + name(2);
    }

    /** Where the cleanest water for rinsing is. */
    String cleanest(boolean tap) {
        return hasSecond(tap) ? second() : first(tap);
    }

    /** Where bio media rests and is dipped. */
    String bioTub() {
        return name(count);
    }

    /** The water to be drawn, in words; of how much tank water, what for, and in which of the keeper's own. */
    String drawn(boolean tap, Means means) {
        Units units = means.units();
        String each = units.say(Quantity.VOLUME, litresEach);
        String number = count == 1 ? "one " + vessel() : NUMBERS.get(count - 1) + " " + vessel() + "s";
        String what = count == 1
                ? "Fill " + number + " with " + each + " of tank water"
                : "Fill " + number + " with " + each + " of tank water each";
        String keeps =
                tap ? "; it is for the bio media, foam is rinsed under the tap" : "; the last is for the bio media";
        String own = means.vesselFor(litresEach)
                .map(one -> " “" + one.name() + "” is large enough.")
                .orElse("");
        return what + (bio && (tap || count > 1) ? keeps : "") + "." + own;
    }
}
