package app.chervil.server.device;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.visit.MeterDays;
import app.chervil.server.book.MeterLog;
import app.chervil.server.device.SignalMapper.FlowDay;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What flow meters read, as the site's picture knows it. */
@Component
class MeteredFilters implements MeterLog {
    private final SignalMapper mapper;

    MeteredFilters(SignalMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public Map<Long, MeterDays> meters(long site, @Nullable Long tank) {
        return mapper.listFlows(site, tank).stream()
                .collect(Collectors.groupingBy(
                        FlowDay::filterId,
                        Collectors.collectingAndThen(
                                Collectors.toMap(FlowDay::day, day -> FlowRate.of(day.litresPerHour())),
                                MeterDays::new)));
    }
}
