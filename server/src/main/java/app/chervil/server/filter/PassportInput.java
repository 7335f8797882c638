package app.chervil.server.filter;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.OwnStep;
import app.chervil.core.passport.Passport;
import app.chervil.core.passport.Place;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How a filter is built and what sits where, as its keeper knows it. What is absent is as usual for its kind; unsure of what
 * shuts its hoses means nothing does.
 *
 * @param purgesADay where it stops daily to let air out
 * @param latches that hold its head
 * @param wiggle whether its head comes up only by wiggling
 * @param opensWhereItStands whether there is room above it
 * @param hoseM length of both hoses together, in metres
 * @param hoseInnerMm inner width of its hoses, in millimetres
 * @param dryGripSock whether a sump's sock is swapped with dry hands while the pump runs
 * @param spares on board; may be empty
 * @param chambers what sits where, in the order of hands; absent if nobody said
 * @param ownSteps of the keeper
 */
public record PassportInput(
        Build.@Nullable ShutOff shutOff,
        Build.@Nullable Fill fill,
        Build.@Nullable Purge purge,

        @Nullable @Min(value = 0, message = "Not below 0.") @Max(value = 24, message = "At most 24.")
        Integer purgesADay,

        Build.@Nullable Ports ports,

        @Nullable @Min(value = 0, message = "Not below 0.") @Max(value = 12, message = "At most 12.")
        Integer latches,

        @Nullable Boolean wiggle,
        Build.@Nullable Pump pump,
        @Nullable Boolean ventTube,
        @Nullable Boolean pumpGuard,
        @Nullable Boolean alignmentMark,
        @Nullable Boolean opensWhereItStands,

        @Nullable
        @DecimalMin(value = "0", message = "Not below 0 m.")
        @DecimalMax(value = "20", message = "At most 20 m.")
        Double hoseM,

        @Nullable
        @DecimalMin(value = "1", message = "At least 1 mm.")
        @DecimalMax(value = "100", message = "At most 100 mm.")
        Double hoseInnerMm,

        Build.@Nullable HeaterPlace heater,
        Build.@Nullable LampPlace lamp,
        @Nullable Boolean dryGripSock,

        @Nullable @Size(max = 500, message = "At most 500 characters.")
        String spares,

        @Nullable @Size(min = 1, max = 12, message = "One to twelve chambers.")
        List<@Valid ChamberInput> chambers,

        @Nullable @Size(max = 20, message = "At most 20 steps.")
        List<@Valid OwnStepInput> ownSteps) {
    /** Nothing is known. */
    public static final PassportInput UNKNOWN = new PassportInput(
            null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null, null,
            null, null);

    /**
     * A room of the filter.
     *
     * @param places in the order a hand meets them
     */
    public record ChamberInput(
            @NotNull @Size(max = 60, message = "At most 60 characters.")
            String name,

            Chamber.@NotNull(message = "What is in the way of a hand?") Access access,

            @NotNull @Size(max = 20, message = "At most 20 places.")
            List<@Valid PlaceInput> places) {
        Chamber toCore() {
            return new Chamber(
                    name, access, places.stream().map(PlaceInput::toCore).toList());
        }

        static ChamberInput of(Chamber chamber) {
            return new ChamberInput(
                    chamber.name(),
                    chamber.access(),
                    chamber.places().stream().map(PlaceInput::of).toList());
        }
    }

    /**
     * Where something sits.
     *
     * @param emptiedInPlace whether its contents come out while it stays
     * @param under numbers of places of this chamber that are lifted first; absent for all trays before a tray
     * @param holeMm width of its holes, in millimetres; absent if nobody measured
     * @param contents in the order a hand meets them
     */
    public record PlaceInput(
            @NotBlank(message = "Give this place a name.") @Size(max = 60, message = "At most 60 characters.")
            String name,

            Place.@NotNull(message = "A tray, a cage, or part of the housing?") Kind kind,
            boolean emptiedInPlace,

            @Nullable @Size(max = 20, message = "At most 20 places.")
            List<@NotNull @Min(0) @Max(19) Integer> under,

            @Nullable
            @DecimalMin(value = "0.1", message = "At least 0.1 mm.")
            @DecimalMax(value = "100", message = "At most 100 mm.")
            Double holeMm,

            @NotNull @Size(max = 20, message = "At most 20 things.")
            List<@Valid ContentInput> contents) {
        Place toCore() {
            return new Place(
                    name,
                    kind,
                    emptiedInPlace || kind == Place.Kind.FIXED,
                    Optional.ofNullable(under),
                    Given.number(holeMm),
                    contents.stream().map(ContentInput::toCore).toList());
        }

        static PlaceInput of(Place place) {
            return new PlaceInput(
                    place.name(),
                    place.kind(),
                    place.emptiedInPlace(),
                    place.under().orElse(null),
                    Given.orNull(place.holeMm()),
                    place.contents().stream().map(ContentInput::of).toList());
        }
    }

    /**
     * What lies in a place.
     *
     * @param stage its number in the list of stages, from zero
     * @param litres it takes up; absent if nobody measured
     * @param grainMm size of its grains, in millimetres; absent if it has none
     */
    public record ContentInput(
            @Min(value = 0, message = "Not below 0.") @Max(value = 39, message = "At most 39.")
            int stage,

            Place.@NotNull(message = "How is it packed?") Packing packing,

            @Nullable
            @DecimalMin(value = "0.01", message = "At least 0.01 L.")
            @DecimalMax(value = "1000", message = "At most 1,000 L.")
            Double litres,

            @Nullable
            @DecimalMin(value = "0.1", message = "At least 0.1 mm.")
            @DecimalMax(value = "200", message = "At most 200 mm.")
            Double grainMm) {
        Place.Content toCore() {
            return new Place.Content(stage, packing, Given.number(litres), Given.number(grainMm));
        }

        static ContentInput of(Place.Content content) {
            return new ContentInput(
                    content.stage(),
                    content.packing(),
                    Given.orNull(content.litres()),
                    Given.orNull(content.grainMm()));
        }
    }

    /** A step in the keeper's own words. */
    public record OwnStepInput(
            OwnStep.@NotNull(message = "When does it come?") Moment moment,
            boolean before,

            @NotBlank(message = "Write what to do.") @Size(max = 200, message = "At most 200 characters.")
            String words) {
        OwnStep toCore() {
            return new OwnStep(moment, before, words);
        }
    }

    /** What sits where in a filter, or usually does. */
    public static List<ChamberInput> rooms(Passport passport) {
        return passport.chambers().stream().map(ChamberInput::of).toList();
    }

    /** The passport of a filter, with what is usual wherever nothing was said. */
    Passport toCore(FilterKind kind, @Nullable FlowDirection direction, List<StageKind> path) {
        Build build = build(kind, direction);
        List<OwnStep> own = ownSteps == null
                ? List.of()
                : ownSteps.stream().map(OwnStepInput::toCore).toList();
        List<Chamber> rooms = chambers == null
                ? Passport.usual(build, path).chambers()
                : chambers.stream().map(ChamberInput::toCore).toList();
        return new Passport(build, rooms, own, spares == null ? "" : spares, chambers != null);
    }

    private Build build(FilterKind kind, @Nullable FlowDirection direction) {
        Build usual = Build.usual(kind, Optional.ofNullable(direction));
        Build.Housing housing = usual.housing();
        return new Build(
                kind,
                usual.direction(),
                new Build.Water(
                        or(shutOff, usual.water().shutOff()),
                        or(fill, usual.water().fill()),
                        or(purge, usual.water().purge()),
                        or(purgesADay, usual.water().purges())),
                new Build.Housing(
                        or(ports, housing.ports()),
                        or(latches, housing.latches()),
                        or(wiggle, housing.wiggle()),
                        or(pump, housing.pump()),
                        or(ventTube, housing.ventTube()),
                        or(pumpGuard, housing.pumpGuard()),
                        or(alignmentMark, housing.alignmentMark()),
                        or(opensWhereItStands, housing.opensWhereItStands())),
                new Build.Hoses(
                        or(hoseM, usual.hoses().metres()),
                        or(hoseInnerMm, usual.hoses().innerMm())),
                new Build.Current(
                        or(heater, usual.current().heater()),
                        or(lamp, usual.current().lamp()),
                        or(dryGripSock, usual.current().dryGripSock())));
    }

    /** All that is known, or usual where nobody said. */
    public static PassportInput of(Passport passport) {
        Build build = passport.build();
        Build.Housing housing = build.housing();
        return new PassportInput(
                build.water().shutOff(),
                build.water().fill(),
                build.water().purge(),
                build.water().purges(),
                housing.ports(),
                housing.latches(),
                housing.wiggle(),
                housing.pump(),
                housing.ventTube(),
                housing.pumpGuard(),
                housing.alignmentMark(),
                housing.opensWhereItStands(),
                build.hoses().metres(),
                build.hoses().innerMm(),
                build.current().heater(),
                build.current().lamp(),
                build.current().dryGripSock(),
                passport.spares(),
                rooms(passport),
                passport.ownSteps().stream()
                        .map(own -> new OwnStepInput(own.moment(), own.before(), own.words()))
                        .toList());
    }

    /** What its keeper said; what sits where only if somebody did. */
    static PassportInput stated(Passport passport) {
        PassportInput all = of(passport);
        return passport.stated() ? all : all.placed(null);
    }

    /** The same with other chambers. */
    public PassportInput placed(@Nullable List<ChamberInput> rooms) {
        return new PassportInput(
                shutOff,
                fill,
                purge,
                purgesADay,
                ports,
                latches,
                wiggle,
                pump,
                ventTube,
                pumpGuard,
                alignmentMark,
                opensWhereItStands,
                hoseM,
                hoseInnerMm,
                heater,
                lamp,
                dryGripSock,
                spares,
                rooms,
                ownSteps);
    }

    private static <T> T or(@Nullable T value, T usual) {
        return value == null ? usual : value;
    }
}
