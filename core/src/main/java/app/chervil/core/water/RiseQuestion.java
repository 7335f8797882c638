package app.chervil.core.water;

import app.chervil.core.calc.Check;
import java.util.Comparator;
import java.util.List;

/**
 * What is known of one parameter of one tank over some time (docs/sources.md#production). Days count from any origin.
 *
 * @param noise of the parameter, in its unit
 * @param kitNoise of the test it was read with, in its unit
 * @param seen oldest first
 * @param changes oldest first
 * @param phases ways the tank was kept, oldest first
 * @param ways how many there are
 * @param tap concentration in the new water
 * @param settleDays after a switch to another way that count for neither
 * @param kits days on which another test kit was begun
 * @param shifts days from which on the tank makes more or less for another reason, whatever the way
 */
public record RiseQuestion(
        double noise,
        double kitNoise,
        List<Seen> seen,
        List<Change> changes,
        List<Kept> phases,
        int ways,
        Tap tap,
        double settleDays,
        List<Double> kits,
        List<Double> shifts) {
    public RiseQuestion {
        Check.positive("noise", noise);
        Check.positive("kitNoise", kitNoise);
        Check.within("ways", ways, 1, 12);
        Check.within("settleDays", settleDays, 0, 366);
        seen = seen.stream().sorted(Comparator.comparingDouble(Seen::day)).toList();
        changes =
                changes.stream().sorted(Comparator.comparingDouble(Change::day)).toList();
        phases = phases.stream().sorted(Comparator.comparingDouble(Kept::from)).toList();
        kits = kits.stream().sorted().toList();
        shifts = shifts.stream().sorted().toList();
    }

    /** Where nothing else changed. */
    public RiseQuestion(
            double noise,
            double kitNoise,
            List<Seen> seen,
            List<Change> changes,
            List<Kept> phases,
            int ways,
            Tap tap,
            double settleDays,
            List<Double> kits) {
        this(noise, kitNoise, seen, changes, phases, ways, tap, settleDays, kits, List.of());
    }

    /**
     * A water change.
     *
     * @param share of the tank's water that was new, 0 to 1
     */
    public record Change(double day, double share) {
        public Change {
            Check.within("share", share, 0, 1);
        }
    }

    /** A way that began. */
    public record Kept(double from, int way) {}

    /**
     * What the new water brings.
     *
     * @param sd how unsure that is; zero if it is known exactly
     */
    public record Tap(double value, double sd) {
        /** New water without any. */
        public static final Tap NONE = new Tap(0, 0);

        public Tap {
            Check.within("value", value, 0, 1e6);
            Check.within("sd", sd, 0, 1e6);
        }
    }

    boolean hasRanges() {
        return seen.stream().anyMatch(one -> !one.isExact());
    }

    boolean settles() {
        return settleDays > 0 && ways > 1;
    }
}
