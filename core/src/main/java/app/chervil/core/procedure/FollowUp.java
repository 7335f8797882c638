package app.chervil.core.procedure;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Passport;
import app.chervil.core.tank.TankChore;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What a piece of work asks for afterwards.
 *
 * @param kind what makes it done
 * @param words what to do, naming the filter
 * @param after how long after the work, not below zero
 */
public record FollowUp(Kind kind, String words, Duration after) {
    /** What makes it done. */
    public enum Kind {
        /** Somebody looked and says so. */
        LOOK,
        /** As a look, and asked although its filter is out of use. */
        DRYING,
        /** A stage that catches blown dirt was changed or rinsed since, or somebody says so. */
        CATCHER
    }

    private static final Duration SOON = Duration.ofHours(1);
    private static final Duration NEXT_DAY = Duration.ofDays(1);
    private static final Duration DRY = Duration.ofDays(2);

    public FollowUp {
        Check.notNegative("after", (double) after.toMinutes());
    }

    /**
     * What stirring up dirt asks for the same day, of a filter that catches it within reach; nobody opens a canister for it
     * (docs/sources.md#chains).
     *
     * @param path of the filter
     */
    public static Optional<FollowUp> ofStirredDirt(
            TankChore chore, Passport passport, List<StageKind> path, String name) {
        String dirt =
                switch (chore) {
                    case ROCK_BLOW_OFF -> "what was blown off the rock";
                    case SUBSTRATE_VACUUM -> "what was stirred up from the sand";
                    default -> "";
                };
        return IntStream.range(0, path.size())
                .filter(stage -> !dirt.isEmpty() && path.get(stage).catchesBlownDirt())
                .filter(stage -> !passport.isInside(stage, path.get(stage)) || passport.isErrand(path, stage))
                .mapToObj(path::get)
                .findFirst()
                .map(kind -> new FollowUp(
                        Kind.CATCHER,
                        "Change or rinse the " + kind.words() + " of " + name + " today: it holds " + dirt + ".",
                        Duration.ZERO));
    }

    /** Whether a joint may weep after this work, so that it is looked at again. */
    public static boolean mayWeep(CareAction action, StageKind stage) {
        return action == CareAction.REPLACE && stage == StageKind.SEALS;
    }

    /** What new rings ask for, as a service after which a joint may weep. */
    public static List<FollowUp> ofNewRings(String name) {
        return List.of(
                new FollowUp(Kind.LOOK, "Press dry paper round every joint of " + name + ".", SOON),
                new FollowUp(Kind.LOOK, "Press dry paper round every joint of " + name + " once more.", NEXT_DAY));
    }

    /**
     * What media in a pump asks for: it will be there again while nobody mends where it came from.
     *
     * @param place that it came from, in the keeper's words; empty if nobody could tell
     */
    public static FollowUp ofStray(String place, String name) {
        return new FollowUp(
                Kind.LOOK,
                place.isEmpty()
                        ? "Media was in the pump of " + name + ". Find out which tray or bag lets it through."
                        : "Media from the " + place + " was in the pump of " + name
                                + ". Is it in a whole bag now, or its tray mended?",
                NEXT_DAY);
    }

    /** What a deep clean stirs up is caught by the next day. */
    public static List<FollowUp> ofDeepClean(List<StageKind> path, String name) {
        return path.contains(StageKind.SOCK)
                ? List.of(new FollowUp(
                        Kind.CATCHER,
                        "Change the " + StageKind.SOCK.words() + " of " + name
                                + ": it holds what the deep clean stirred up.",
                        NEXT_DAY))
                : List.of();
    }

    /** What is left once filters are served one after the other, and nobody went on. */
    public static FollowUp ofHeater(String done, String next) {
        return new FollowUp(
                Kind.LOOK,
                "Turn the heater on: " + done + " is done, and nobody has gone on with " + next + ".",
                Duration.ZERO);
    }

    /** What was washed to be put away is dry by then. */
    public static List<FollowUp> ofStored(String name) {
        return List.of(new FollowUp(
                Kind.DRYING,
                "Is " + name
                        + " dry? Set its lid on with the latches loose, count small parts into a bag, and write name and"
                        + " date on it.",
                DRY));
    }

    /** What a set-up asks for: joints are looked at twice more, and what hangs on none once (docs/sources.md#set-up). */
    public static List<FollowUp> ofSetUp(FilterKind kind, String name) {
        return switch (kind) {
            case CANISTER, UV_UNIT -> ofNewRings(name);
            case SUMP ->
                List.of(new FollowUp(
                        Kind.LOOK, "Check the level in " + name + " and that all is dry below it.", NEXT_DAY));
            case HANG_ON_BACK, INTERNAL, AIR_SPONGE ->
                List.of(new FollowUp(Kind.LOOK, "See that " + name + " still runs and sits tight.", NEXT_DAY));
        };
    }
}
