package app.chervil.server.device;

import app.chervil.core.device.Signal;
import com.fasterxml.jackson.annotation.JsonValue;
import java.time.Instant;
import java.util.List;
import java.util.Map;

/** Readings to be stored, by their device's stamps. */
record ReadingRows(@JsonValue List<Row> rows) {
    record Row(Instant stamp, Instant readAt, double value) {}

    static ReadingRows of(Map<Instant, Signal> told) {
        return new ReadingRows(told.entrySet().stream()
                .map(one -> new Row(
                        one.getKey(), one.getValue().at(), one.getValue().value()))
                .toList());
    }
}
