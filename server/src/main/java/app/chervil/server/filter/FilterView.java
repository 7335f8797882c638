package app.chervil.server.filter;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.Build;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A stored filter with its water path and care.
 *
 * @param version to send back with a change
 * @param stages in the order water meets them
 * @param tasks of the whole filter first, then by stage
 * @param cleaned when it was last cleaned before anything was logged
 * @param valves what shuts its hoses
 * @param fill how it is filled again once opened
 */
public record FilterView(
        long id,
        long tankId,
        int version,
        String name,
        FilterKind kind,
        @Nullable FlowDirection direction,
        FilterInput.Rating rating,
        @Nullable LocalDate fittedOn,
        List<StageView> stages,
        List<TaskView> tasks,
        Cleaned cleaned,
        Build.Valves valves,
        Build.Fill fill) {
    /** How it is built. */
    public Build build() {
        return new Build(kind, Optional.ofNullable(direction), valves, fill);
    }

    /**
     * A stored stage.
     *
     * @param name what to call it: its label, or its kind
     * @param size what a spare of it must be; may be empty
     */
    public record StageView(
            long id,
            StageKind kind,
            String name,
            String label,
            int quantity,
            @Nullable Double massG,
            Stage.Make make,
            boolean bagged,
            @Nullable LocalDate fittedOn,
            String size,
            FilterInput.Lasting lasting) {}

    /**
     * A care task and what the catalogue says of it.
     *
     * @param stageId absent for a task of the whole filter
     * @param name in a keeper's words
     * @param graded whether a finding is asked for when it is done
     * @param grades what each of the five grades looks like here, clean first; empty where none is asked for
     * @param withOpening whether it is done whenever its canister is opened
     */
    public record TaskView(
            long id,
            int version,
            @Nullable Long stageId,
            CareAction action,
            String name,
            TaskMode mode,
            @Nullable Integer fixedDays,
            boolean graded,
            List<String> grades,
            boolean withOpening,
            Catalogue catalogue) {}

    /**
     * The catalogue's figures for a task.
     *
     * @param cleaned from when care is counted while nothing is logged
     */
    public record Catalogue(
            int startDays, int leastDays, int mostDays, int minutes, int disturbance, String why, Cleaned cleaned) {}
}
