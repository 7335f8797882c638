package app.chervil.server.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.filter.TaskName;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.GradeWords;
import app.chervil.core.site.Asked;
import app.chervil.core.site.PastService;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Rows of the service tables. */
final class ServiceRows {
    private ServiceRows() {}

    /** Table service. */
    record ServiceRow(
            UUID id,
            int version,
            long tankId,
            LocalDate doneOn,
            String doneBy,
            @Nullable String writtenDownBy,
            @Nullable Integer minutes,
            String note,
            @Nullable Integer filterOffMinutes,
            @Nullable String overrideReason,
            boolean again) {
        ServiceView view(List<DoneRow> done, List<FlowRow> flows, List<PartRow> parts, int photos) {
            return new ServiceView(
                    id,
                    version,
                    tankId,
                    doneOn,
                    doneBy,
                    writtenDownBy,
                    minutes,
                    note,
                    done.stream().map(DoneRow::view).toList(),
                    flows.stream().map(FlowRow::view).toList(),
                    new ServiceInput.Circumstances(
                            filterOffMinutes,
                            overrideReason,
                            parts.stream().map(PartRow::view).toList(),
                            again ? true : null),
                    photos);
        }
    }

    /** Table service with what was told, as a forecast needs it. Public, or making each row costs an access exception. */
    public record PastRow(
            UUID id,
            long tankId,
            LocalDate doneOn,
            @Nullable Integer filterOffMinutes,
            boolean again,
            @Nullable Long recordedBy,
            Told told) {
        PastService service() {
            return new PastService(
                    id,
                    tankId,
                    doneOn,
                    told.done(),
                    told.flowed(),
                    filterOffMinutes == null ? OptionalInt.empty() : OptionalInt.of(filterOffMinutes),
                    new PastService.Manner(again, Optional.ofNullable(recordedBy), told.answered()));
        }
    }

    /** Tables service_task, service_flow and service_answer of one service; null where there is nothing. */
    record Told(
            @Nullable List<Found> findings,
            @Nullable List<Flowed> flows,
            @Nullable List<Answered> answers) {
        record Found(long taskId, @Nullable Finding finding) {}

        record Flowed(
                long filterId,
                @Nullable Double beforeLph,
                @Nullable Double afterLph) {
            PastService.Flows flows() {
                return new PastService.Flows(flow(beforeLph), flow(afterLph));
            }

            private static Optional<FlowRate> flow(@Nullable Double litresPerHour) {
                return Optional.ofNullable(litresPerHour).map(FlowRate::of);
            }
        }

        record Answered(long filterId, Asked question, String answer) {}

        private Map<Long, Optional<Finding>> done() {
            return findings == null
                    ? Map.of()
                    : findings.stream()
                            .collect(Collectors.toMap(Found::taskId, row -> Optional.ofNullable(row.finding())));
        }

        private Map<Long, PastService.Flows> flowed() {
            return flows == null ? Map.of() : flows.stream().collect(Collectors.toMap(Flowed::filterId, Flowed::flows));
        }

        private Map<Long, Map<Asked, String>> answered() {
            return answers == null
                    ? Map.of()
                    : answers.stream()
                            .collect(Collectors.groupingBy(
                                    Answered::filterId, Collectors.toMap(Answered::question, Answered::answer)));
        }
    }

    /** Table service_answer. */
    public record AnswerRow(UUID serviceId, long filterId, Asked question, String answer) {}

    /** Table service_task, with what is needed to name the task. */
    record DoneRow(
            UUID serviceId,
            long taskId,
            CareAction action,
            long filterId,
            String filterName,
            FilterKind filterKind,
            @Nullable Long stageId,
            @Nullable StageKind stageKind,
            @Nullable Finding finding) {
        ServiceView.DoneView view() {
            String name =
                    stageKind == null ? TaskName.of(action, filterKind, filterName) : TaskName.of(action, stageKind);
            String told = stageKind == null
                    ? TaskName.done(action, filterKind, filterName)
                    : TaskName.done(action, stageKind);
            String seen = finding == null || stageKind == null
                    ? null
                    : GradeWords.of(stageKind).get(finding.grade());
            return new ServiceView.DoneView(taskId, filterId, stageId, name, told, finding, seen);
        }
    }

    /** Table service_part. */
    record PartRow(UUID serviceId, String thing, int quantity) {
        ServiceInput.Part view() {
            return new ServiceInput.Part(thing, quantity);
        }
    }

    /** Table service with what it used, as the stores need it. */
    record UsedRow(UUID id, LocalDate doneOn, Instant recordedAt, String doneBy, Used used) {
        UsedParts view() {
            return new UsedParts(id, doneOn, recordedAt, doneBy, used.done(), used.written());
        }
    }

    /** Tables service_task and service_part of one service; null where there is nothing. */
    record Used(@Nullable List<Long> tasks, @Nullable List<PartRow> parts) {
        private Set<Long> done() {
            return tasks == null ? Set.of() : Set.copyOf(tasks);
        }

        private List<ServiceInput.Part> written() {
            return parts == null ? List.of() : parts.stream().map(PartRow::view).toList();
        }
    }

    /** How many photos a service has. */
    record PhotoCount(UUID serviceId, int photos) {}

    /** Table service_flow. */
    record FlowRow(
            UUID serviceId,
            long filterId,
            @Nullable Double beforeLph,
            @Nullable Double afterLph) {
        ServiceView.FlowView view() {
            return new ServiceView.FlowView(filterId, beforeLph, afterLph);
        }
    }
}
