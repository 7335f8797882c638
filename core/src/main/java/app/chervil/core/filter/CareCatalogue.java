package app.chervil.core.filter;

import static app.chervil.core.filter.CareAction.*;

import app.chervil.core.filter.CareRule.Bounds;
import app.chervil.core.filter.CareRule.Effort;
import app.chervil.core.filter.Learning.ByAge;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.SockSchool;
import java.util.List;
import java.util.Optional;

/**
 * Every care task with its start interval, bounds, minutes and way of learning, for normal stocking and feeding without
 * a pre-filter. Origin of the figures: docs/sources.md#care-catalogue; where that page says so, they are our judgement.
 */
public final class CareCatalogue {
    /** Days after which makers would have a canister opened. */
    public static final int MAKERS_OPENING_DAYS = 30;

    private static final CareRule FOAM_REPLACE =
            part(540, 365, 1825, effort(5, 2, Material.FOAM), "Foam that no longer springs back lets water past.");
    private static final CareRule CORDS = new CareRule(
            INSPECT,
            90,
            new Bounds(30, 180),
            effort(5, 0),
            ByAge.cappedAt(180),
            "Cords, drip loop, leak sensor and check valve fail quietly.");

    private static final CareRule DRAIN_TEST = rule(
            TEST,
            days(180, 90, 365),
            effort(10, 0),
            ByAge.cappedAt(365),
            "What runs down in a power cut must find room, and nothing may hold the check valve open.");

    private static final CareRule DEEP_CLEAN = rule(
            CLEAN,
            days(60, 30, 120),
            effort(25, 2, Material.SIPHON, Material.BUCKET, Material.SOFT_BRUSH),
            ByAge.cappedAt(120),
            "Dirt settles in every chamber, and becomes nitrate there.");

    private CareCatalogue() {}

    /** Answers tasks of the filter as a whole, most telling first. */
    public static List<CareRule> forFilter(FilterKind kind, Schools schools) {
        return switch (kind) {
            case CANISTER -> List.of(opening(schools.opening()), CORDS);
            case SUMP -> List.of(DEEP_CLEAN, DRAIN_TEST, CORDS);
            default -> List.of(CORDS);
        };
    }

    /** Answers tasks that a stage brings; never empty. */
    public static List<CareRule> forStage(Stage stage, Schools schools) {
        return switch (stage.kind()) {
            case STRAINER ->
                List.of(rule(
                        CLEAR,
                        days(30, 14, 90),
                        effort(3, 0),
                        Graded.of(1, 90),
                        "A blocked strainer starves the pump."));
            case PREFILTER_SPONGE ->
                List.of(rule(
                        RINSE,
                        days(14, 5, 30),
                        effort(5, 1, Material.BUCKET),
                        Graded.withFlow(1.5, 0.45, 35),
                        "It catches most of the dirt, so it fills first."));
            case SPONGE ->
                List.of(rule(
                        SQUEEZE,
                        days(21, 7, 60),
                        effort(8, 2, Material.SPONGE_BAG, Material.BUCKET),
                        Graded.of(2, 75),
                        "The sponge holds the bacteria and the dirt alike."));
            case AIR_LINE ->
                List.of(rule(
                        CLEAN,
                        days(120, 60, 365),
                        effort(5, 0, Material.AIR_STONE),
                        ByAge.cappedAt(365),
                        "A clogged stone loads the air pump; a stuck valve floods it."));
            case SOCK -> List.of(sock(schools.sock()));
            case FLEECE_ROLL ->
                List.of(rule(
                        REPLACE,
                        days(30, 7, 180),
                        effort(10, 0, Material.FLEECE_ROLL),
                        new Learning.ByLength(),
                        "A roll that ran out filters nothing."));
            case COARSE_FOAM, MEDIUM_FOAM ->
                List.of(
                        rule(
                                RINSE,
                                days(60, 14, 270),
                                effort(8, 1, Material.BUCKET),
                                Graded.withFlow(2, 0.60, 300),
                                "Foam slows the flow as it fills."),
                        FOAM_REPLACE);
            case FINE_PAD -> finePad(stage.make());
            case FLOSS -> finePad(Stage.Make.DISPOSABLE);
            case CARTRIDGE -> List.of(cartridge(stage.make()));
            case BIO_MEDIA ->
                List.of(rule(
                        DIP,
                        days(150, 60, 540),
                        effort(8, 2, Material.BUCKET),
                        Graded.of(2, 540),
                        "Silt on the media keeps water from the bacteria."));
            case CARBON ->
                List.of(rule(
                        CHANGE,
                        days(30, 14, 56),
                        effort(5, 0, Material.CARBON, Material.MEDIA_BAG),
                        new Learning.ByTint(),
                        "Carbon fills with what it takes up, unseen."));
            case RESIN ->
                List.of(rule(
                        REGENERATE,
                        days(60, 21, 180),
                        effort(20, 0, Material.RESIN_BAG),
                        new Learning.ByColour(),
                        "Its colour tells; without a look, two months."));
            case PHOSPHATE_REMOVER ->
                List.of(rule(
                        CHANGE,
                        days(35, 14, 70),
                        effort(10, 0, Material.PHOSPHATE_REMOVER),
                        ByAge.cappedAt(70),
                        "Spent remover lets phosphate climb again."));
            case UV_LAMP ->
                List.of(rule(
                        REPLACE,
                        days(375, 250, 500),
                        effort(15, 0, Material.UV_LAMP, Material.SOFT_CLOTH),
                        new Learning.ByHours(9000),
                        "Its germicidal output fades long before the glow does."));
            case UV_SLEEVE ->
                List.of(
                        rule(
                                CLEAN,
                                days(120, 60, 365),
                                effort(10, 0, Material.SOFT_CLOTH),
                                Graded.of(1.5, 365),
                                "Film on the sleeve stops the light."),
                        part(1095, 365, 1825, effort(15, 0, Material.SLEEVE), "Quartz grows hazy and chips."));
            case IMPELLER ->
                List.of(
                        rule(
                                CLEAN,
                                days(120, 60, 365),
                                effort(10, 0, Material.SOFT_BRUSH),
                                ByAge.cappedAt(365),
                                "Slime and grit wear the shaft."),
                        rule(
                                INSPECT,
                                days(365, 180, 730),
                                effort(15, 0),
                                ByAge.cappedAt(730),
                                "Worn shafts and bushings grow loud, then stop."),
                        part(
                                1095,
                                365,
                                1825,
                                effort(15, 0, Material.IMPELLER_SET),
                                "Worn together, changed together."));
            case SEALS ->
                List.of(
                        rule(
                                INSPECT,
                                days(365, 180, 487),
                                effort(10, 0, Material.GREASE),
                                ByAge.cappedAt(487),
                                "A dry or flat seal drips."),
                        part(730, 365, 1460, effort(15, 0, Material.SEAL_RINGS), "Old rubber goes flat and hard."));
            case HOSES ->
                List.of(
                        rule(
                                BRUSH,
                                days(180, 60, 365),
                                effort(20, 0, Material.HOSE_BRUSH),
                                Graded.of(1.5, 365),
                                "Growth in the hoses takes flow without a sign in the filter."),
                        part(1460, 730, 2190, effort(25, 0, Material.HOSE), "Old hose stiffens, kinks and lets go."));
            case RETURN_PUMP ->
                List.of(
                        rule(
                                DESCALE,
                                days(180, 90, 365),
                                effort(30, 0, Material.VINEGAR, Material.BUCKET),
                                ByAge.cappedAt(365),
                                "Lime slows the rotor and heats the pump."),
                        part(
                                1095,
                                365,
                                1825,
                                effort(20, 0, Material.IMPELLER_SET),
                                "A worn rotor grows loud, then stops."));
            case OVERFLOW ->
                List.of(rule(
                        CLEAR,
                        days(30, 14, 90),
                        effort(3, 0, Material.SOFT_BRUSH),
                        Graded.of(1.5, 90),
                        "A blocked weir floods the floor."));
            case SETTLING ->
                List.of(rule(
                        SIPHON,
                        days(30, 14, 90),
                        effort(10, 0, Material.SIPHON, Material.BUCKET),
                        Graded.of(1, 120),
                        "Dirt that lies there becomes nitrate."));
            case SKIMMER ->
                List.of(rule(
                        CLEAN,
                        days(30, 14, 90),
                        effort(10, 0, Material.SOFT_BRUSH),
                        ByAge.cappedAt(90),
                        "Scum on its neck keeps foam from rising, and salt shuts its air inlet."));
            case REFUGIUM ->
                List.of(rule(
                        CLEAR,
                        days(30, 14, 90),
                        effort(10, 0, Material.BUCKET),
                        Graded.of(2, 90),
                        "Growth that is thinned takes up more, and stays out of the pump."));
            case TOP_OFF ->
                List.of(rule(
                        TEST,
                        days(30, 14, 90),
                        effort(3, 0),
                        ByAge.cappedAt(90),
                        "A float that sticks floods the floor or lets the pump run dry."));
            case SURFACE_SKIMMER ->
                List.of(rule(
                        CLEAR,
                        days(14, 5, 60),
                        effort(5, 0, Material.SOFT_BRUSH),
                        Graded.of(1, 60),
                        "Leaves and slime hold its float down, and it draws air."));
            case OUTLET ->
                List.of(rule(
                        BRUSH,
                        days(60, 30, 180),
                        effort(8, 0, Material.HOSE_BRUSH),
                        Graded.of(1.5, 180),
                        "Holes that grow shut take flow without a sign in the filter."));
            case BAFFLE ->
                List.of(rule(
                        CLEAR,
                        days(21, 7, 90),
                        effort(4, 0, Material.SOFT_BRUSH),
                        Graded.of(1, 90),
                        "Full of slime, it throws the water back into the box."));
            case PLANTS ->
                List.of(rule(
                        CLEAR,
                        days(45, 14, 120),
                        effort(8, 0, Material.SCISSORS),
                        ByAge.cappedAt(120),
                        "Roots grow into the pump and stop it."));
            case VALVES ->
                List.of(
                        rule(
                                INSPECT,
                                days(365, 180, 730),
                                effort(5, 0),
                                ByAge.cappedAt(730),
                                "A valve that does not hold empties the tank onto the floor."),
                        part(1825, 730, 2555, effort(25, 0, Material.VALVES), "Old valves stiffen, then break."));
            case CLIPS ->
                List.of(
                        rule(
                                INSPECT,
                                days(90, 30, 365),
                                effort(4, 0),
                                ByAge.cappedAt(365),
                                "A slack clip drips, a slack cup lets the filter drop."),
                        part(
                                730,
                                365,
                                1460,
                                effort(10, 0, Material.CLIPS),
                                "Rubber hardens and clips lose their spring."));
        };
    }

    /** Answers the rule for one action on one stage, empty if the stage does not bring that action. */
    public static Optional<CareRule> find(Stage stage, CareAction action, Schools schools) {
        return forStage(stage, schools).stream()
                .filter(rule -> rule.action() == action)
                .findFirst();
    }

    /** Answers the rule for one action on a whole filter, empty if that kind does not bring it. */
    public static Optional<CareRule> find(FilterKind kind, CareAction action, Schools schools) {
        return forFilter(kind, schools).stream()
                .filter(rule -> rule.action() == action)
                .findFirst();
    }

    /** Whether a stage's task is done whenever its canister is opened, and so needs no date of its own. */
    public static boolean goesWithOpening(FilterKind filter, StageKind stage, CareAction action) {
        return filter == FilterKind.CANISTER && stage.stopsDirtInside() && action != REPLACE;
    }

    private static CareRule opening(OpeningSchool school) {
        int start = school == OpeningSchool.MAKERS_CALENDAR ? MAKERS_OPENING_DAYS : 90;
        Effort effort = new Effort(35, 15, 1, List.of(Material.THREE_BUCKETS, Material.GLOVES));
        return rule(
                OPEN,
                days(start, 30, 300),
                effort,
                Graded.withFlow(3, 0.65, 365),
                "Opened when its foam and pad ask for it, no sooner.");
    }

    private static CareRule sock(SockSchool school) {
        Effort effort = effort(5, 0, Material.SOCK);
        return school == SockSchool.NUTRIENT_EXPORT
                ? rule(CHANGE, days(4, 2, 7), effort, Graded.of(1, 21), "Dirt taken out early never becomes nitrate.")
                : rule(CHANGE, days(14, 4, 28), effort, Graded.of(1, 28), "Changed before it overflows.");
    }

    private static CareRule cartridge(Stage.Make make) {
        String why = "Its carbon fills unseen, and its pad shuts like any fine pad.";
        return make == Stage.Make.WASHABLE
                ? rule(
                        REBUILD,
                        days(30, 14, 56),
                        effort(15, 1, Material.LOOSE_CARBON, Material.SCISSORS),
                        ByAge.cappedAt(56),
                        why)
                : rule(CHANGE, days(30, 14, 56), effort(5, 1, Material.CARTRIDGE), ByAge.cappedAt(56), why);
    }

    private static List<CareRule> finePad(Stage.Make make) {
        Graded learning = Graded.withFlow(1.5, 0.60, 105);
        return make == Stage.Make.DISPOSABLE
                ? List.of(rule(
                        CHANGE,
                        days(21, 7, 60),
                        effort(5, 0, Material.FINE_PAD),
                        learning,
                        "The finest stage shuts first."))
                : List.of(
                        rule(
                                RINSE,
                                days(21, 7, 60),
                                effort(6, 1, Material.BUCKET),
                                learning,
                                "The finest stage shuts first."),
                        rule(
                                REPLACE,
                                days(210, 60, 1095),
                                effort(5, 1, Material.FINE_PAD),
                                new Learning.ByRinses(10),
                                "Each rinse leaves some silt in it and some of its spring."));
    }

    private static CareRule rule(CareAction action, Days days, Effort effort, Learning learning, String why) {
        return new CareRule(action, days.start, new Bounds(days.least, days.most), effort, learning, why);
    }

    /** An interval to start with, and how far learning may move it. */
    private record Days(int start, int least, int most) {}

    private static Days days(int start, int least, int most) {
        return new Days(start, least, most);
    }

    /** A part of the machine that is changed for its age, or once a look finds it worn. */
    private static CareRule part(int start, int least, int most, Effort effort, String why) {
        return rule(REPLACE, days(start, least, most), effort, ByAge.cappedAt(most), why);
    }

    private static Effort effort(int minutes, int disturbance, Material... carry) {
        return new Effort(minutes, 0, disturbance, List.of(carry));
    }
}
