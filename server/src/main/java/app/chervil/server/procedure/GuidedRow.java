package app.chervil.server.procedure;

import app.chervil.core.procedure.Occasion;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A guided service as stored; tasks, chores, steps and what follows are JSON. */
record GuidedRow(
        UUID id,
        long tankId,
        long filterId,
        String tasks,
        String chores,
        String steps,
        Instant startedAt,
        String startedBy,
        @Nullable Instant offSince,
        @Nullable Instant finishedAt,
        @Nullable String overrideReason,
        @Nullable String media,
        Occasion occasion,
        String thenTasks,
        @Nullable UUID afterId) {}
