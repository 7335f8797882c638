package app.chervil.server.procedure;

import app.chervil.core.procedure.Situation.Chore;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;

/** What a guided service is to do. */
public record GuidedStart(
        long filterId,

        @NotNull @Size(max = 100, message = "At most 100 tasks.")
        List<Long> tasks,

        @NotNull Set<Chore> chores) {}
