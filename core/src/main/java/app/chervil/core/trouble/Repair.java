package app.chervil.core.trouble;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.StageKind;
import java.util.Optional;

/**
 * What mends a fault.
 *
 * @param caution before hands move; may be empty
 * @param exit whom to ask instead or afterwards
 * @param task the care task it is logged as; empty where it is none
 */
public record Repair(
        String id, String words, Optional<String> caution, Cost cost, Optional<Exit> exit, Optional<Task> task) {
    /** Nothing of ours helps: ask, and take the page along. */
    public static final String ASK_OTHERS = "exit";

    /**
     * A care task.
     *
     * @param stage empty for one of the whole filter
     */
    public record Task(CareAction action, Optional<StageKind> stage) {}
}
