package app.chervil.server.water;

import app.chervil.core.water.Amount;
import app.chervil.core.water.Medication;
import app.chervil.core.water.MethodCatalogue;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Reading.Trust;
import app.chervil.core.water.Replacement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Rows of the water tables. */
final class WaterRows {
    private WaterRows() {}

    /**
     * Table reading.
     *
     * @param parameter name of a {@link Parameter}, or {@code OWN_} with the id of one of the site's own
     * @param amount the value, or the detection limit if it was below
     */
    public record ReadingRow(
            UUID id,
            long tankId,
            String parameter,
            double amount,
            boolean belowDetection,
            double noise,
            Instant takenAt,
            boolean early,
            String method,
            Moment moment,
            String takenBy) {

        /** As the core reads it; empty for the site's own parameters, on which no rule rests. */
        Optional<Reading> toCore(ZoneId zone) {
            return known(parameter)
                    .map(known -> new Reading(
                            known,
                            amount(known),
                            noise,
                            LocalDateTime.ofInstant(takenAt, zone),
                            early ? Trust.EARLY : Trust.KEPT));
        }

        /** On a colour card a value is a step. */
        private Amount amount(Parameter known) {
            return belowDetection
                    ? new Amount.Below(amount)
                    : MethodCatalogue.find(known, method)
                            .map(found -> found.amount(amount))
                            .orElseGet(() -> new Amount.Exact(amount));
        }

        /** Whether this is the other, sent again. */
        boolean same(ReadingRow other) {
            return tankId == other.tankId
                    && parameter.equals(other.parameter)
                    && amount == other.amount
                    && belowDetection == other.belowDetection
                    && early == other.early
                    && moment == other.moment
                    && takenAt.truncatedTo(ChronoUnit.MILLIS).equals(other.takenAt.truncatedTo(ChronoUnit.MILLIS));
        }

        ReadingView view() {
            return new ReadingView(
                    id, tankId, parameter, amount, belowDetection, takenAt, early, method, moment, takenBy);
        }
    }

    /** Table water_change. */
    record ChangeRow(
            UUID id,
            long tankId,
            Instant changedAt,
            double litres,
            double bucketLitres,
            @Nullable Double conditionerMl,
            @Nullable DosedFor dosedFor,
            @Nullable Double newWaterC,
            String doneBy,
            String note,
            @Nullable String confirmed) {
        /** Whether this is the other, sent again. */
        boolean same(ChangeRow other) {
            return tankId == other.tankId
                    && litres == other.litres
                    && bucketLitres == other.bucketLitres
                    && note.equals(other.note)
                    && Objects.equals(conditionerMl, other.conditionerMl)
                    && dosedFor == other.dosedFor
                    && Objects.equals(newWaterC, other.newWaterC)
                    && changedAt.truncatedTo(ChronoUnit.MILLIS).equals(other.changedAt.truncatedTo(ChronoUnit.MILLIS));
        }
    }

    /** Table medication. */
    record MedicationRow(
            long id,
            long tankId,
            String product,
            LocalDate firstDay,
            @Nullable LocalDate lastDay,
            String writtenBy,
            @Nullable String confirmed) {}

    /** Table media_replacement. */
    record ReplacementRow(
            UUID id,
            long tankId,
            long stageId,
            LocalDate replacedOn,
            double grams,
            String told,
            @Nullable String overrideReason,
            String doneBy) {}

    /**
     * What was done to a tank's water that bears on its care; each row tells one thing.
     *
     * @param firstDay of a medication, or the day of an exchange of media
     * @param grams of an exchange
     * @param changedAt of the latest water change
     */
    record TreatmentRow(
            long tankId,
            String what,
            @Nullable LocalDate firstDay,
            @Nullable LocalDate lastDay,
            @Nullable Double grams,
            @Nullable Instant changedAt) {
        Optional<Medication> medication() {
            return what.equals("MEDICATION") && firstDay != null
                    ? Optional.of(new Medication(firstDay, Optional.ofNullable(lastDay)))
                    : Optional.empty();
        }

        Optional<Replacement> replacement() {
            return grams != null && firstDay != null ? Optional.of(new Replacement(firstDay, grams)) : Optional.empty();
        }

        Optional<LocalDate> changed(ZoneId zone) {
            return Optional.ofNullable(changedAt).map(at -> LocalDate.ofInstant(at, zone));
        }
    }

    /** Table test_method. */
    record MethodRow(long id, String parameter, String name, double limitValue, MethodSteps steps) {}

    /** Table own_parameter. */
    record OwnRow(long id, String name, String unit) {
        String code() {
            return "OWN_" + id;
        }
    }

    static Optional<Parameter> known(String code) {
        return Arrays.stream(Parameter.values())
                .filter(one -> one.name().equals(code))
                .findFirst();
    }
}
