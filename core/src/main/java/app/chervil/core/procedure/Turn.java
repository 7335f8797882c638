package app.chervil.core.procedure;

import app.chervil.core.calc.Check;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Where a filter stands among those of one tank that are served one after the other: gloves, tubs and heater are seen to once,
 * and the next filter stops only when the one before runs again (docs/sources.md#one-after-the-other).
 *
 * @param first whether none was served before it
 * @param last whether none follows
 * @param heaterOff whether the tank's heater is off already
 * @param heaterWaits whether a later one turns the tank's heater on
 * @param wanted tubs that all of them want together
 */
public record Turn(boolean first, boolean last, boolean heaterOff, boolean heaterWaits, Wanted wanted) {
    /** Days that should lie between bio media that is taken out of one filter and out of another. */
    public static final int DAYS_APART = 7;

    /**
     * What one set of tubs is for.
     *
     * @param rinses tubs for foam, 0 to 2
     * @param bio whether bio media rests in one
     */
    public record Wanted(int rinses, boolean bio) {
        static final Wanted NONE = new Wanted(0, false);

        public Wanted {
            Check.within("rinses", rinses, 0, 2);
        }

        Wanted and(Wanted other) {
            return new Wanted(Math.max(rinses, other.rinses), bio || other.bio);
        }
    }

    /** A filter that is served by itself. */
    static final Turn ALONE = new Turn(true, true, false, false, Wanted.NONE);

    /** The same work, each knowing its turn. */
    static List<LaidOut> each(List<LaidOut> inOrder) {
        Wanted wanted = inOrder.stream().map(LaidOut::wanted).reduce(Wanted.NONE, Wanted::and);
        boolean drawn = !wanted.equals(Wanted.NONE);
        List<Boolean> off = IntStream.range(0, inOrder.size())
                .mapToObj(i -> turnsTankHeaterOff(inOrder.get(i), i == 0 && drawn))
                .toList();
        return IntStream.range(0, inOrder.size())
                .mapToObj(i -> inOrder.get(i)
                        .inTurn(new Turn(
                                i == 0,
                                i == inOrder.size() - 1,
                                off.subList(0, i).contains(true),
                                off.subList(i + 1, off.size()).contains(true),
                                wanted)))
                .toList();
    }

    /** A heater in a filter's own hose or body is that filter's affair. */
    private static boolean turnsTankHeaterOff(LaidOut work, boolean draws) {
        return !work.situation().build().heaterNeedsFlow()
                && (draws || work.extent().touchesWater());
    }

    /** Whether its own steps turn the heater off. */
    boolean turnsOff(boolean needsFlow) {
        return needsFlow || !heaterOff;
    }

    /** Whether its own steps turn the heater on. */
    boolean turnsOn(boolean needsFlow) {
        return needsFlow || !heaterWaits;
    }

    /**
     * Why these should not be served on one day: bio media would come out of two.
     *
     * @param inOrder filters of one tank, each with its work
     */
    public static Optional<String> tooMuch(List<Situation> inOrder) {
        List<String> out = inOrder.stream()
                .filter(situation -> LaidOut.of(situation).wanted().bio())
                .map(Situation::filterName)
                .toList();
        return out.size() < 2
                ? Optional.empty()
                : Optional.of("Bio media comes out of " + out.get(0) + " and of " + out.get(1) + ". Leave " + DAYS_APART
                        + " days between them.");
    }
}
