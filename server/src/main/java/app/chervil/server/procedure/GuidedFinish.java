package app.chervil.server.procedure;

import app.chervil.server.visit.ServiceInput;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The end of a guided service.
 *
 * @param note may be empty
 * @param leftOffReason why the filter stays off; empty if it runs
 * @param overrideReason why work was done that a hold speaks against, if it was added on the way
 * @param parts used up
 */
public record GuidedFinish(
        @NotNull @Size(max = 2000, message = "At most 2,000 characters.")
        String note,

        @NotNull @Size(max = 500, message = "At most 500 characters.")
        String leftOffReason,

        @Nullable @Size(max = 500, message = "At most 500 characters.")
        String overrideReason,

        @NotNull @Size(max = 40, message = "At most 40 parts.")
        List<ServiceInput.@Valid Part> parts) {}
