package app.chervil.server.filter;

import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A filter as a keeper describes it.
 *
 * @param direction canisters only
 * @param fittedOn absent if nobody knows
 * @param careFrom the day the filter was last cleaned; absent if nobody knows
 * @param stages in the order water meets them
 * @param careSureness how surely that day is known; absent for known, or for unknown where the day is absent
 * @param passport how it is built and what sits where; absent if nobody said
 */
public record FilterInput(
        @NotBlank(message = "Give the filter a name.") @Size(max = 80, message = "At most 80 characters.")
        String name,

        @NotNull(message = "Choose the kind of filter.") FilterKind kind,
        @Nullable FlowDirection direction,
        @NotNull @Valid Rating rating,
        @Nullable LocalDate fittedOn,
        @Nullable LocalDate careFrom,

        @NotNull
        @Size(min = 1, message = "A water path has at least one stage.")
        @Size(max = 40, message = "At most 40 stages.")
        List<@Valid StageInput> stages,

        @Nullable Sureness careSureness,
        @Nullable @Valid PassportInput passport) {
    /** A filter whose last cleaning is known to the day, or not at all. */
    public FilterInput(
            String name,
            FilterKind kind,
            @Nullable FlowDirection direction,
            Rating rating,
            @Nullable LocalDate fittedOn,
            @Nullable LocalDate careFrom,
            List<StageInput> stages) {
        this(name, kind, direction, rating, fittedOn, careFrom, stages, null, null);
    }

    /** A stored filter as it would be sent back unchanged. */
    public static FilterInput of(Filter filter) {
        boolean known = filter.cleaned().known();
        return new FilterInput(
                filter.name(),
                filter.kind(),
                filter.build().direction().orElse(null),
                Rating.of(filter.rating()),
                filter.fittedOn().orElse(null),
                known ? filter.cleaned().on() : null,
                filter.stages().stream().map(StageInput::of).toList(),
                Cleaned.of(filter.cleaned()).sureness(),
                PassportInput.stated(filter.passport()));
    }

    /** The same, built and filled as somebody says. */
    public FilterInput described(PassportInput other) {
        return new FilterInput(name, kind, direction, rating, fittedOn, careFrom, stages, careSureness, other);
    }

    /** What is known of how it is built; nothing, where nobody said. */
    public PassportInput known() {
        return passport == null ? PassportInput.UNKNOWN : passport;
    }

    /** When it was last cleaned and how surely; of an unknown day, the day of entry. */
    Cleaned cleaned(LocalDate today) {
        return Cleaned.of(careFrom, careSureness, today);
    }

    /**
     * What its plate says; each may be absent.
     *
     * @param flowLph rated flow in L/h
     * @param powerW in watts
     * @param maxHeadM height at which it stops, in metres
     * @param liftM height it has to lift here, in metres
     */
    public record Rating(
            @Nullable
            @DecimalMin(value = "1", message = "At least 1 L/h.")
            @DecimalMax(value = "1000000", message = "At most 1,000,000 L/h.")
            Double flowLph,

            @Nullable
            @DecimalMin(value = "0.1", message = "At least 0.1 W.")
            @DecimalMax(value = "10000", message = "At most 10,000 W.")
            Double powerW,

            @Nullable
            @DecimalMin(value = "0.05", message = "At least 0.05 m.")
            @DecimalMax(value = "100", message = "At most 100 m.")
            Double maxHeadM,

            @Nullable
            @DecimalMin(value = "0", message = "Not below 0 m.")
            @DecimalMax(value = "100", message = "At most 100 m.")
            Double liftM) {
        static Rating of(Filter.Rating rating) {
            return new Rating(
                    Given.orNull(rating.flowLph()),
                    Given.orNull(rating.powerW()),
                    Given.orNull(rating.maxHeadM()),
                    Given.orNull(rating.liftM()));
        }
    }

    /**
     * One stage of the water path.
     *
     * @param id absent for a new one
     * @param label the keeper's own name for it; may be empty
     * @param massG media only, in grams
     * @param fittedOn absent if nobody knows
     * @param size what a spare of it must be, such as "9 W, 2 pins"; absent if nobody knows
     * @param lasting absent if nobody knows
     */
    public record StageInput(
            @Nullable Long id,
            @NotNull(message = "Choose the kind of stage.") StageKind kind,

            @NotNull @Size(max = 60, message = "At most 60 characters.")
            String label,

            @Min(value = 1, message = "At least 1.") @Max(value = 99, message = "At most 99.")
            int quantity,

            @Nullable
            @DecimalMin(value = "1", message = "At least 1 g.")
            @DecimalMax(value = "1000000", message = "At most 1,000 kg.")
            Double massG,

            Stage.@NotNull Make make,
            boolean bagged,
            @Nullable LocalDate fittedOn,

            @Nullable @Size(max = 60, message = "At most 60 characters.")
            String size,

            @Nullable @Valid Lasting lasting) {
        Stage toCore() {
            return new Stage(kind, make);
        }

        static StageInput of(FilterStage stage) {
            return new StageInput(
                    stage.id(),
                    stage.kind(),
                    stage.label(),
                    stage.quantity(),
                    Given.orNull(stage.massG()),
                    stage.stage().make(),
                    stage.bagged(),
                    stage.fittedOn().orElse(null),
                    stage.size(),
                    Lasting.of(stage.endurance()));
        }
    }

    /**
     * How long a part lasts by its label and how it is run; each may be absent.
     *
     * @param ratedHours of a lamp
     * @param litHoursADay of a lamp
     * @param startsADay of a lamp
     * @param rollM length of a new fleece roll, in metres
     * @param rinses that a washable pad bears
     */
    public record Lasting(
            @Nullable
            @DecimalMin(value = "100", message = "At least 100 hours.")
            @DecimalMax(value = "100000", message = "At most 100,000 hours.")
            Double ratedHours,

            @Nullable
            @DecimalMin(value = "0", message = "Not below 0.")
            @DecimalMax(value = "24", message = "A day has 24 hours.")
            Double litHoursADay,

            @Nullable @Min(value = 0, message = "Not below 0.") @Max(value = 1440, message = "At most once a minute.")
            Integer startsADay,

            @Nullable
            @DecimalMin(value = "0.1", message = "At least 0.1 m.")
            @DecimalMax(value = "1000", message = "At most 1,000 m.")
            Double rollM,

            @Nullable @Min(value = 1, message = "At least 1.") @Max(value = 1000, message = "At most 1,000.")
            Integer rinses) {
        /** Nothing is known. */
        public static final Lasting UNKNOWN = new Lasting(null, null, null, null, null);

        static Lasting of(Endurance endurance) {
            return new Lasting(
                    Given.orNull(endurance.ratedHours()),
                    Given.orNull(endurance.litHoursADay()),
                    Given.orNull(endurance.startsADay()),
                    Given.orNull(endurance.rollMetres()),
                    Given.orNull(endurance.rinses()));
        }
    }
}
