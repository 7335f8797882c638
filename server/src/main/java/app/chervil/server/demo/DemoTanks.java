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
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.filter.FilterInput;
import app.chervil.server.filter.FilterInput.Rating;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.FilterView;
import app.chervil.server.filter.TaskMode;
import app.chervil.server.filter.TaskSettingInput;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.ServiceOperations;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The tanks of Tern House. All days are counted back from the day the demo is loaded. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoTanks extends DemoBuilding {
    DemoTanks(TankOperations tanks, FilterOperations filters, ServiceOperations services, DemoWater water) {
        super(tanks, filters, services, water);
    }

    /** Marine; its sock is two days late. */
    void rockPool(SignedIn who) {
        long tank = tank(
                who,
                "Rock pool",
                "Wet lab",
                380,
                years(4),
                WaterKind.MARINE,
                new Keeping(
                        Stocking.NORMAL, Feeding.NORMAL, BacteriaHome.SUBSTRATE_AND_ROCK, SockSchool.NUTRIENT_EXPORT));
        FilterView sump = filters.create(
                who,
                tank,
                new FilterInput(
                        "Undertow",
                        FilterKind.SUMP,
                        null,
                        new Rating(2400d, 35d, 3.2, 1.1),
                        years(4),
                        ago(186),
                        List.of(
                                stage(OVERFLOW),
                                stage(SOCK),
                                stage(SETTLING),
                                media(BIO_MEDIA, 6000, years(4)),
                                stage(RETURN_PUMP),
                                stage(HOSES))));
        DemoLog log = log(who, tank, sump);
        log.spaced(186, 4, 7, day -> log.at(day)
                .found(CareAction.CHANGE, SOCK, log.pick(MODERATE, HEAVY, HEAVY))
                .minutes(5)
                .save());
        log.at(84).found(CareAction.BRUSH, HOSES, LIGHT).minutes(24).save();
        log.at(120)
                .done(CareAction.DESCALE, RETURN_PUMP)
                .flow(1510, 1790)
                .minutes(34)
                .note("Lime on the rotor; ran quieter after.")
                .save();
        log.at(75).found(CareAction.DIP, BIO_MEDIA, LIGHT).minutes(14).save();
        log.at(40).done(CareAction.INSPECT, null).minutes(5).save();
        water.weekly(who, tank, 380, new Nature(4, 0.12, 8.1, 14, true), 180, 5);
    }

    /** Cold fresh; its canister learned a long interval, its pre-filter is due. */
    void brookBench(SignedIn who) {
        long tank = tank(
                who,
                "Brook bench",
                "Wet lab",
                220,
                years(3),
                WaterKind.COLD_FRESH,
                new Keeping(Stocking.NORMAL, Feeding.NORMAL, BacteriaHome.MEDIA, SockSchool.CLARITY));
        FilterView weir = filters.create(
                who,
                tank,
                new FilterInput(
                        "Weir",
                        FilterKind.CANISTER,
                        FlowDirection.BOTTOM_UP,
                        new Rating(900d, 16d, 1.8, 0.9),
                        years(3),
                        ago(302),
                        List.of(
                                stage(STRAINER),
                                stage(PREFILTER_SPONGE),
                                stage(HOSES),
                                foam(COARSE_FOAM),
                                foam(MEDIUM_FOAM),
                                new StageInput(null, FINE_PAD, "", 1, null, Make.DISPOSABLE, false, null, null, null),
                                media(BIO_MEDIA, 1400, years(3)),
                                stage(IMPELLER),
                                stage(SEALS))));
        DemoLog log = log(who, tank, weir);
        log.spaced(302, 12, 13, day -> log.at(day)
                .found(CareAction.RINSE, PREFILTER_SPONGE, log.pick(HEAVY, MODERATE, HEAVY))
                .minutes(6)
                .save());
        opened(log, 247, LIGHT, LIGHT, 790, 870);
        opened(log, 160, LIGHT, LIGHT, 770, 880);
        opened(log, 45, LIGHT, MODERATE, 720, 875);
        log.at(160)
                .done(CareAction.CLEAN, IMPELLER)
                .done(CareAction.INSPECT, SEALS)
                .found(CareAction.DIP, BIO_MEDIA, LIGHT)
                .minutes(22)
                .note("Impeller and seals while it was open.")
                .save();
        log.at(96).found(CareAction.BRUSH, HOSES, MODERATE).minutes(18).save();
        log.at(60)
                .done(CareAction.INSPECT, null)
                .found(CareAction.CLEAR, STRAINER, LIGHT)
                .minutes(7)
                .save();
        log.at(20).found(CareAction.CLEAR, STRAINER, LIGHT).minutes(3).save();
        water.weekly(who, tank, 220, new Nature(5, 0.25, 7.4, 16, false), 297, 3);
    }

    /** Warm fresh; its floss was seen bypassing twice, its resin is used only when needed. */
    void blackwaterNook(SignedIn who) {
        long tank = tank(
                who,
                "Blackwater nook",
                "Gallery",
                96,
                years(2),
                WaterKind.FRESH,
                new Keeping(Stocking.NORMAL, Feeding.NORMAL, BacteriaHome.BOTH, SockSchool.CLARITY));
        FilterView tannin = filters.create(
                who,
                tank,
                new FilterInput(
                        "Tannin",
                        FilterKind.HANG_ON_BACK,
                        null,
                        new Rating(420d, 5d, 0.6, 0.2),
                        years(2),
                        ago(190),
                        List.of(
                                stage(STRAINER),
                                stage(IMPELLER),
                                foam(COARSE_FOAM),
                                new StageInput(null, FLOSS, "", 1, null, Make.DISPOSABLE, false, null, null, null),
                                new StageInput(
                                        null,
                                        CARTRIDGE,
                                        "",
                                        1,
                                        null,
                                        Make.WASHABLE,
                                        false,
                                        ago(24),
                                        "95 x 130 mm",
                                        null),
                                media(BIO_MEDIA, 350, years(2)),
                                new StageInput(null, RESIN, "", 1, 100d, Make.WASHABLE, true, ago(300), null, null))));
        tannin.tasks().stream()
                .filter(task -> task.action() == CareAction.REGENERATE)
                .forEach(task ->
                        filters.setTask(who, task.id(), new TaskSettingInput(task.version(), TaskMode.OFF, null)));
        DemoLog log = log(who, tank, tannin);
        log.spaced(190, 21, 16, day -> log.at(day)
                .found(CareAction.CHANGE, FLOSS, log.pick(MODERATE, HEAVY, MODERATE))
                .minutes(6)
                .save());
        log.at(16)
                .found(CareAction.CHANGE, FLOSS, CLOGGED)
                .minutes(7)
                .note("Water ran over the bypass slot.")
                .save();
        log.at(7).found(CareAction.CHANGE, FLOSS, HEAVY).minutes(6).save();
        log.at(128)
                .found(CareAction.RINSE, COARSE_FOAM, MODERATE)
                .flow(250, 380)
                .minutes(11)
                .save();
        log.at(59)
                .found(CareAction.RINSE, COARSE_FOAM, HEAVY)
                .found(CareAction.CHANGE, FLOSS, CLOGGED)
                .flow(210, 370)
                .minutes(15)
                .note("Bypassing again, foam slimy.")
                .save();
        log.at(70).found(CareAction.DIP, BIO_MEDIA, LIGHT).minutes(9).save();
        log.at(84)
                .done(CareAction.CLEAN, IMPELLER)
                .found(CareAction.CLEAR, STRAINER, LIGHT)
                .minutes(12)
                .save();
        log.at(30)
                .found(CareAction.CLEAR, STRAINER, MODERATE)
                .done(CareAction.INSPECT, null)
                .minutes(8)
                .save();
        water.weekly(who, tank, 96, new Nature(3, 0.3, 6.4, 25, false), 185, 3);
    }

    private static void opened(
            DemoLog log,
            int day,
            app.chervil.core.interval.Finding foam,
            app.chervil.core.interval.Finding pad,
            double before,
            double after) {
        log.at(day)
                .done(CareAction.OPEN, null)
                .found(CareAction.RINSE, COARSE_FOAM, foam)
                .found(CareAction.RINSE, MEDIUM_FOAM, LIGHT)
                .found(CareAction.CHANGE, FINE_PAD, pad)
                .flow(before, after)
                .minutes(46)
                .save();
    }
}
