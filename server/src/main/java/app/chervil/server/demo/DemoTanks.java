package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage.Make;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.TaskMode;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.trial.Design;
import app.chervil.core.trial.Way;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.demo.FilterStory.Ending;
import app.chervil.server.filter.FilterInput;
import app.chervil.server.filter.FilterInput.Rating;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.TaskSettingInput;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.trial.TrialInput;
import app.chervil.server.trial.TrialOperations;
import app.chervil.server.visit.ServiceOperations;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The tanks of Tern House. All days are counted back from the day the demo is loaded. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoTanks extends DemoBuilding {
    private static final int BLOW_OFF_BEGAN_DAYS_AGO = 270;
    private static final int WEIR_PREFILTER_DAYS_AGO = 430;
    /** Five fortnights and some days. */
    private static final int TRIAL_BEGAN_DAYS_AGO = 79;

    private static final double SOCK_FULL_AFTER_DAYS = 5.5;

    private final TrialOperations trials;

    DemoTanks(
            TankOperations tanks,
            FilterOperations filters,
            ServiceOperations services,
            DemoUpkeep upkeep,
            DemoWater water,
            TrialOperations trials) {
        super(tanks, filters, services, upkeep, water);
        this.trials = trials;
    }

    /** Marine; its sock is two days late, and two intervals of it are being tried. Since rock is blown off on Fridays, phosphate has fallen. */
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
        Filter sump = filters.create(
                who,
                tank,
                new FilterInput(
                        "Undertow",
                        FilterKind.SUMP,
                        null,
                        new Rating(2400d, 35d, 3.2, 1.1),
                        years(4),
                        begin(),
                        List.of(
                                stage(OVERFLOW),
                                stage(SOCK),
                                stage(SETTLING),
                                media(BIO_MEDIA, 6000, years(4)),
                                stage(RETURN_PUMP),
                                stage(HOSES))));
        Design trial = new Design(ago(TRIAL_BEGAN_DAYS_AGO), 14, 8, List.of(Way.every(3), Way.every(6)));
        DemoDiary diary = kept(
                who,
                tank,
                begin(),
                new FilterStory(sump, 1790)
                        .fills(SOCK, SOCK_FULL_AFTER_DAYS)
                        .tries(SOCK, trial)
                        .ends(CareAction.CHANGE, SOCK, Ending.TWO_DAYS_LATE));
        LocalDate began = ago(BLOW_OFF_BEGAN_DAYS_AGO);
        List<LocalDate> blownOff = diary.days().stream()
                .filter(day -> day.getDayOfWeek() == DayOfWeek.FRIDAY && day.isAfter(began))
                .toList();
        blownOff.forEach(day -> diary.note(day, "Detritus blown off the rock first."));
        diary.note(120, "Lime on the rotor; ran quieter after.");
        save(who, diary);
        FilterTask sock = sump.tasks().stream()
                .filter(task -> task.action() == CareAction.CHANGE)
                .findFirst()
                .orElseThrow();
        Nature nature = new Nature(4, 0.03, 0.12, 8.1, 14, true)
                .blownOff(blownOff)
                .caughtBy(diary.daysOf(sock), SOCK_FULL_AFTER_DAYS, trial);
        water.live(who, tank, nature, DemoUpkeep.HISTORY_DAYS, 5);
        trials.begin(
                who,
                UUID.nameUUIDFromBytes("sock trial".getBytes(StandardCharsets.UTF_8)),
                new TrialInput(
                        sock.id(),
                        Parameter.NITRATE,
                        trial.began(),
                        trial.periodDays(),
                        trial.periods(),
                        trial.ways().stream().map(way -> way.days().orElse(0)).toList()));
    }

    /** Cold fresh; its canister learned a long interval once it had a pre-filter, which is due. */
    void brookBench(SignedIn who) {
        long tank = tank(
                who,
                "Brook bench",
                "Wet lab",
                220,
                years(3),
                WaterKind.COLD_FRESH,
                new Keeping(Stocking.NORMAL, Feeding.NORMAL, BacteriaHome.MEDIA, SockSchool.CLARITY));
        Filter weir = filters.create(
                who,
                tank,
                new FilterInput(
                        "Weir",
                        FilterKind.CANISTER,
                        FlowDirection.BOTTOM_UP,
                        new Rating(900d, 16d, 1.8, 0.9),
                        years(3),
                        begin(),
                        List.of(
                                stage(STRAINER),
                                stage(PREFILTER_SPONGE),
                                stage(HOSES),
                                foam(COARSE_FOAM),
                                foam(MEDIUM_FOAM),
                                disposable(FINE_PAD),
                                media(BIO_MEDIA, 1400, years(3)),
                                stage(IMPELLER),
                                stage(SEALS))));
        LocalDate added = ago(WEIR_PREFILTER_DAYS_AGO);
        prefilterAdded(who, weir, added);
        DemoDiary diary = kept(
                who,
                tank,
                begin(),
                new FilterStory(weir, 880)
                        .since(PREFILTER_SPONGE, added)
                        .fills(COARSE_FOAM, 90)
                        .fills(MEDIUM_FOAM, 120)
                        .fills(FINE_PAD, 85)
                        .fills(PREFILTER_SPONGE, 19)
                        .measured(1)
                        .ends(CareAction.RINSE, PREFILTER_SPONGE, Ending.DUE_TODAY)
                        .ends(CareAction.OPEN, null, Ending.ABOUT_150_DAYS));
        diary.note(added, "Pre-filter put on the intake.");
        diary.note(160, "Impeller and seals while it was open.");
        save(who, diary);
        water.live(who, tank, new Nature(5, 0.12, 0.25, 7.4, 16, false), DemoUpkeep.HISTORY_DAYS, 3);
        described(who, weir.id(), DemoPassports.weir());
    }

    /** Warm fresh; its floss was seen bypassing twice, its cartridge is rebuilt, its resin used only when needed. */
    void blackwaterNook(SignedIn who) {
        long tank = tank(
                who,
                "Blackwater nook",
                "Gallery",
                96,
                years(2),
                WaterKind.FRESH,
                new Keeping(Stocking.NORMAL, Feeding.NORMAL, BacteriaHome.BOTH, SockSchool.CLARITY));
        Filter tannin = filters.create(
                who,
                tank,
                new FilterInput(
                        "Tannin",
                        FilterKind.HANG_ON_BACK,
                        null,
                        new Rating(420d, 5d, 0.6, 0.2),
                        years(2),
                        begin(),
                        List.of(
                                stage(STRAINER),
                                stage(IMPELLER),
                                foam(COARSE_FOAM),
                                disposable(FLOSS),
                                new StageInput(
                                        null,
                                        CARTRIDGE,
                                        "",
                                        1,
                                        null,
                                        Make.WASHABLE,
                                        false,
                                        begin(),
                                        "95 x 130 mm",
                                        null),
                                media(BIO_MEDIA, 350, years(2)),
                                new StageInput(null, RESIN, "", 1, 100d, Make.WASHABLE, true, ago(300), null, null))));
        tannin.tasks().stream()
                .filter(task -> task.action() == CareAction.REGENERATE)
                .forEach(task ->
                        filters.setTask(who, task.id(), new TaskSettingInput(task.version(), TaskMode.OFF, null)));
        DemoDiary diary = kept(
                who,
                tank,
                begin(),
                new FilterStory(filters.find(who, tannin.id()), 380)
                        .fills(FLOSS, 15)
                        .fills(COARSE_FOAM, 70)
                        .ends(CareAction.CHANGE, FLOSS, Ending.DUE_TODAY));
        diary.note(59, "Water ran over the bypass slot, foam slimy.");
        diary.note(190, "Bypassing; packed too tight, one floss taken out.");
        diary.note(24, "Cartridge rebuilt with loose carbon, no new one bought.");
        save(who, diary);
        water.live(who, tank, new Nature(3, 0.08, 0.3, 6.4, 25, false), DemoUpkeep.HISTORY_DAYS, 3);
    }
}
