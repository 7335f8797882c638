package app.chervil.server.trial;

import app.chervil.core.site.Tried;
import app.chervil.server.book.TrialBook;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What trials ask of forecasts. */
@Component
class RunningTrials implements TrialBook {
    private final TrialMapper mapper;

    RunningTrials(TrialMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public Map<Long, Tried> tried(long site, LocalDate on) {
        return mapper.list(site).stream()
                .flatMap(trial -> trial.tried(on).map(tried -> Map.entry(trial, tried)).stream())
                // What runs speaks before what was adopted, the latest before the earlier.
                .sorted(Comparator.comparing(one -> one.getValue().adopted()))
                .collect(Collectors.toMap(
                        one -> one.getKey().taskId(), Map.Entry::getValue, (speaks, silent) -> speaks));
    }
}
