package app.chervil.core.trouble;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.FilterKind;
import java.util.List;
import java.util.Map;

/**
 * Something that can be wrong.
 *
 * @param rate faults a month in a hundred filters, above 0
 * @param shows how likely it is complained of so, by complaint
 * @param repairs what mends it
 * @param because what its numbers rest on
 */
public record Cause(
        String id,
        String words,
        Fits fits,
        double rate,
        Map<String, Double> shows,
        List<Modifier> modifiers,
        Mending repairs,
        Danger danger,
        String because) {
    public Cause {
        Check.positive("rate", rate);
        shows.forEach((complaint, share) -> Check.within("shows." + complaint, share, 0, 1));
        shows = Map.copyOf(shows);
        modifiers = List.copyOf(modifiers);
    }

    /**
     * What mends it, and what is learned then.
     *
     * @param usual id of its repair
     * @param byKind ids of others, by kind of filter
     */
    public record Mending(String usual, Map<FilterKind, String> byKind, Bearing counts) {
        public Mending {
            byKind = Map.copyOf(byKind);
        }

        public String on(FilterKind kind) {
            return byKind.getOrDefault(kind, usual);
        }
    }

    /** How likely it goes with a danger, 0 to 1. */
    public record Danger(double power, double animals) {
        public Danger {
            Check.within("power", power, 0, 1);
            Check.within("animals", animals, 0, 1);
        }
    }

    Cause at(double otherRate) {
        return new Cause(id, words, fits, otherRate, shows, modifiers, repairs, danger, because);
    }
}
