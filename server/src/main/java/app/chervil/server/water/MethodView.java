package app.chervil.server.water;

import app.chervil.core.water.TestMethod;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;

/**
 * A way to measure a parameter; by parameter and name there is one of each.
 *
 * @param parameter code of a parameter
 * @param limit lowest value it shows; zero if it has none
 * @param steps timed steps in order; empty for a meter
 */
public record MethodView(
        @NotBlank @Size(max = 40) String parameter,

        @NotBlank(message = "Give it a name.") @Size(max = 60, message = "At most 60 characters.")
        String name,

        @DecimalMin(value = "0", message = "Not below 0.") @DecimalMax(value = "100000", message = "At most 100,000.")
        double limit,

        @NotNull @Size(max = 12, message = "At most 12 steps.")
        List<@Valid MethodStep> steps) {

    /** One timed step. */
    public record MethodStep(
            TestMethod.@NotNull What what,

            @Min(value = 1, message = "At least a second.") @Max(value = 7200, message = "At most two hours.")
            int seconds) {}

    static MethodView of(TestMethod method) {
        return new MethodView(
                method.parameter().name(),
                method.name(),
                method.limit(),
                method.steps().stream()
                        .map(step -> new MethodStep(step.what(), step.seconds()))
                        .toList());
    }
}
