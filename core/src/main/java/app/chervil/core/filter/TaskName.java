package app.chervil.core.filter;

import app.chervil.core.calc.FirstLetter;

/** The words a keeper reads for a task: "Rinse the pre-filter", "Open canister Weir". */
public final class TaskName {
    /** What wears in a return pump. */
    private static final String ROTOR = "rotor of the return pump";

    private TaskName() {}

    private static boolean isRotor(CareAction action, StageKind stage) {
        return action == CareAction.REPLACE && stage == StageKind.RETURN_PUMP;
    }

    private static boolean isTrimming(CareAction action, StageKind stage) {
        return action == CareAction.CLEAR && stage == StageKind.PLANTS;
    }

    private static String what(CareAction action, StageKind stage) {
        return isRotor(action, stage) ? " the " + ROTOR : article(stage) + stage.words();
    }

    public static String of(CareAction action, StageKind stage) {
        if (isTrimming(action, stage)) {
            return "Trim the roots of the plants";
        }
        return switch (action) {
            case RINSE, CHANGE, CLEAR, DIP, REPLACE, REGENERATE, REBUILD, CLEAN, BRUSH, DESCALE, SQUEEZE ->
                verb(action) + what(action, stage);
            case INSPECT ->
                stage == StageKind.SEALS
                        ? "Grease and check the seals"
                        : "Check" + article(stage) + stage.words() + " for wear";
            case OPEN -> "Open the " + stage.words();
            case SIPHON -> "Siphon out the " + stage.words();
            case TEST -> "Test the " + stage.words();
        };
    }

    public static String of(CareAction action, FilterKind kind, String filterName) {
        return switch (action) {
            case OPEN -> "Open " + kind.words() + " " + filterName;
            case TEST -> "Test how far " + filterName + " drains down";
            case CLEAN -> "Deep-clean " + kind.words() + " " + filterName;
            default -> "Check cords and drip loop of " + filterName;
        };
    }

    /** What was done, in the past: "Pre-filter rinsed". */
    public static String done(CareAction action, StageKind stage) {
        if (isTrimming(action, stage)) {
            return "Roots of the plants trimmed";
        }
        String what = FirstLetter.upper(isRotor(action, stage) ? ROTOR : stage.words()) + " ";
        return switch (action) {
            case INSPECT -> what + (stage == StageKind.SEALS ? "greased and checked" : "checked for wear");
            case RINSE -> what + "rinsed";
            case CHANGE -> what + "changed";
            case CLEAR -> what + "cleared";
            case SQUEEZE -> what + "squeezed";
            case DIP -> what + "dipped";
            case REPLACE -> what + "replaced";
            case REGENERATE -> what + "regenerated";
            case REBUILD -> what + "rebuilt";
            case CLEAN -> what + "cleaned";
            case BRUSH -> what + "brushed";
            case DESCALE -> what + "descaled";
            case OPEN -> what + "opened";
            case SIPHON -> what + "siphoned out";
            case TEST -> what + "tested";
        };
    }

    /** What was done to a whole filter, in the past: "Canister Weir opened". */
    public static String done(CareAction action, FilterKind kind, String filterName) {
        return switch (action) {
            case OPEN -> FirstLetter.upper(kind.words()) + " " + filterName + " opened";
            case TEST -> "Drain-down of " + filterName + " tested";
            case CLEAN -> FirstLetter.upper(kind.words()) + " " + filterName + " deep-cleaned";
            default -> "Cords and drip loop of " + filterName + " checked";
        };
    }

    private static String verb(CareAction action) {
        String name = action.name();
        return name.charAt(0) + name.substring(1).toLowerCase(java.util.Locale.ROOT);
    }

    private static String article(StageKind stage) {
        return switch (stage) {
            case BIO_MEDIA, CARBON, FLOSS, RESIN -> " ";
            default -> " the ";
        };
    }
}
