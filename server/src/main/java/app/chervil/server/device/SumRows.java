package app.chervil.server.device;

import app.chervil.core.device.Signal;
import com.fasterxml.jackson.annotation.JsonValue;
import java.time.Instant;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What readings come to, by hour or by day, to be added to what is stored of it. */
record SumRows(@JsonValue List<Row> rows) {
    /**
     * One hour or day.
     *
     * @param begins as the database reads it
     * @param movingTotal of the readings that tell of something moving
     */
    record Row(
            String begins,
            double least,
            double greatest,
            double total,
            long readings,
            double movingTotal,
            long moving) {}

    /**
     * Readings by the hour or day in which they fall.
     *
     * @param standsBelow in the unit of the device: what reads less does not move
     */
    static <T> SumRows of(List<Signal> signals, double standsBelow, Function<Instant, T> stretch) {
        return new SumRows(
                signals.stream()
                        .collect(Collectors.groupingBy(signal -> stretch.apply(signal.at())))
                        .entrySet()
                        .stream()
                        .map(one -> row(one.getKey().toString(), one.getValue(), standsBelow))
                        .toList());
    }

    private static Row row(String begins, List<Signal> signals, double standsBelow) {
        DoubleSummaryStatistics all =
                signals.stream().mapToDouble(Signal::value).summaryStatistics();
        DoubleSummaryStatistics moving = signals.stream()
                .mapToDouble(Signal::value)
                .filter(value -> value > standsBelow)
                .summaryStatistics();
        return new Row(
                begins, all.getMin(), all.getMax(), all.getSum(), all.getCount(), moving.getSum(), moving.getCount());
    }
}
