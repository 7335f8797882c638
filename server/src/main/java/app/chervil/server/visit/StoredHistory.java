package app.chervil.server.visit;

import app.chervil.core.interval.Finding;
import app.chervil.server.interval.Asked;
import app.chervil.server.interval.ServiceHistory;
import app.chervil.server.visit.ServiceRows.AnswerRow;
import app.chervil.server.visit.ServiceRows.FindingRow;
import app.chervil.server.visit.ServiceRows.FlowRow;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The service tables as forecasts read them: one query a table, however many services. */
@Component
class StoredHistory implements ServiceHistory {
    private final ServiceMapper mapper;

    StoredHistory(ServiceMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public List<PastService> list(long site, @Nullable Long tank, @Nullable LocalDate since) {
        Map<UUID, Map<Long, Optional<Finding>>> done = mapper.listFindings(site, tank, since).stream()
                .collect(Collectors.groupingBy(
                        FindingRow::serviceId,
                        Collectors.toMap(FindingRow::taskId, row -> Optional.ofNullable(row.finding()))));
        Map<UUID, Map<Long, Flows>> flows = mapper.listFlows(site, tank, since).stream()
                .collect(Collectors.groupingBy(
                        FlowRow::serviceId,
                        Collectors.toMap(FlowRow::filterId, row -> new Flows(row.beforeLph(), row.afterLph()))));
        Map<UUID, Map<Long, Map<Asked, String>>> answers = mapper.listAnswers(site).stream()
                .collect(Collectors.groupingBy(
                        AnswerRow::serviceId,
                        Collectors.groupingBy(
                                AnswerRow::filterId, Collectors.toMap(AnswerRow::question, AnswerRow::answer))));
        return mapper.list(site, tank, since).stream()
                .map(row -> new PastService(
                        row.id(),
                        row.tankId(),
                        row.doneOn(),
                        done.getOrDefault(row.id(), Map.of()),
                        flows.getOrDefault(row.id(), Map.of()),
                        row.filterOffMinutes(),
                        new Manner(row.again(), row.recordedBy(), answers.getOrDefault(row.id(), Map.of()))))
                .toList();
    }
}
