package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;
import static app.chervil.core.interval.Finding.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage.Make;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.filter.FilterInput;
import app.chervil.server.filter.FilterInput.Rating;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.FilterView;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.ServiceOperations;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** More tanks of Tern House: a weak flow, brackish water with a lamp, and one six weeks old. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoFurtherTanks extends DemoBuilding {
    DemoFurtherTanks(TankOperations tanks, FilterOperations filters, ServiceOperations services, DemoWater water) {
        super(tanks, filters, services, water);
    }

    /** Marine, seahorses: a weak hang-on-back with a pre-filter, and an air sponge. */
    void eelgrassBed(SignedIn who) {
        long tank = tank(
                who,
                "Eelgrass bed",
                "Gallery",
                150,
                years(2),
                WaterKind.MARINE,
                new Keeping(Stocking.LIGHT, Feeding.NORMAL, BacteriaHome.BOTH, SockSchool.CLARITY));
        FilterView ripple = filters.create(
                who,
                tank,
                new FilterInput(
                        "Ripple",
                        FilterKind.HANG_ON_BACK,
                        null,
                        new Rating(350d, 4d, 0.5, 0.2),
                        years(2),
                        ago(150),
                        List.of(
                                stage(PREFILTER_SPONGE),
                                stage(IMPELLER),
                                foam(COARSE_FOAM),
                                new StageInput(null, FINE_PAD, "", 1, null, Make.DISPOSABLE, false, null, null, null),
                                media(BIO_MEDIA, 300, years(2)))));
        FilterView bellows = filters.create(
                who,
                tank,
                new FilterInput(
                        "Bellows",
                        FilterKind.AIR_SPONGE,
                        null,
                        new Rating(null, 3d, null, null),
                        years(2),
                        ago(150),
                        List.of(stage(SPONGE), stage(AIR_LINE))));
        DemoLog log = log(who, tank, ripple);
        log.spaced(150, 11, 5, day -> log.at(day)
                .found(CareAction.RINSE, PREFILTER_SPONGE, log.pick(MODERATE, MODERATE, HEAVY))
                .minutes(6)
                .save());
        log.spaced(150, 34, 12, day -> log.at(day)
                .found(CareAction.CHANGE, FINE_PAD, MODERATE)
                .minutes(6)
                .save());
        log.at(40).found(CareAction.RINSE, COARSE_FOAM, MODERATE).minutes(9).save();
        log.at(20)
                .done(CareAction.INSPECT, null)
                .done(CareAction.CLEAN, IMPELLER)
                .minutes(14)
                .save();
        DemoLog air = log(who, tank, bellows);
        air.spaced(150, 24, 6, day -> air.at(day)
                .found(CareAction.SQUEEZE, SPONGE, air.pick(MODERATE, LIGHT, MODERATE))
                .minutes(9)
                .save());
        air.at(35)
                .done(CareAction.INSPECT, null)
                .done(CareAction.CLEAN, AIR_LINE)
                .minutes(8)
                .save();
        water.weekly(who, tank, 150, new Nature(2.5, 0.15, 8.1, 18, true), 119, 4);
    }

    /** Brackish; a canister opened yesterday, and one with a UV lamp of unknown age. */
    void mangroveEdge(SignedIn who) {
        long tank = tank(
                who,
                "Mangrove edge",
                "Gallery",
                310,
                years(5),
                WaterKind.BRACKISH,
                new Keeping(Stocking.NORMAL, Feeding.NORMAL, BacteriaHome.MEDIA, SockSchool.CLARITY));
        FilterView creek = filters.create(
                who,
                tank,
                new FilterInput(
                        "Creek",
                        FilterKind.CANISTER,
                        FlowDirection.TOP_DOWN,
                        new Rating(1100d, 18d, 2.0, 1.0),
                        years(5),
                        ago(200),
                        List.of(
                                stage(PREFILTER_SPONGE),
                                stage(HOSES),
                                foam(COARSE_FOAM),
                                new StageInput(null, FINE_PAD, "", 1, null, Make.DISPOSABLE, false, null, null, null),
                                media(BIO_MEDIA, 2000, years(5)),
                                stage(IMPELLER),
                                stage(SEALS))));
        FilterView lagoon = filters.create(
                who,
                tank,
                new FilterInput(
                        "Lagoon",
                        FilterKind.CANISTER,
                        FlowDirection.BOTTOM_UP,
                        new Rating(900d, 25d, 1.8, 1.0),
                        years(5),
                        ago(100),
                        List.of(
                                stage(STRAINER),
                                stage(HOSES),
                                foam(COARSE_FOAM),
                                media(BIO_MEDIA, 1600, years(5)),
                                new StageInput(
                                        null,
                                        UV_LAMP,
                                        "",
                                        2,
                                        null,
                                        Make.DISPOSABLE,
                                        false,
                                        ago(340),
                                        "9 W, 2 pins",
                                        null),
                                stage(UV_SLEEVE),
                                stage(IMPELLER),
                                stage(SEALS))));
        DemoLog log = log(who, tank, creek);
        log.spaced(200, 12, 3, day -> log.at(day)
                .found(CareAction.RINSE, PREFILTER_SPONGE, log.pick(MODERATE, HEAVY, MODERATE))
                .minutes(6)
                .save());
        log.at(110)
                .done(CareAction.OPEN, null)
                .found(CareAction.RINSE, COARSE_FOAM, LIGHT)
                .flow(930, 1040)
                .minutes(48)
                .save();
        log.at(1)
                .done(CareAction.OPEN, null)
                .found(CareAction.RINSE, COARSE_FOAM, MODERATE)
                .found(CareAction.CHANGE, FINE_PAD, MODERATE)
                .found(CareAction.DIP, BIO_MEDIA, LIGHT)
                .flow(820, 1030)
                .minutes(55)
                .save();
        log.at(60).done(CareAction.INSPECT, null).minutes(5).save();
        DemoLog other = log(who, tank, lagoon);
        other.at(40)
                .done(CareAction.OPEN, null)
                .found(CareAction.RINSE, COARSE_FOAM, LIGHT)
                .found(CareAction.CLEAN, UV_SLEEVE, MODERATE)
                .flow(690, 780)
                .minutes(52)
                .save();
        other.at(30)
                .done(CareAction.INSPECT, null)
                .found(CareAction.CLEAR, STRAINER, LIGHT)
                .minutes(8)
                .save();
        water.weekly(who, tank, 310, new Nature(6, 0.25, 7.9, 26, false), 116, 4);
    }

    /** Fresh, six weeks old: its bacteria are still settling. */
    void newtNursery(SignedIn who) {
        long tank = tank(
                who,
                "Newt nursery",
                "Wet lab",
                60,
                ago(42),
                WaterKind.FRESH,
                new Keeping(Stocking.LIGHT, Feeding.LIGHT, BacteriaHome.MEDIA, SockSchool.CLARITY));
        FilterView puff = filters.create(
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
        log(who, tank, puff).at(20).done(CareAction.INSPECT, null).minutes(5).save();
        water.weekly(who, tank, 60, new Nature(1.5, 0.2, 7.3, 19, false), 24, 3);
        water.read(who, tank, 2, List.of(DemoWater.early(Parameter.NITRITE, 0)));
    }
}
