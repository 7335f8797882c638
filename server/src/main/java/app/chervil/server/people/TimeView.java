package app.chervil.server.people;

import app.chervil.server.account.Role;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The time people have.
 *
 * @param assumed whether nobody has said anything yet, so that a usual week is taken
 * @param work kinds of work, and whether helpers may do them
 */
public record TimeView(List<PersonTime> people, boolean assumed, List<DayException> exceptions, List<HelperWork> work) {
    /**
     * A person's week.
     *
     * @param minutes Monday to Sunday
     */
    public record PersonTime(long accountId, String name, Role role, List<Integer> minutes) {}

    /**
     * Exceptions.
     *
     * @param accountId absent for everyone
     * @param minutes on each of these days, zero for away
     */
    public record DayException(
            long id, @Nullable Long accountId, LocalDate firstDay, LocalDate lastDay, int minutes, String note) {}

    /** A kind of work. */
    public record HelperWork(String work, String name, boolean helperMay) {}

    /** A person's week to be stored. */
    public record WeekInput(
            @NotNull(message = "Say the minutes of each day.")
            @Size(min = 7, max = 7, message = "Seven days, Monday to Sunday.")
            List<
                            @NotNull(message = "Say how many minutes.") @Min(value = 0, message = "Not below 0.")
                            @Max(value = 1440, message = "A day has 1440 minutes.") Integer>
                    minutes) {}

    /** Days to be stored. */
    public record ExceptionInput(
            @Nullable Long accountId,
            @NotNull(message = "From which day?") LocalDate firstDay,
            @NotNull(message = "To which day?") LocalDate lastDay,

            @NotNull(message = "How many minutes?")
            @Min(value = 0, message = "Not below 0.")
            @Max(value = 1440, message = "A day has 1440 minutes.")
            Integer minutes,

            @NotNull @Size(max = 80, message = "At most 80 characters.")
            String note) {}

    /** What helpers may do. */
    public record HelperInput(
            @NotNull @Size(max = 60, message = "At most 60 kinds of work.")
            List<@NotNull String> keeperOnly) {}
}
