package app.chervil.server.interval;

import app.chervil.core.interval.Finding;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a person grades.
 *
 * @param pictures loadings of the drawn cases, as fractions of what overloads a stage, least first
 * @param offered whether this is a good moment to grade them: after a few services, and once a year
 * @param gradedOn absent if they never were
 * @param bias on the log loading, above zero for who sees more dirt than there is; absent likewise
 * @param verdict in words; absent likewise
 * @param moved dates that the last grading moved, most first; empty otherwise
 */
public record EyeView(
        List<Double> pictures,
        boolean offered,
        @Nullable LocalDate gradedOn,
        @Nullable Double bias,
        @Nullable String verdict,
        List<EyeMoved> moved) {
    /** A date that a grading moved. */
    public record EyeMoved(String name, LocalDate before, LocalDate after) {}

    /**
     * Grades of the pictures.
     *
     * @param grades in the order of the pictures
     */
    public record EyeInput(
            @NotNull(message = "Grade all twelve pictures.")
            @Size(min = 12, max = 12, message = "Grade all twelve pictures.")
            List<@NotNull Finding> grades) {}
}
