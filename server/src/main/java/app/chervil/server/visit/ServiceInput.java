package app.chervil.server.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.interval.Finding;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What was done at a tank.
 *
 * @param doneOn today or earlier
 * @param doneBy who did it, by name
 * @param minutes absent if nobody looked at the clock
 * @param tasks none if only the flow was measured, or a chore done that the note names
 * @param note may be empty
 * @param circumstances absent if nothing else is known
 */
public record ServiceInput(
        long tankId,
        @NotNull(message = "Which day was it?") LocalDate doneOn,

        @NotBlank(message = "Who did it?") @Size(max = 60, message = "At most 60 characters.")
        String doneBy,

        @Nullable
        @Min(value = 1, message = "At least 1 minute.")
        @Max(value = 1440, message = "At most a day, 1,440 minutes.")
        Integer minutes,

        @NotNull @Size(max = 2000, message = "At most 2,000 characters.")
        String note,

        @NotNull @Size(max = 200, message = "At most 200 tasks.")
        List<@Valid Done> tasks,

        @NotNull @Size(max = 50, message = "At most 50 filters.")
        List<@Valid FlowInput> flows,

        @Nullable @Valid Circumstances circumstances) {

    /**
     * What else is known of a service.
     *
     * @param filterOffMinutes how long a filter stood
     * @param overrideReason why work that was held was done anyway
     * @param parts used up
     * @param again whether it was opened for another reason, such as a drip, and nothing cleaned; absent for no
     */
    public record Circumstances(
            @Nullable
            @Min(value = 0, message = "Not below 0 minutes.")
            @Max(value = 100_000, message = "At most 100,000 minutes.")
            Integer filterOffMinutes,

            @Nullable @Size(max = 500, message = "At most 500 characters.")
            String overrideReason,

            @NotNull @Size(max = 40, message = "At most 40 parts.")
            List<@Valid Part> parts,

            @Nullable Boolean again) {
        static final Circumstances NONE = new Circumstances(null, null, List.of());

        /** Of a service that cleaned something. */
        public Circumstances(@Nullable Integer filterOffMinutes, @Nullable String overrideReason, List<Part> parts) {
            this(filterOffMinutes, overrideReason, parts, null);
        }

        /** Whether it was opened for another reason and nothing cleaned. */
        public boolean nothingCleaned() {
            return again != null && again;
        }
    }

    /**
     * A part used up.
     *
     * @param quantity 0 if none was used though it was expected
     */
    public record Part(
            @NotBlank(message = "Which part?") @Size(max = 80, message = "At most 80 characters.")
            String thing,

            @Min(value = 0, message = "Not below 0.") @Max(value = 999, message = "At most 999.")
            int quantity) {}

    /** What else is known, none if nothing was said. */
    public Circumstances known() {
        return circumstances == null ? Circumstances.NONE : circumstances;
    }

    /** Whether anything was done, measured or noted at all. */
    boolean saysSomething() {
        return !tasks.isEmpty()
                || !note.isBlank()
                || flows.stream().anyMatch(flow -> flow.before() != null || flow.after() != null);
    }

    /**
     * A task done.
     *
     * @param finding absent if nobody looked
     */
    public record Done(long taskId, @Nullable Finding finding) {}

    /** Flow of one filter before and after; each may be absent. */
    public record FlowInput(
            long filterId,
            @Valid @Nullable FlowReading before,
            @Valid @Nullable FlowReading after) {}

    /**
     * A flow, either as litres per hour, or as litres caught in seconds.
     *
     * @param litresPerHour absent if it was timed
     * @param litres caught; with seconds
     * @param seconds it took; with litres
     */
    public record FlowReading(
            @Nullable
            @DecimalMin(value = "1", message = "At least 1 L/h.")
            @DecimalMax(value = "1000000", message = "At most 1,000,000 L/h.")
            Double litresPerHour,

            @Nullable
            @DecimalMin(value = "0.01", message = "At least 0.01 L.")
            @DecimalMax(value = "1000", message = "At most 1,000 L.")
            Double litres,

            @Nullable
            @DecimalMin(value = "0.1", message = "At least 0.1 s.")
            @DecimalMax(value = "3600", message = "At most an hour, 3,600 s.")
            Double seconds) {
        /** In L/h; null if it was not measured. */
        static @Nullable Double rate(@Nullable FlowReading reading) {
            if (reading == null) {
                return null;
            }
            return reading.litres() != null && reading.seconds() != null
                    ? FlowRate.timed(reading.litres(), reading.seconds()).litresPerHour()
                    : reading.litresPerHour();
        }
    }
}
