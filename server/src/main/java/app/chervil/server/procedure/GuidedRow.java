package app.chervil.server.procedure;

import app.chervil.core.procedure.Occasion;
import app.chervil.server.water.MediaOperations.MediaPlan;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A guided service as stored.
 *
 * @param media to be exchanged; absent for none
 * @param thenTasks tasks of the tank's other filters that follow in the same go
 * @param afterId the service before it; absent for the first
 */
record GuidedRow(
        UUID id,
        long tankId,
        long filterId,
        TaskIds tasks,
        AskedChores chores,
        KeptSteps steps,
        Instant startedAt,
        String startedBy,
        @Nullable Instant offSince,
        @Nullable Instant finishedAt,
        @Nullable String overrideReason,
        @Nullable MediaPlan media,
        Occasion occasion,
        TaskIds thenTasks,
        @Nullable UUID afterId) {}
