package app.chervil.core.water;

import app.chervil.core.calc.Count;
import app.chervil.core.water.Hold.Cause;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What is known of one tank's water, as far as rules ask for it (docs/sources.md#holds).
 *
 * @param readings in any order
 */
public record WaterBook(
        LocalDate establishedOn, List<Reading> readings, List<Medication> medications, List<Replacement> replacements) {
    static final int YOUNG_DAYS = 60;
    static final int AFTER_REPLACEMENT_DAYS = 28;
    static final int BETWEEN_CLEAN_DAYS = 2;
    static final int EARLY_ASKS_DAYS = 7;

    public WaterBook {
        readings = readings.stream().sorted(Comparator.comparing(Reading::at)).toList();
        medications = List.copyOf(medications);
        replacements = List.copyOf(replacements);
    }

    /** The latest trusted value of a parameter since some moment, zero where it shows no more than noise; empty if none. */
    public OptionalDouble latest(Parameter parameter, LocalDateTime since) {
        return readings.stream()
                .filter(one -> one.parameter() == parameter
                        && one.trusted()
                        && !one.at().isBefore(since))
                .mapToDouble(one -> one.clean() ? 0 : one.value())
                .reduce((earlier, later) -> later);
    }

    /** Holds in force on a day, in the order of {@link Cause}. */
    public List<Hold> holds(LocalDate today) {
        List<Hold> holds = new ArrayList<>();
        byReadings(Parameter.AMMONIA, Cause.AMMONIA, today).ifPresent(holds::add);
        byReadings(Parameter.NITRITE, Cause.NITRITE, today).ifPresent(holds::add);
        medications.stream()
                .filter(medication -> medication.works(today))
                .max(Comparator.comparing(medication -> medication.lastDay().orElse(LocalDate.MAX)))
                .map(WaterBook::byMedication)
                .ifPresent(holds::add);
        replacements.stream()
                .filter(one -> within(one.on(), today, AFTER_REPLACEMENT_DAYS))
                .max(Comparator.comparing(Replacement::on))
                .map(WaterBook::byReplacement)
                .ifPresent(holds::add);
        if (within(establishedOn, today, YOUNG_DAYS)) {
            holds.add(byAge(today));
        }
        return holds;
    }

    /**
     * How often ammonia or nitrite was read above noise; one read too early shows too little and counts where it shows some.
     *
     * @param last day that counts
     */
    public long spikes(LocalDate first, LocalDate last) {
        return readings.stream()
                .filter(one -> one.parameter() == Parameter.AMMONIA || one.parameter() == Parameter.NITRITE)
                .filter(one -> !one.on().isBefore(first) && !one.on().isAfter(last))
                .filter(one -> !one.clean() && (one.trusted() || one.atLeast()))
                .count();
    }

    /**
     * A reading that is wanted again.
     *
     * @param since the reading that asks for it
     * @param why in words
     */
    public record Retest(Parameter parameter, LocalDate since, String why) {}

    /** Ammonia and nitrite that were read too early and not again, and those that a hold waits for. */
    public List<Retest> retests(LocalDate today) {
        List<Retest> wanted = new ArrayList<>();
        for (Parameter parameter : List.of(Parameter.AMMONIA, Parameter.NITRITE)) {
            readings.stream()
                    .filter(one -> one.parameter() == parameter && !one.on().isAfter(today))
                    .reduce((earlier, later) -> later)
                    .flatMap(last -> retest(parameter, last, today))
                    .ifPresent(wanted::add);
        }
        return wanted;
    }

    private Optional<Retest> retest(Parameter parameter, Reading last, LocalDate today) {
        long days = ChronoUnit.DAYS.between(last.on(), today);
        if (!last.trusted() && days <= EARLY_ASKS_DAYS) {
            return Optional.of(new Retest(parameter, last.on(), "The last one was read too early"));
        }
        Cause cause = parameter == Parameter.AMMONIA ? Cause.AMMONIA : Cause.NITRITE;
        boolean held = holds(today).stream().anyMatch(hold -> hold.cause() == cause);
        return held && days >= BETWEEN_CLEAN_DAYS
                ? Optional.of(new Retest(parameter, last.on(), "A hold waits for it"))
                : Optional.empty();
    }

    /**
     * When which hold was in force, for drawing.
     *
     * @param fromInclusive first day
     * @param toInclusive last day, not before the first
     * @param stepDays how finely to look, 1 or above; ends are told to that many days
     */
    public List<Period> periods(LocalDate fromInclusive, LocalDate toInclusive, int stepDays) {
        Map<Cause, Period> open = new EnumMap<>(Cause.class);
        List<Period> closed = new ArrayList<>();
        for (LocalDate day = fromInclusive; !day.isAfter(toInclusive); day = day.plusDays(stepDays)) {
            Set<Cause> now = EnumSet.noneOf(Cause.class);
            holds(day).forEach(hold -> now.add(hold.cause()));
            open.entrySet().removeIf(entry -> !now.contains(entry.getKey()) && closed.add(entry.getValue()));
            for (Cause cause : now) {
                Period before = open.get(cause);
                open.put(cause, new Period(cause, before == null ? day : before.from(), day));
            }
        }
        closed.addAll(open.values());
        return closed;
    }

    /** A stretch of days on which a hold was in force, both ends included. */
    public record Period(Cause cause, LocalDate from, LocalDate to) {}

    /** A spike begins with a trusted reading above noise and ends with the second clean one at least two days apart. */
    private Optional<Hold> byReadings(Parameter parameter, Cause cause, LocalDate today) {
        Optional<Reading> began = Optional.empty();
        Optional<Reading> highest = Optional.empty();
        Optional<Reading> firstClean = Optional.empty();
        for (Reading reading : readings) {
            boolean counts = reading.trusted() || reading.atLeast();
            if (reading.parameter() != parameter || !counts || reading.on().isAfter(today)) {
                continue;
            }
            if (!reading.clean()) {
                began = began.or(() -> Optional.of(reading));
                highest = highest.filter(before -> value(before) >= value(reading))
                        .or(() -> Optional.of(reading));
                firstClean = Optional.empty();
            } else if (began.isPresent()) {
                if (firstClean.filter(first -> apart(first, reading)).isPresent()) {
                    began = Optional.empty();
                    highest = Optional.empty();
                    firstClean = Optional.empty();
                } else {
                    firstClean = firstClean.or(() -> Optional.of(reading));
                }
            }
        }
        Optional<Reading> clean = firstClean;
        Optional<Reading> worst = highest;
        return began.map(first -> spike(cause, first, worst.orElse(first), clean, today));
    }

    private static Hold spike(Cause cause, Reading first, Reading worst, Optional<Reading> clean, LocalDate today) {
        String name = worst.parameter() == Parameter.AMMONIA ? "Ammonia" : "Nitrite";
        String reason = name + " reached " + Words.number(value(worst)) + " mg/L on " + Words.day(worst.on())
                + (worst.atLeast() ? ", read too early and so at least that" : "")
                + "; the bacteria are needed as they are.";
        LocalDate second = clean.map(Reading::on).orElse(today).plusDays(BETWEEN_CLEAN_DAYS);
        LocalDate likely = second.isBefore(today) ? today : second;
        String clears = clean.map(reading -> "One clean reading on " + Words.day(reading.on()) + "; a second one from "
                        + Words.day(reading.on().plusDays(BETWEEN_CLEAN_DAYS)) + " clears it.")
                .orElse("Two clean readings at least two days apart clear it.");
        return new Hold(cause, first.on(), Optional.of(likely), reason, clears);
    }

    private static Hold byMedication(Medication medication) {
        String clears = medication
                .lastDay()
                .map(last -> "Ends after " + Words.day(last) + ".")
                .orElse("Ends when the medication is marked as over.");
        return new Hold(
                Cause.MEDICATION,
                medication.firstDay(),
                medication.lastDay().map(last -> last.plusDays(1)),
                "A medication is under way; it may weaken the bacteria. Its label and a vet come first.",
                clears);
    }

    private static Hold byReplacement(Replacement replacement) {
        LocalDate until = replacement.on().plusDays(AFTER_REPLACEMENT_DAYS);
        return new Hold(
                Cause.MEDIA_REPLACED,
                replacement.on(),
                Optional.of(until),
                "Bio media was replaced on " + Words.day(replacement.on()) + "; what is left carries the tank.",
                "Ends on " + Words.day(until) + ".");
    }

    private Hold byAge(LocalDate today) {
        LocalDate until = establishedOn.plusDays(YOUNG_DAYS);
        return new Hold(
                Cause.YOUNG_TANK,
                establishedOn,
                Optional.of(until),
                "This tank is " + Count.days(ChronoUnit.DAYS.between(establishedOn, today))
                        + " old; its bacteria are still settling.",
                "Ends on " + Words.day(until) + ".");
    }

    /** Whether a day lies on or after the beginning and fewer than so many days after it. */
    private static boolean within(LocalDate began, LocalDate day, int days) {
        return !day.isBefore(began) && day.isBefore(began.plusDays(days));
    }

    private static boolean apart(Reading first, Reading second) {
        return ChronoUnit.DAYS.between(first.on(), second.on()) >= BETWEEN_CLEAN_DAYS;
    }

    private static double value(Reading reading) {
        return reading.value();
    }
}
