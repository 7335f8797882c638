package app.chervil.server.archive;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Sign;
import app.chervil.core.site.Asked;
import app.chervil.core.stock.Shelf;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TankChore;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A table that an archive brings in, in an order in which every row comes after those it refers to. What is left at its site:
 * people and their hours, deeds, the plan and its decisions, and steps of guided services, whose outcome is the service.
 */
enum ArchiveTable {
    OWN_PARAMETER(Of.SITE, Row.NUMBERED),
    TEST_METHOD(Of.SITE, Row.NUMBERED),
    VESSEL(Of.STORES, Row.NAMED),
    SUM_RULE(Of.STORES, Row.NAMED),
    KEEPER_ONLY(Of.STORES, Row.NAMED),
    STOCK_ITEM(Of.STORES, Row.NUMBERED),
    STOCK_MOVE(Of.STORES, Row.NAMED, "item_id"),
    TANK(Of.TANK, Row.NUMBERED),
    FILTER(Of.TANK, Row.NUMBERED, "tank_id"),
    STAGE(Of.TANK, Row.NUMBERED, "filter_id"),
    CARE_TASK(Of.TANK, Row.NUMBERED, "filter_id", "stage_id"),
    CONTEXT_CHANGE(Of.TANK, Row.NUMBERED, "tank_id", "filter_id"),
    CHORE(Of.TANK, Row.NUMBERED, "tank_id"),
    TAP_VALUE(Of.TANK, Row.NUMBERED, "tank_id"),
    PAUSE(Of.TANK, Row.NAMED, "tank_id", "filter_id"),
    MEDICATION(Of.TANK, Row.NUMBERED, "tank_id"),
    SERVICE(Of.TANK, Row.NAMED, "tank_id"),
    SERVICE_TASK(Of.TANK, Row.NAMED, "service_id", "task_id"),
    SERVICE_FLOW(Of.TANK, Row.NAMED, "service_id", "filter_id"),
    SERVICE_PART(Of.TANK, Row.NAMED, "service_id"),
    SERVICE_ANSWER(Of.TANK, Row.NAMED, "service_id", "filter_id"),
    SERVICE_CORRECTION(Of.TANK, Row.NUMBERED, "service_id"),
    PHOTO(Of.TANK, Row.NAMED, "service_id", "filter_id"),
    READING(Of.TANK, Row.NAMED, "tank_id"),
    WATER_CHANGE(Of.TANK, Row.NAMED, "tank_id"),
    MEDIA_REPLACEMENT(Of.TANK, Row.NAMED, "tank_id", "stage_id"),
    CONDITION_CHECK(Of.TANK, Row.NAMED, "tank_id"),
    STAGE_LOOK(Of.TANK, Row.NAMED, "stage_id"),
    CHORE_DONE(Of.TANK, Row.NAMED, "tank_id"),
    TANK_EVENT(Of.TANK, Row.NAMED, "tank_id"),
    TRIAL(Of.TANK, Row.NAMED, "tank_id", "task_id"),
    FOLLOW_UP(Of.TANK, Row.NAMED, "tank_id", "filter_id"),
    SUM_KEPT(Of.TANK, Row.NAMED, "tank_id"),
    TROUBLE_CASE(Of.TANK, Row.NAMED, "tank_id", "filter_id"),
    TROUBLE_EVENT(Of.TANK, Row.NAMED, "case_id");

    /** What a table belongs to. */
    enum Of {
        /** Everything of the site refers to it by what it says; it always comes along. */
        SITE,
        /** What the site owns beside its tanks. */
        STORES,
        TANK
    }

    /** How a row is known. */
    enum Row {
        /** By a number that its server gave it. */
        NUMBERED,
        /** By an id its client made, or by what it says. */
        NAMED
    }

    private static final Map<String, ArchiveTable> TARGETS = Map.of(
            "tank_id", TANK,
            "filter_id", FILTER,
            "stage_id", STAGE,
            "task_id", CARE_TASK,
            "service_id", SERVICE,
            "case_id", TROUBLE_CASE,
            "item_id", STOCK_ITEM);

    /** What a row is a part of: if that is there already, its parts are as well, or were changed since. */
    private static final Set<ArchiveTable> WHOLES = Set.of(SERVICE, TROUBLE_CASE);

    /** Columns that hold the name of a constant, and of which; those that the database checks itself are not repeated. */
    private static final Map<String, Class<? extends Enum<?>>> CONSTANTS = Map.ofEntries(
            Map.entry("tank.water", WaterKind.class),
            Map.entry("tank.stocking", Stocking.class),
            Map.entry("tank.feeding", Feeding.class),
            Map.entry("tank.bacteria_home", BacteriaHome.class),
            Map.entry("tank.tap_water", TapWater.class),
            Map.entry("tank.opening_school", OpeningSchool.class),
            Map.entry("tank.sock_school", SockSchool.class),
            Map.entry("tank.rinse_water", RinseWater.class),
            Map.entry("tank.thoroughness", Thoroughness.class),
            Map.entry("filter.kind", FilterKind.class),
            Map.entry("filter.direction", FlowDirection.class),
            Map.entry("stage.kind", StageKind.class),
            Map.entry("stage.make", Stage.Make.class),
            Map.entry("care_task.action", CareAction.class),
            Map.entry("context_change.kind", ContextChange.Kind.class),
            Map.entry("service_task.finding", Finding.class),
            Map.entry("service_answer.question", Asked.class),
            Map.entry("stage_look.sign", Sign.class),
            Map.entry("chore.kind", TankChore.class),
            Map.entry("chore_done.kind", TankChore.class),
            Map.entry("stock_move.kind", Shelf.Kind.class));

    private final Of of;
    private final Row row;
    private final String references;

    ArchiveTable(Of of, Row row, String... references) {
        this.of = of;
        this.row = row;
        this.references = String.join(" ", references);
    }

    Of of() {
        return of;
    }

    boolean numbered() {
        return row == Row.NUMBERED;
    }

    /** Name of the table. */
    String relation() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Columns that hold the number or id of a row that comes before. */
    List<String> references() {
        return references.isEmpty() ? List.of() : List.of(references.split(" "));
    }

    /** What such a column refers to. */
    static ArchiveTable target(String column) {
        return Optional.ofNullable(TARGETS.get(column))
                .orElseThrow(() -> new IllegalArgumentException("no table for " + column));
    }

    /** The column of what its rows are parts of. */
    Optional<String> whole() {
        return references().stream()
                .filter(column -> WHOLES.contains(target(column)))
                .findFirst();
    }

    /** Whether it is part of how a filter is built, which must be of one piece. */
    boolean built() {
        return this == STAGE || this == CARE_TASK;
    }

    /** Names a column may hold; empty if any will do, or the database looks itself. */
    static Set<String> constants(String relation, String column) {
        return Optional.ofNullable(CONSTANTS.get(relation + "." + column)).stream()
                .flatMap(type -> Arrays.stream(type.getEnumConstants()))
                .map(Enum::name)
                .collect(Collectors.toUnmodifiableSet());
    }
}
