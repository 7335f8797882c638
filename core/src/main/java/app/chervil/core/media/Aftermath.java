package app.chervil.core.media;

import app.chervil.core.calc.Digits;
import app.chervil.core.water.Production;
import java.util.Optional;

/** How a tank took an exchange of its media: what its readings say of the weeks before and after (docs/sources.md#media-ripening). */
public final class Aftermath {
    private Aftermath() {}

    /**
     * The verdict, as sentences.
     *
     * @param nitrate what the tank made of nitrate a week before (way 0) and after (way 1); empty if readings are too few
     * @param spikes readings of ammonia or nitrite since the first portion that showed some
     */
    public static String verdict(Optional<Production.Tried> nitrate, long spikes) {
        String seen = spikes == 0
                ? "No ammonia and no nitrite showed since the first portion."
                : spikes == 1
                        ? "Ammonia or nitrite showed once since the first portion."
                        : "Ammonia or nitrite showed " + spikes + " times since the first portion.";
        return seen + " " + nitrate.map(Aftermath::rise).orElse("Readings of nitrate are too few to say more.");
    }

    private static String rise(Production.Tried tried) {
        Production.Pair pair = tried.pair(1, 0);
        String rises = "Nitrate rose " + number(tried.rises().get(0).perWeek()) + " mg/L a week before and "
                + number(tried.rises().get(1).perWeek()) + " after";
        String range = number(pair.difference().low()) + " to "
                + number(pair.difference().high());
        return pair.apart()
                ? rises + ": a difference of " + number(pair.difference().perWeek()) + ", four times in five within "
                        + range + "."
                : rises + ", which cannot be told from no difference (" + range + ").";
    }

    private static String number(double value) {
        return Digits.of(value, 2);
    }
}
