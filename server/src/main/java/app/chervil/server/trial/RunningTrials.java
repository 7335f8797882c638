package app.chervil.server.trial;

import app.chervil.server.book.TrialBook;
import java.time.LocalDate;
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
    public Map<Long, Integer> triedDays(long site, LocalDate on) {
        return mapper.list(site).stream()
                .filter(trial -> trial.runsOn(on))
                .collect(Collectors.toMap(
                        TrialMapper.TrialRow::taskId,
                        trial -> trial.design().days(trial.design().wayOn(on).orElseThrow()),
                        (latest, earlier) -> latest));
    }
}
