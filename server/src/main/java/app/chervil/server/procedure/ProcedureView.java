package app.chervil.server.procedure;

import app.chervil.core.procedure.Step;
import app.chervil.core.water.Hold;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Before starting: what to carry, water to draw, minutes, warnings, and every step.
 *
 * @param carry each thing once
 * @param draw absent if no tank water is needed
 * @param minutes of work with set-up
 * @param held work that a hold speaks against; it needs a reason
 * @param tasks that these steps do: those asked for and what is washed because it is lifted
 * @param rinseWith why media is rinsed in what it is
 * @param then filters of the tank that follow in the same go, with the same tubs
 * @param tooMuch whether bio media would come out of two filters on one day
 */
public record ProcedureView(
        String filterName,
        List<StepView> steps,
        List<String> carry,
        @Nullable Draw draw,
        int minutes,
        String rinseWith,
        List<String> warnings,
        List<HeldWork> held,
        List<Long> tasks,
        List<ThenView> then,
        boolean tooMuch) {

    /**
     * A filter that follows.
     *
     * @param minutes of work
     * @param tasks that these steps do
     */
    public record ThenView(long filterId, String filterName, int minutes, List<StepView> steps, List<Long> tasks) {}

    /**
     * Work that is on hold.
     *
     * @param work tasks and chores by name
     */
    public record HeldWork(Hold hold, List<String> work) {}

    /**
     * A thing to bring.
     *
     * @param spent whether it is used up
     */
    public record Thing(String name, boolean spent) {}

    /**
     * Tank water to draw.
     *
     * @param litres in all
     * @param percent of the tank's volume
     */
    public record Draw(int buckets, double litres, double percent) {}

    /**
     * One step.
     *
     * @param id stays the same when the procedure is assembled again
     * @param timerMinutes absent if there is nothing to wait for
     * @param captures absent if nothing is written down here
     * @param taskId absent for what every service has; likewise the stage
     * @param drawnL tank water drawn here for rinsing; absent if none
     * @param place of the filter's passport that is lifted or put back, from zero; absent for other steps
     * @param tub that something is set into, from one; absent if it goes into none
     * @param grades what each of the five grades looks like here, clean first; absent where none is asked for
     */
    public record StepView(
            String id,
            String text,
            String reason,
            List<String> cautions,
            List<Thing> materials,
            @Nullable Integer timerMinutes,
            Step.@Nullable Capture captures,
            @Nullable Long taskId,
            @Nullable Long stageId,
            @Nullable String stageName,
            List<Step.Effect> effects,
            @Nullable Double drawnL,
            @Nullable List<String> grades,
            @Nullable Integer place,
            @Nullable Integer tub) {
        /** What of it a guided service goes by. */
        Step toCore() {
            return new Step(
                    id,
                    new Step.Words(text, reason),
                    new Step.About(optional(taskId), optional(stageId), optional(place), optional(tub)),
                    new Step.Care(
                            List.of(),
                            List.of(),
                            timerMinutes == null ? OptionalInt.empty() : OptionalInt.of(timerMinutes)),
                    Optional.ofNullable(captures),
                    Set.copyOf(effects),
                    drawnL == null ? 0 : drawnL);
        }

        private static OptionalInt optional(@Nullable Integer value) {
            return value == null ? OptionalInt.empty() : OptionalInt.of(value);
        }

        private static OptionalLong optional(@Nullable Long value) {
            return value == null ? OptionalLong.empty() : OptionalLong.of(value);
        }
    }
}
