package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.OwnStep;
import app.chervil.core.site.Filter;
import app.chervil.core.tank.WaterKind;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.demo.FilterStory.Ending;
import app.chervil.server.filter.PassportInput;
import app.chervil.server.filter.PassportInput.OwnStepInput;
import java.time.LocalDate;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Cold fresh; its canister learned a long interval once it had a pre-filter, which is due. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(2)
class BrookBench extends DemoTank {
    private static final int WEIR_PREFILTER_DAYS_AGO = 430;

    BrookBench(DemoBuilding building) {
        super(building);
    }

    @Override
    public void live(SignedIn who) {
        long tank = building.tank(who, new TankDraft("Brook bench", "Wet lab", 220, WaterKind.COLD_FRESH, years(3)));
        Filter weir = building.filters.create(
                who,
                tank,
                new FilterDraft("Weir", FilterKind.CANISTER)
                        .flowing(FlowDirection.BOTTOM_UP)
                        .rated(900, 16, 1.8, 0.9)
                        .fitted(
                                years(3),
                                begin(),
                                stage(STRAINER),
                                stage(PREFILTER_SPONGE),
                                stage(HOSES),
                                foam(COARSE_FOAM),
                                foam(MEDIUM_FOAM),
                                disposable(FINE_PAD),
                                media(BIO_MEDIA, 1400, years(3)),
                                stage(IMPELLER),
                                stage(SEALS)));
        LocalDate added = ago(WEIR_PREFILTER_DAYS_AGO);
        building.prefilterAdded(who, weir, added);
        DemoDiary diary = building.kept(
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
        building.save(who, diary);
        building.water.live(who, tank, new Nature(5, 0.12, 0.25, 7.4, 16, false), DemoUpkeep.HISTORY_DAYS, 3);
        building.described(who, weir.id(), passport());
    }

    /** Bottom-up: foams and pad share the bottom tray, the media has two trays above. */
    private static PassportInput passport() {
        return DemoPassports.canister(
                Build.Fill.OPEN_TOP,
                Build.Pump.HEAD,
                List.of(new OwnStepInput(OwnStep.Moment.OPEN, false, "Lay the head on its towel, impeller up.")),
                DemoPassports.tray("the top tray", true, 4, DemoPassports.bag(6, 1.6)),
                DemoPassports.tray(
                        "the bottom tray",
                        false,
                        4,
                        DemoPassports.sheet(5),
                        DemoPassports.sheet(4),
                        DemoPassports.sheet(3)));
    }
}
