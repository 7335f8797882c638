package app.chervil.server.procedure;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * The end of a guided service.
 *
 * @param note may be empty
 * @param leftOffReason why the filter stays off; empty if it runs
 */
public record GuidedFinish(
        @NotNull @Size(max = 2000, message = "At most 2,000 characters.")
        String note,

        @NotNull @Size(max = 500, message = "At most 500 characters.")
        String leftOffReason) {}
