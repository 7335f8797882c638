package app.chervil.core.filter;

import app.chervil.core.calc.Check;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * How long a part lasts by its label, and how it is run; each may be unknown.
 *
 * @param ratedHours of a lamp, above zero
 * @param litHoursADay of a lamp, 0 to 24
 * @param startsADay of a lamp, not below zero
 * @param rollMetres of a fleece roll when new, above zero
 * @param rinses that a washable pad bears, above zero
 */
public record Endurance(
        OptionalDouble ratedHours,
        OptionalDouble litHoursADay,
        OptionalInt startsADay,
        OptionalDouble rollMetres,
        OptionalInt rinses) {
    public static final Endurance UNKNOWN = new Endurance(
            OptionalDouble.empty(),
            OptionalDouble.empty(),
            OptionalInt.empty(),
            OptionalDouble.empty(),
            OptionalInt.empty());

    public Endurance {
        ratedHours.ifPresent(hours -> Check.within("ratedHours", hours, 100, 100_000));
        litHoursADay.ifPresent(hours -> Check.within("litHoursADay", hours, 0, 24));
        startsADay.ifPresent(starts -> Check.within("startsADay", starts, 0, 1440));
        rollMetres.ifPresent(metres -> Check.within("rollMetres", metres, 0.1, 1000));
        rinses.ifPresent(count -> Check.within("rinses", count, 1, 1000));
    }
}
