package app.chervil.server.water;

import app.chervil.core.site.AnimalAdvice;
import app.chervil.core.site.Tank;
import app.chervil.core.water.Condition;
import app.chervil.core.water.Condition.Advice;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.problem.Rejected.Violation;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.HusbandryMapper.ConditionRow;
import app.chervil.server.water.WaterRows.ChangeRow;
import app.chervil.server.water.WaterRows.MedicationRow;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Water changes, medications and condition checks. */
@Service
public class HusbandryOperations {
    private static final int CONDITIONS_LISTED = 20;
    private static final int LONGEST_TREATMENT_DAYS = 366;
    private static final double MUCH_WATER = 0.6;
    private static final double MUCH_CONDITIONER_ML_PER_L = 1;
    private static final double MUCH_COLDER_C = 4;

    private final HusbandryMapper mapper;
    private final ReadingOperations readings;
    private final TankOperations tanks;
    private final Clock clock;

    HusbandryOperations(HusbandryMapper mapper, ReadingOperations readings, TankOperations tanks, Clock clock) {
        this.mapper = mapper;
        this.readings = readings;
        this.tanks = tanks;
        this.clock = clock;
    }

    /**
     * A water change.
     *
     * @param litres in all, rinse buckets among them
     * @param bucketLitres of these drawn as rinse buckets
     * @param conditionerMl absent if none was dosed
     * @param dosedFor what its label says
     * @param newWaterC temperature of the new water; absent if not matched by a thermometer
     * @param confirmed whether the keeper was asked about what surprises in it, and stands by it
     */
    public record ChangeInput(
            @NotNull(message = "When was it?") Instant changedAt,

            @NotNull(message = "How many litres?") @DecimalMin(value = "0.1", message = "At least 0.1 L.")
            Double litres,

            @DecimalMin(value = "0", message = "Not below 0 L.")
            double bucketLitres,

            @Nullable
            @DecimalMin(value = "0", message = "Not below 0 mL.")
            @DecimalMax(value = "10000", message = "At most 10 L.")
            Double conditionerMl,

            @Nullable DosedFor dosedFor,

            @Nullable
            @DecimalMin(value = "0", message = "Not below 0 °C.")
            @DecimalMax(value = "40", message = "At most 40 °C.")
            Double newWaterC,

            @NotNull @Size(max = 500, message = "At most 500 characters.")
            String note,

            @Nullable Boolean confirmed) {
        /** A change that nobody was asked about. */
        public ChangeInput(
                Instant changedAt,
                Double litres,
                double bucketLitres,
                @Nullable Double conditionerMl,
                @Nullable DosedFor dosedFor,
                @Nullable Double newWaterC,
                String note) {
            this(changedAt, litres, bucketLitres, conditionerMl, dosedFor, newWaterC, note, null);
        }
    }

    /**
     * A treatment.
     *
     * @param confirmed whether the keeper was asked if it harms who lives there, and stands by it
     */
    public record MedicationInput(
            @NotBlank(message = "Which product?") @Size(max = 80, message = "At most 80 characters.")
            String product,

            @NotNull(message = "Since when?") LocalDate firstDay,
            @Nullable LocalDate lastDay,
            @Nullable Boolean confirmed) {}

    /** The last day of a treatment. */
    public record MedicationEnd(
            @NotNull(message = "Until when?") LocalDate lastDay) {}

    /** A stored water change with its share of the tank. */
    public record ChangeView(
            UUID id,
            Instant changedAt,
            double litres,
            double share,
            double bucketLitres,
            @Nullable Double conditionerMl,
            @Nullable DosedFor dosedFor,
            @Nullable Double newWaterC,
            String doneBy,
            String note) {}

    /** A stored treatment. */
    public record MedicationView(
            long id,
            String product,
            LocalDate firstDay,
            @Nullable LocalDate lastDay) {}

    /**
     * A look at animals and water.
     *
     * @param amiss questions answered with no; empty if all is well
     */
    public record ConditionInput(
            @NotNull Set<Condition> amiss,

            @NotNull @Size(max = 500, message = "At most 500 characters.")
            String note) {}

    /** A question of the check, asked so that yes is well. */
    public record Question(Condition code, String question, Condition.Of of) {}

    /**
     * What to do first.
     *
     * @param readings codes of the parameters that matter
     */
    public record AdviceView(List<String> readings, List<String> steps) {}

    /** Logs a water change once under the id its client made. */
    @Transactional
    public ChangeView change(SignedIn who, long tank, UUID id, ChangeInput input) {
        double volume = tanks.find(who, tank).netVolumeL();
        Rejected.Gatherer gatherer = new Rejected.Gatherer();
        readings.checkTime(gatherer, "changedAt", input.changedAt());
        gatherer.check(input.litres() <= volume, "litres", "more-than-all", "The tank holds " + volume + " L.")
                .check(
                        input.bucketLitres() <= input.litres(),
                        "bucketLitres",
                        "more-than-all",
                        "The buckets are part of the litres above.")
                .check(
                        input.conditionerMl() == null || input.dosedFor() != null,
                        "dosedFor",
                        "needed",
                        "Which volume does its label say?")
                .done();
        List<Violation> surprises = surprises(who, tank, input, volume);
        if (!surprises.isEmpty() && !Boolean.TRUE.equals(input.confirmed())) {
            throw new Rejected(surprises);
        }
        ChangeRow row = new ChangeRow(
                id,
                tank,
                input.changedAt(),
                input.litres(),
                input.bucketLitres(),
                input.conditionerMl(),
                input.dosedFor(),
                input.newWaterC(),
                who.name(),
                input.note().strip(),
                surprises.isEmpty()
                        ? null
                        : surprises.stream().map(Violation::message).collect(Collectors.joining(" ")));
        boolean fresh = mapper.insertChange(who.siteId(), row) == 1;
        if (!fresh && !mapper.findKeptChange(who.siteId(), id).filter(row::same).isPresent()) {
            throw Rejected.taken();
        }
        return view(row, volume);
    }

    /** What is asked about once before it is taken: it can be right, and hurts if it is not. */
    private List<Violation> surprises(SignedIn who, long tank, ChangeInput input, double volume) {
        List<Violation> surprises = new ArrayList<>();
        double share = input.litres() / volume;
        if (share > MUCH_WATER) {
            surprises.add(asked(
                    "litres",
                    "That is " + Math.round(100 * share)
                            + " % of the tank at once, which shocks animals and bacteria. Is it right?"));
        }
        double treated = input.dosedFor() == DosedFor.WHOLE_TANK ? volume : input.litres();
        if (input.conditionerMl() != null && input.conditionerMl() > MUCH_CONDITIONER_ML_PER_L * treated) {
            surprises.add(asked(
                    "conditionerMl",
                    "That is far more than any label asks for. Too much takes oxygen from the water. Is it right?"));
        }
        @Nullable Double newWater = input.newWaterC();
        readings.latest(who, tank, Parameter.TEMPERATURE)
                .filter(last -> newWater != null && Math.abs(newWater - last) > MUCH_COLDER_C)
                .ifPresent(last -> surprises.add(asked(
                        "newWaterC",
                        "The tank was at " + Math.round(last)
                                + " °C. New water so far from that shocks the animals. Is it" + " right?")));
        return surprises;
    }

    private static Violation asked(String field, String message) {
        return new Violation(field, "asked", message);
    }

    /** Water changes of a tank since an instant, oldest first. */
    @Transactional(readOnly = true)
    public List<ChangeView> changes(SignedIn who, long tank, Instant since) {
        double volume = tanks.find(who, tank).netVolumeL();
        return mapper.listChanges(who.siteId(), tank, since).stream()
                .map(row -> view(row, volume))
                .toList();
    }

    /** Takes a water change out; it can be put back. */
    @Transactional
    public void removeChange(SignedIn who, UUID id) {
        if (mapper.deleteChange(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("water change");
        }
    }

    @Transactional
    public void restoreChange(SignedIn who, UUID id) {
        if (mapper.restoreChange(who.siteId(), id) == 0) {
            throw new NotFound("water change");
        }
    }

    /**
     * Begins a medication; bio-disturbing work is on hold while it lasts.
     *
     * @throws Rejected if it can kill an animal of this tank, and nobody stood by it
     */
    @Transactional
    public List<MedicationView> medicate(SignedIn who, long tank, MedicationInput input) {
        Tank treated = tanks.find(who, tank);
        tanks.checkDay("firstDay", input.firstDay());
        checkEnd(input.firstDay(), input.lastDay());
        Optional<String> harm = AnimalAdvice.onMedication(treated.setting().animals());
        if (harm.isPresent() && !Boolean.TRUE.equals(input.confirmed())) {
            throw new Rejected(List.of(asked("product", harm.get())));
        }
        mapper.insertMedication(
                who.siteId(),
                new MedicationRow(
                        0,
                        tank,
                        input.product().strip(),
                        input.firstDay(),
                        input.lastDay(),
                        who.name(),
                        harm.orElse(null)));
        return medications(who, tank);
    }

    /** Says when a medication ends. */
    @Transactional
    public List<MedicationView> endMedication(SignedIn who, long tank, long id, LocalDate lastDay) {
        MedicationView medication = medications(who, tank).stream()
                .filter(one -> one.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound("medication"));
        checkEnd(medication.firstDay(), lastDay);
        mapper.updateMedication(who.siteId(), tank, id, lastDay);
        return medications(who, tank);
    }

    /** Medications of a tank, oldest first. */
    @Transactional(readOnly = true)
    public List<MedicationView> medications(SignedIn who, long tank) {
        tanks.find(who, tank);
        return mapper.listMedications(who.siteId(), tank).stream()
                .map(row -> new MedicationView(row.id(), row.product(), row.firstDay(), row.lastDay()))
                .toList();
    }

    /** The questions of a condition check, in order. */
    public List<Question> questions() {
        return Arrays.stream(Condition.values())
                .map(one -> new Question(one, one.question(), one.of()))
                .toList();
    }

    /** Logs a condition check and says what comes first. */
    @Transactional
    public AdviceView checkCondition(SignedIn who, long tank, UUID id, ConditionInput input) {
        tanks.find(who, tank);
        String amiss = input.amiss().stream().sorted().map(Condition::name).collect(Collectors.joining(","));
        mapper.insertCondition(
                who.siteId(),
                new ConditionRow(id, tank, clock.instant(), amiss, input.note().strip(), who.name()));
        Advice advice = Condition.advise(input.amiss());
        return new AdviceView(advice.readings().stream().map(Parameter::name).toList(), advice.steps());
    }

    /** The last condition checks of a tank, latest first. */
    @Transactional(readOnly = true)
    public List<ConditionView> conditions(SignedIn who, long tank) {
        tanks.find(who, tank);
        return mapper.listConditions(who.siteId(), tank, CONDITIONS_LISTED);
    }

    private static void checkEnd(LocalDate first, @Nullable LocalDate last) {
        new Rejected.Gatherer()
                .check(
                        last == null || !last.isBefore(first),
                        "lastDay",
                        "before-it-began",
                        "It cannot end before it began.")
                .check(
                        last == null || !last.isAfter(first.plusDays(LONGEST_TREATMENT_DAYS)),
                        "lastDay",
                        "too-long",
                        "At most a year. Leave it open, or log what follows as a new treatment.")
                .done();
    }

    private static ChangeView view(ChangeRow row, double volume) {
        return new ChangeView(
                row.id(),
                row.changedAt(),
                row.litres(),
                Math.min(1, row.litres() / volume),
                row.bucketLitres(),
                row.conditionerMl(),
                row.dosedFor(),
                row.newWaterC(),
                row.doneBy(),
                row.note());
    }
}
