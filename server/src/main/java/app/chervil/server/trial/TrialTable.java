package app.chervil.server.trial;

import app.chervil.core.water.Production;
import app.chervil.server.table.Csv;
import app.chervil.server.trial.TrialView.TriedWay;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;

/** Trials as a table, a row for each way of each: what was done, what it took, and what the water said. */
final class TrialTable {
    private static final MathContext DIGITS = new MathContext(4);
    private static final String[] HEADINGS = {
        "Tank",
        "Task",
        "Began",
        "Until",
        "State",
        "Every days",
        "Days lived",
        "Times done",
        "Minutes a week",
        "Cost a week",
        "Parameter",
        "Unit",
        "Rise a week",
        "Low",
        "High",
        "Readings",
        "Adopted"
    };

    private TrialTable() {}

    /** The table; an interval is empty where the thing was left out, and what is not known is empty. */
    static String write(List<TrialView> trials) {
        StringWriter text = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
            printer.printRecord((Object[]) HEADINGS);
            for (TrialView trial : trials) {
                for (int way = 0; way < trial.ways().size(); way++) {
                    printer.printRecord(cells(trial, way).toArray());
                }
            }
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
        return text.toString();
    }

    private static Stream<String> cells(TrialView trial, int place) {
        TriedWay way = trial.ways().get(place);
        @Nullable Production rise = way.rise();
        Integer adopted = trial.adopted();
        return Stream.of(
                        Csv.harmless(trial.subject().tank()),
                        Csv.harmless(trial.subject().task()),
                        trial.plan().began(),
                        trial.plan().until(),
                        trial.state(),
                        way.days() == null ? "" : way.days(),
                        way.daysLived(),
                        way.times(),
                        number(way.minutesAWeek()),
                        number(way.costAWeek()),
                        Csv.harmless(trial.subject().parameter()),
                        Csv.harmless(trial.subject().unit()),
                        number(rise == null ? null : rise.perWeek()),
                        number(rise == null ? null : rise.low()),
                        number(rise == null ? null : rise.high()),
                        rise == null ? "" : rise.readings(),
                        adopted != null && adopted == place ? "yes" : "")
                .map(Object::toString);
    }

    private static String number(@Nullable Double value) {
        return value == null
                ? ""
                : new BigDecimal(value, DIGITS).stripTrailingZeros().toPlainString();
    }
}
