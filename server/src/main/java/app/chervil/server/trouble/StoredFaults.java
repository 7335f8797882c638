package app.chervil.server.trouble;

import app.chervil.core.site.FilterFault;
import app.chervil.core.trouble.Bearing;
import app.chervil.core.visit.Fault;
import app.chervil.core.visit.Fault.Ignored;
import app.chervil.server.book.FaultLog;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Cases as the site's picture reads them. */
@Component
class StoredFaults implements FaultLog {
    private final TroubleMapper mapper;

    StoredFaults(TroubleMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public Map<Long, List<FilterFault>> faults(long site, @Nullable Long tank) {
        return mapper.list(site, tank).stream()
                .filter(row -> ignored(row).isPresent())
                .collect(Collectors.groupingBy(
                        CaseRow::tankId, Collectors.mapping(StoredFaults::fault, Collectors.toList())));
    }

    private static FilterFault fault(CaseRow row) {
        return new FilterFault(
                row.filterId(),
                new Fault(
                        row.noticedOn(),
                        Optional.ofNullable(row.closedOn()),
                        ignored(row).orElseThrow()));
    }

    /** What does not count meanwhile; empty where everything does. A fault not found says nothing of standing still. */
    private static Optional<Ignored> ignored(CaseRow row) {
        Bearing counts = row.counts();
        return switch (counts) {
            case DIRT, NO_EVIDENCE -> Optional.empty();
            case IGNORE_FLOW -> Optional.of(Ignored.FLOW);
            case IGNORE_FLOW_AND_GRADE -> Optional.of(Ignored.FLOW_AND_GRADE);
        };
    }
}
