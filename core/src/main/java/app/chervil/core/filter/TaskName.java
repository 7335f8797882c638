package app.chervil.core.filter;

/** The words a keeper reads for a task: "Rinse the pre-filter", "Open canister Weir". */
public final class TaskName {
    private TaskName() {}

    public static String of(CareAction action, StageKind stage) {
        return switch (action) {
            case RINSE, CHANGE, CLEAR, DIP, REPLACE, REGENERATE, CLEAN, BRUSH, DESCALE, SQUEEZE ->
                verb(action) + article(stage) + stage.words();
            case INSPECT -> stage == StageKind.SEALS ? "Grease and check the seals" : "Check the impeller for wear";
            case OPEN -> "Open the " + stage.words();
        };
    }

    public static String of(CareAction action, FilterKind kind, String filterName) {
        return action == CareAction.OPEN
                ? "Open " + kind.words() + " " + filterName
                : "Check cords and drip loop of " + filterName;
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
