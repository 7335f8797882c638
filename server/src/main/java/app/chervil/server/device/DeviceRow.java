package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import app.chervil.core.filter.StageKind;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Table device, with what its tank, filter and stage are called. */
record DeviceRow(
        long siteId,
        long id,
        long tankId,
        @Nullable Long filterId,
        @Nullable Long stageId,
        DeviceKind kind,
        String name,
        LocalDate fittedOn,
        @Nullable LocalDate testedOn,
        @Nullable LocalDate testedBefore,
        @Nullable Integer quietMinutes,
        long fittedBy,
        String tankName,
        @Nullable String filterName,
        @Nullable StageKind stageKind,
        @Nullable String stageLabel) {
    /** Devices by their number. */
    static Map<Long, DeviceRow> byId(List<DeviceRow> devices) {
        return devices.stream().collect(Collectors.toMap(DeviceRow::id, Function.identity()));
    }

    /** Whether it gives a filter its power. */
    boolean isPlugOf(@Nullable Long filter) {
        return kind == DeviceKind.PLUG && filter != null && filter.equals(filterId);
    }

    /** When somebody last tried it out; the day it was fitted if nobody has. */
    LocalDate lastTried() {
        return testedOn == null ? fittedOn : testedOn;
    }

    /** How long it may say nothing. */
    Duration quietAfter() {
        return quietMinutes == null ? kind.quietAfter() : Duration.ofMinutes(quietMinutes);
    }

    /** What its stage is called; empty without one. */
    Optional<String> stageName() {
        return stageLabel == null || stageLabel.isBlank()
                ? Optional.ofNullable(stageKind).map(StageKind::words)
                : Optional.of(stageLabel);
    }

    /** What it is fitted to, in words. */
    String at() {
        return filterName == null ? tankName : filterName;
    }
}
