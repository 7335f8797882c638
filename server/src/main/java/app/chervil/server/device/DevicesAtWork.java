package app.chervil.server.device;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.site.TankDevices;
import app.chervil.core.visit.MeterDays;
import app.chervil.server.book.DeviceLog;
import app.chervil.server.device.FittedMapper.AtWork;
import app.chervil.server.device.FittedMapper.FittedRow;
import app.chervil.server.device.FittedMapper.FlowDay;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Devices and what flow meters read, as the site's picture knows them. */
@Component
class DevicesAtWork implements DeviceLog {
    private final FittedMapper mapper;

    DevicesAtWork(FittedMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public Map<Long, TankDevices> devices(long site, @Nullable Long tank) {
        AtWork atWork = mapper.find(site, tank);
        Map<Long, List<FittedRow>> fitted = atWork.devices().stream().collect(Collectors.groupingBy(FittedRow::tankId));
        Map<Long, List<FlowDay>> flows = atWork.flows().stream().collect(Collectors.groupingBy(FlowDay::tankId));
        return Stream.concat(fitted.keySet().stream(), flows.keySet().stream())
                .distinct()
                .collect(Collectors.toMap(
                        Function.identity(),
                        one -> new TankDevices(
                                fitted.getOrDefault(one, List.of()).stream()
                                        .map(FittedRow::fitted)
                                        .toList(),
                                meters(flows.getOrDefault(one, List.of())))));
    }

    private static Map<Long, MeterDays> meters(List<FlowDay> flows) {
        return flows.stream()
                .collect(Collectors.groupingBy(
                        FlowDay::filterId,
                        Collectors.collectingAndThen(
                                Collectors.toMap(FlowDay::day, day -> FlowRate.of(day.litresPerHour())),
                                MeterDays::new)));
    }
}
