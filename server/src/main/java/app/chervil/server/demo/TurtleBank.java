package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Sign;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.OwnStep;
import app.chervil.core.site.Filter;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.demo.FilterStory.Ending;
import app.chervil.server.filter.PassportInput;
import app.chervil.server.filter.PassportInput.OwnStepInput;
import app.chervil.server.interval.LookInput;
import app.chervil.server.interval.LookOperations;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Fresh, two rescued sliders, a heavy load: opened by the maker's calendar, its nitrate is high. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(7)
class TurtleBank extends DemoTank {
    private final LookOperations looks;

    TurtleBank(DemoBuilding building, LookOperations looks) {
        super(building);
        this.looks = looks;
    }

    @Override
    public void live(SignedIn who) {
        long tank = building.tank(
                who,
                new TankDraft("Turtle bank", "Gallery", 450, WaterKind.FRESH, years(6))
                        .stocked(Stocking.OVER, Feeding.HEAVY)
                        .opened(OpeningSchool.MAKERS_CALENDAR)
                        .of(Animals.TURTLES));
        Filter mudlark = building.filters.create(
                who,
                tank,
                new FilterDraft("Mudlark", FilterKind.CANISTER)
                        .flowing(FlowDirection.BOTTOM_UP)
                        .rated(1600, 30, 2.4, 1.2)
                        .fitted(
                                years(6),
                                begin(),
                                stage(PREFILTER_SPONGE),
                                stage(HOSES),
                                foam(COARSE_FOAM),
                                foam(MEDIUM_FOAM),
                                media(BIO_MEDIA, 3200, years(6)),
                                stage(IMPELLER),
                                stage(SEALS)));
        DemoDiary diary = building.kept(
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
        building.save(who, diary);
        seen(who, mudlark, IMPELLER, 211, Sign.WORN);
        seen(who, mudlark, IMPELLER, 209, Sign.SOUND);
        seen(who, mudlark, SEALS, 151, Sign.WORN);
        seen(who, mudlark, SEALS, 149, Sign.SOUND);
        building.water.live(who, tank, new Nature(16, 0.4, 0.35, 7.2, 26, false), DemoUpkeep.HISTORY_DAYS, 3);
        building.described(who, mudlark.id(), passport());
    }

    private void seen(SignedIn who, Filter filter, StageKind kind, int daysAgo, Sign sign) {
        filter.stages().stream()
                .filter(stage -> stage.kind() == kind)
                .forEach(stage -> looks.save(
                        who,
                        UUID.nameUUIDFromBytes(("look " + stage.id() + " " + daysAgo).getBytes(StandardCharsets.UTF_8)),
                        new LookInput(stage.id(), ago(daysAgo), sign, null)));
    }

    /** Bottom-up and heavy; it is carried out of its cupboard. */
    private static PassportInput passport() {
        PassportInput heavy = DemoPassports.canister(
                Build.Fill.OPEN_TOP,
                Build.Pump.HEAD,
                List.of(new OwnStepInput(OwnStep.Moment.STOP, true, "See that both sliders are away from the intake.")),
                DemoPassports.tray("the top tray", true, 6, DemoPassports.loose(4, 3.4, 16)),
                DemoPassports.tray("the foam tray", false, 6, DemoPassports.sheet(3), DemoPassports.sheet(2)));
        return new PassportInput(
                heavy.shutOff(),
                heavy.fill(),
                Build.Purge.AT_START,
                heavy.purgesADay(),
                heavy.ports(),
                heavy.latches(),
                heavy.wiggle(),
                heavy.pump(),
                heavy.ventTube(),
                true,
                true,
                false,
                2.4,
                19.0,
                heavy.heater(),
                heavy.lamp(),
                heavy.dryGripSock(),
                "Lid ring, impeller",
                heavy.chambers(),
                heavy.ownSteps());
    }
}
