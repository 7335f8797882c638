package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage.Make;
import app.chervil.core.passport.Build;
import app.chervil.core.site.Filter;
import app.chervil.core.tank.WaterKind;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.demo.FilterStory.Ending;
import app.chervil.server.filter.FilterInput;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.filter.PassportInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Brackish; half its bio media was replaced, a canister opened yesterday, its lamps are of unknown age. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(5)
class MangroveEdge extends DemoTank {
    private static final int HALF_REPLACED_DAYS_AGO = 75;

    MangroveEdge(DemoBuilding building) {
        super(building);
    }

    @Override
    public void live(SignedIn who) {
        long tank = building.tank(who, new TankDraft("Mangrove edge", "Gallery", 310, WaterKind.BRACKISH, years(5)));
        Filter creek = building.filters.create(
                who,
                tank,
                new FilterDraft("Creek", FilterKind.CANISTER)
                        .flowing(FlowDirection.TOP_DOWN)
                        .rated(1100, 18, 2.0, 1.0)
                        .fitted(
                                years(5),
                                begin(),
                                stage(PREFILTER_SPONGE),
                                stage(HOSES),
                                foam(COARSE_FOAM),
                                disposable(FINE_PAD),
                                media(BIO_MEDIA, 2000, years(5)),
                                stage(IMPELLER),
                                stage(SEALS)));
        FilterInput withoutLamps = new FilterDraft("Lagoon", FilterKind.CANISTER)
                .flowing(FlowDirection.BOTTOM_UP)
                .rated(900, 25, 1.8, 1.0)
                .fitted(
                        years(5),
                        begin(),
                        stage(STRAINER),
                        stage(HOSES),
                        foam(COARSE_FOAM),
                        media(BIO_MEDIA, 1600, years(5)),
                        stage(IMPELLER),
                        stage(SEALS));
        Filter lagoon = building.filters.create(who, tank, withoutLamps);
        DemoDiary diary = building.kept(
                who,
                tank,
                begin(),
                new FilterStory(creek, 1040).fills(FINE_PAD, 210).ends(CareAction.OPEN, null, Ending.DONE_YESTERDAY),
                new FilterStory(lagoon, 790));
        diary.note(HALF_REPLACED_DAYS_AGO, "Half of the bio media exchanged, the rest kept beside it.");
        building.save(who, diary);
        building.water.replaced(who, tank, creek, 1800, HALF_REPLACED_DAYS_AGO);
        building.water.live(
                who,
                tank,
                new Nature(6, 0.1, 0.25, 7.9, 26, false).lost(Map.of(ago(HALF_REPLACED_DAYS_AGO), 0.5)),
                DemoUpkeep.HISTORY_DAYS,
                4);
        fitLamps(who, building.filters.find(who, lagoon.id()));
        building.described(who, creek.id(), passport());
    }

    /** Two lamps behind one sleeve, entered today; nobody knows how old they are. */
    private void fitLamps(SignedIn who, Filter lagoon) {
        FilterInput before = FilterInput.of(lagoon);
        List<StageInput> stages = new ArrayList<>(before.stages());
        stages.add(4, new StageInput(null, UV_LAMP, "", 2, null, Make.DISPOSABLE, false, null, "9 W, 2 pins", null));
        stages.add(5, stage(UV_SLEEVE));
        building.filters.update(
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

    /** Top-down: the foams lie on top, within reach; the pump sits under everything. */
    private static PassportInput passport() {
        return DemoPassports.canister(
                Build.Fill.SELF,
                Build.Pump.BASE,
                List.of(),
                DemoPassports.tray("the top tray", true, 5, DemoPassports.sheet(2), DemoPassports.sheet(3)),
                DemoPassports.tray("the bottom tray", false, 5, DemoPassports.bag(4, 2.2)));
    }
}
