package app.chervil.server.trial;

import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.TrialBook;
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
    public Map<Long, Integer> triedDays(SignedIn who, LocalDate on) {
        return mapper.list(who.siteId()).stream()
                .filter(trial -> trial.runsOn(on))
                .collect(Collectors.toMap(
                        TrialMapper.TrialRow::taskId,
                        trial -> trial.design().days(trial.design().wayOn(on).orElseThrow()),
                        (latest, earlier) -> latest));
    }
}
