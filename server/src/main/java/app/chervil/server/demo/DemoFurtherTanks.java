package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage.Make;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Sign;
import app.chervil.core.site.Filter;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.demo.FilterStory.Ending;
import app.chervil.server.filter.FilterInput;
import app.chervil.server.filter.FilterInput.Rating;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.interval.LookInput;
import app.chervil.server.interval.LookOperations;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.ServiceOperations;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** More tanks of Tern House: a weak flow, brackish water with a lamp, one six weeks old, and a heavy load. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoFurtherTanks extends DemoBuilding {
    private static final int RIPPLE_PREFILTER_DAYS_AGO = 280;
    private static final int HALF_REPLACED_DAYS_AGO = 75;

    private final LookOperations looks;

    DemoFurtherTanks(
            TankOperations tanks,
            FilterOperations filters,
            ServiceOperations services,
            DemoUpkeep upkeep,
            DemoWater water,
            LookOperations looks) {
        super(tanks, filters, services, upkeep, water);
        this.looks = looks;
    }

    /** Marine, seahorses: a weak hang-on-back whose pads last longer since it has a pre-filter, and an air sponge. */
    void eelgrassBed(SignedIn who) {
        long tank = tank(
                who,
                "Eelgrass bed",
                "Gallery",
                150,
                years(2),
                WaterKind.MARINE,
                new Keeping(Stocking.LIGHT, Feeding.NORMAL, BacteriaHome.BOTH, SockSchool.CLARITY)
                        .of(Animals.SEAHORSES));
        Filter ripple = filters.create(
                who,
                tank,
                new FilterInput(
                        "Ripple",
                        FilterKind.HANG_ON_BACK,
                        null,
                        new Rating(350d, 4d, 0.5, 0.2),
                        years(2),
                        begin(),
                        List.of(
                                stage(PREFILTER_SPONGE),
                                stage(IMPELLER),
                                foam(COARSE_FOAM),
                                disposable(FINE_PAD),
                                media(BIO_MEDIA, 300, years(2)))));
        Filter bellows = filters.create(
                who,
                tank,
                new FilterInput(
                        "Bellows",
                        FilterKind.AIR_SPONGE,
                        null,
                        new Rating(null, 3d, null, null),
                        years(2),
                        begin(),
                        List.of(stage(SPONGE), stage(AIR_LINE))));
        LocalDate added = ago(RIPPLE_PREFILTER_DAYS_AGO);
        prefilterAdded(who, ripple, added);
        DemoDiary diary = kept(
                who,
                tank,
                begin(),
                new FilterStory(ripple, 320)
                        .since(PREFILTER_SPONGE, added)
                        .fills(FINE_PAD, 26)
                        .fills(COARSE_FOAM, 95)
                        .ends(CareAction.RINSE, PREFILTER_SPONGE, Ending.DUE_TOMORROW),
                new FilterStory(bellows, 0));
        diary.note(added, "Pre-filter put on the intake.");
        save(who, diary);
        water.live(who, tank, new Nature(2.5, 0.02, 0.15, 8.1, 18, true), DemoUpkeep.HISTORY_DAYS, 4);
    }

    /** Brackish; half its bio media was replaced, a canister opened yesterday, its lamps are of unknown age. */
    void mangroveEdge(SignedIn who) {
        long tank = tank(
                who,
                "Mangrove edge",
                "Gallery",
                310,
                years(5),
                WaterKind.BRACKISH,
                new Keeping(Stocking.NORMAL, Feeding.NORMAL, BacteriaHome.MEDIA, SockSchool.CLARITY));
        Filter creek = filters.create(
                who,
                tank,
                new FilterInput(
                        "Creek",
                        FilterKind.CANISTER,
                        FlowDirection.TOP_DOWN,
                        new Rating(1100d, 18d, 2.0, 1.0),
                        years(5),
                        begin(),
                        List.of(
                                stage(PREFILTER_SPONGE),
                                stage(HOSES),
                                foam(COARSE_FOAM),
                                disposable(FINE_PAD),
                                media(BIO_MEDIA, 2000, years(5)),
                                stage(IMPELLER),
                                stage(SEALS))));
        FilterInput withoutLamps = new FilterInput(
                "Lagoon",
                FilterKind.CANISTER,
                FlowDirection.BOTTOM_UP,
                new Rating(900d, 25d, 1.8, 1.0),
                years(5),
                begin(),
                List.of(
                        stage(STRAINER),
                        stage(HOSES),
                        foam(COARSE_FOAM),
                        media(BIO_MEDIA, 1600, years(5)),
                        stage(IMPELLER),
                        stage(SEALS)));
        Filter lagoon = filters.create(who, tank, withoutLamps);
        DemoDiary diary = kept(
                who,
                tank,
                begin(),
                new FilterStory(creek, 1040).fills(FINE_PAD, 210).ends(CareAction.OPEN, null, Ending.DONE_YESTERDAY),
                new FilterStory(lagoon, 790));
        diary.note(HALF_REPLACED_DAYS_AGO, "Half of the bio media exchanged, the rest kept beside it.");
        save(who, diary);
        water.replaced(who, tank, creek, 1800, HALF_REPLACED_DAYS_AGO);
        water.live(
                who,
                tank,
                new Nature(6, 0.1, 0.25, 7.9, 26, false).lost(Map.of(ago(HALF_REPLACED_DAYS_AGO), 0.5)),
                DemoUpkeep.HISTORY_DAYS,
                4);
        fitLamps(who, filters.find(who, lagoon.id()));
        described(who, creek.id(), DemoPassports.creek());
    }

    /** Two lamps behind one sleeve, entered today; nobody knows how old they are. */
    private void fitLamps(SignedIn who, Filter lagoon) {
        FilterInput before = FilterInput.of(lagoon);
        List<StageInput> stages = new ArrayList<>(before.stages());
        stages.add(4, new StageInput(null, UV_LAMP, "", 2, null, Make.DISPOSABLE, false, null, "9 W, 2 pins", null));
        stages.add(5, stage(UV_SLEEVE));
        filters.update(
                who,
                lagoon.id(),
                lagoon.version(),
                new FilterInput(
                        before.name(),
                        before.kind(),
                        before.direction(),
                        before.rating(),
                        before.fittedOn(),
                        null,
                        stages));
    }

    /** Fresh, six weeks old: its bacteria are still settling, and one test was read too early. */
    void newtNursery(SignedIn who) {
        long tank = tank(
                who,
                "Newt nursery",
                "Wet lab",
                60,
                ago(42),
                WaterKind.FRESH,
                new Keeping(Stocking.LIGHT, Feeding.LIGHT, BacteriaHome.MEDIA, SockSchool.CLARITY)
                        .of(Animals.AMPHIBIANS));
        Filter puff = filters.create(
                who,
                tank,
                new FilterInput(
                        "Puff",
                        FilterKind.AIR_SPONGE,
                        null,
                        new Rating(null, 3d, null, null),
                        ago(42),
                        ago(42),
                        List.of(stage(SPONGE), stage(AIR_LINE), media(BIO_MEDIA, 400, ago(42)))));
        DemoDiary diary = new DemoDiary(tank, tanks.today());
        puff.tasks().stream()
                .filter(task -> task.action() == CareAction.INSPECT)
                .forEach(task -> diary.did(ago(20), task, null));
        diary.note(ago(20), "Its media ran beside those of Brook bench for five weeks before.");
        save(who, diary);
        water.live(who, tank, new Nature(1.5, 0.05, 0.2, 7.3, 19, false), 24, 3);
        water.read(who, tank, 2, List.of(DemoWater.early(Parameter.NITRITE, 0)));
    }

    /** Fresh, two rescued sliders, a heavy load: opened by the maker's calendar, its nitrate is high. */
    void turtleBank(SignedIn who) {
        long tank = tank(
                who,
                "Turtle bank",
                "Gallery",
                450,
                years(6),
                WaterKind.FRESH,
                new Keeping(
                        Stocking.OVER,
                        Feeding.HEAVY,
                        BacteriaHome.MEDIA,
                        SockSchool.CLARITY,
                        OpeningSchool.MAKERS_CALENDAR,
                        Set.of(Animals.TURTLES)));
        Filter mudlark = filters.create(
                who,
                tank,
                new FilterInput(
                        "Mudlark",
                        FilterKind.CANISTER,
                        FlowDirection.BOTTOM_UP,
                        new Rating(1600d, 30d, 2.4, 1.2),
                        years(6),
                        begin(),
                        List.of(
                                stage(PREFILTER_SPONGE),
                                stage(HOSES),
                                foam(COARSE_FOAM),
                                foam(MEDIUM_FOAM),
                                media(BIO_MEDIA, 3200, years(6)),
                                stage(IMPELLER),
                                stage(SEALS))));
        DemoDiary diary = kept(
                who,
                tank,
                begin(),
                new FilterStory(mudlark, 1450)
                        .fills(COARSE_FOAM, 46)
                        .fills(MEDIUM_FOAM, 60)
                        .fills(PREFILTER_SPONGE, 9)
                        .ends(CareAction.RINSE, PREFILTER_SPONGE, Ending.DUE_TOMORROW));
        diary.note(310, "Flow down to a third, foam clean: the return hose was kinked. Straight again, flow back.");
        diary.note(210, "Impeller loud and worn, replaced.");
        diary.note(150, "Lid seal flat and weeping, replaced.");
        save(who, diary);
        seen(who, mudlark, IMPELLER, 211, Sign.WORN);
        seen(who, mudlark, IMPELLER, 209, Sign.SOUND);
        seen(who, mudlark, SEALS, 151, Sign.WORN);
        seen(who, mudlark, SEALS, 149, Sign.SOUND);
        water.live(who, tank, new Nature(16, 0.4, 0.35, 7.2, 26, false), DemoUpkeep.HISTORY_DAYS, 3);
        described(who, mudlark.id(), DemoPassports.mudlark());
    }

    private void seen(SignedIn who, Filter filter, StageKind kind, int daysAgo, Sign sign) {
        filter.stages().stream()
                .filter(stage -> stage.kind() == kind)
                .forEach(stage -> looks.save(
                        who,
                        UUID.nameUUIDFromBytes(("look " + stage.id() + " " + daysAgo).getBytes(StandardCharsets.UTF_8)),
                        new LookInput(stage.id(), ago(daysAgo), sign, null)));
    }
}
