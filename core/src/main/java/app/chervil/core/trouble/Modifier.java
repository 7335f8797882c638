package app.chervil.core.trouble;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** How the rate of a cause moves with what is known. A factor is above zero, and 1 where nothing is known. */
public sealed interface Modifier {
    /** What it says in a keeper's words; {days} or {value} stands for what was found. */
    String why();

    /** What it says at a value. */
    default String whyAt(double value) {
        return why();
    }

    /** What it goes by; empty if unknown. */
    OptionalDouble found(FilterHistory history);

    /** The feature it goes by; empty where it goes by what hands were on. */
    Optional<Feature> goesBy();

    /** Factor at a value. */
    double at(double value);

    /** Factor for a filter; 1 if its feature is missing. */
    default double factor(FilterHistory history) {
        OptionalDouble found = found(history);
        return found.isPresent() ? at(found.getAsDouble()) : 1;
    }

    /** One that goes by a feature. */
    sealed interface OfFeature extends Modifier {
        Feature feature();

        @Override
        default Optional<Feature> goesBy() {
            return Optional.of(feature());
        }

        @Override
        default OptionalDouble found(FilterHistory history) {
            return history.of(feature());
        }
    }

    /** Grows with a number without a step: (v ÷ scale)^power, held between low and high. */
    record Hazard(Feature feature, double scale, double power, Range range, String why) implements OfFeature {
        @Override
        public double at(double value) {
            return Math.min(range.high(), Math.max(range.low(), Math.pow(value / scale, power)));
        }
    }

    /** Turns from low to high around a middle: low + (high − low) ÷ (1 + exp(−(v − mid) ÷ width)). */
    record Level(Feature feature, double mid, double width, Range range, String why) implements OfFeature {
        @Override
        public double at(double value) {
            return range.low() + (range.high() - range.low()) / (1 + Math.exp(-(value - mid) / width));
        }
    }

    /** Fades with the days since hands were there: 1 + (times − 1) · 2^(−v ÷ half-life). */
    record Recent(Touch tag, double times, double halfLifeDays, String why) implements Modifier {
        @Override
        public Optional<Feature> goesBy() {
            return Optional.empty();
        }

        @Override
        public OptionalDouble found(FilterHistory history) {
            return history.daysSince(tag);
        }

        @Override
        public double at(double value) {
            return 1 + (times - 1) * Math.pow(2, -value / halfLifeDays);
        }
    }

    /**
     * One factor for yes, one for no.
     *
     * @param unless what no says in a keeper's words
     */
    record Flag(Feature feature, double yes, double no, String why, String unless) implements OfFeature {
        @Override
        public double at(double value) {
            return value > 0 ? yes : no;
        }

        @Override
        public String whyAt(double value) {
            return value > 0 ? why : unless;
        }
    }

    /** One factor from a value on, one below it. */
    record Step(Feature feature, double from, double above, double below, String why) implements OfFeature {
        @Override
        public double at(double value) {
            return value >= from ? above : below;
        }
    }

    /** A factor a grade, 0 clean to 4 clogged. */
    record ByGrade(Feature feature, List<Double> table, String why) implements OfFeature {
        public ByGrade {
            table = List.copyOf(table);
        }

        @Override
        public double at(double value) {
            return table.get((int) value);
        }
    }

    /** The same with a factor raised to a power. */
    record Powered(Modifier of, double power) implements Modifier {
        @Override
        public String why() {
            return of.why();
        }

        @Override
        public Optional<Feature> goesBy() {
            return of.goesBy();
        }

        @Override
        public OptionalDouble found(FilterHistory history) {
            return of.found(history);
        }

        @Override
        public double at(double value) {
            return Math.pow(of.at(value), power);
        }

        @Override
        public String whyAt(double value) {
            return of.whyAt(value);
        }
    }

    /** Least and greatest factor. */
    record Range(double low, double high) {}
}
