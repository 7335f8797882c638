package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterTask;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.trial.Design;
import app.chervil.core.trial.Way;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.demo.FilterStory.Ending;
import app.chervil.server.trial.TrialInput;
import app.chervil.server.trial.TrialOperations;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Marine; its sock is two days late, and two intervals of it are being tried. Since rock is blown off on Fridays, phosphate has fallen. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(1)
class RockPool extends DemoTank {
    private static final int BLOW_OFF_BEGAN_DAYS_AGO = 270;
    /** Five fortnights and some days. */
    private static final int TRIAL_BEGAN_DAYS_AGO = 79;

    private static final double SOCK_FULL_AFTER_DAYS = 5.5;

    private final TrialOperations trials;

    RockPool(DemoBuilding building, TrialOperations trials) {
        super(building);
        this.trials = trials;
    }

    @Override
    public void live(SignedIn who) {
        long tank = building.tank(
                who,
                new TankDraft("Rock pool", "Wet lab", 380, WaterKind.MARINE, years(4))
                        .bacteriaIn(BacteriaHome.SUBSTRATE_AND_ROCK)
                        .socks(SockSchool.NUTRIENT_EXPORT));
        Filter sump = building.filters.create(
                who,
                tank,
                new FilterDraft("Undertow", FilterKind.SUMP)
                        .rated(2400, 35, 3.2, 1.1)
                        .fitted(
                                years(4),
                                begin(),
                                stage(OVERFLOW),
                                stage(SOCK),
                                stage(SETTLING),
                                media(BIO_MEDIA, 6000, years(4)),
                                stage(RETURN_PUMP),
                                stage(HOSES)));
        Design trial = new Design(ago(TRIAL_BEGAN_DAYS_AGO), 14, 8, List.of(Way.every(3), Way.every(6)));
        DemoDiary diary = building.kept(
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
        building.save(who, diary);
        FilterTask sock = sump.tasks().stream()
                .filter(task -> task.action() == CareAction.CHANGE)
                .findFirst()
                .orElseThrow();
        Nature nature = new Nature(4, 0.03, 0.12, 8.1, 14, true)
                .blownOff(blownOff)
                .caughtBy(diary.daysOf(sock), SOCK_FULL_AFTER_DAYS, trial);
        building.water.live(who, tank, nature, DemoUpkeep.HISTORY_DAYS, 5);
        begin(who, sock, trial);
    }

    private void begin(SignedIn who, FilterTask sock, Design trial) {
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
}
