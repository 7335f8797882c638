package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.site.Filter;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.demo.FilterStory.Ending;
import java.time.LocalDate;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Marine, seahorses: a weak hang-on-back whose pads last longer since it has a pre-filter, and an air sponge. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(4)
class EelgrassBed extends DemoTank {
    private static final int RIPPLE_PREFILTER_DAYS_AGO = 280;

    EelgrassBed(DemoBuilding building) {
        super(building);
    }

    @Override
    public void live(SignedIn who) {
        long tank = building.tank(
                who,
                new TankDraft("Eelgrass bed", "Gallery", 150, WaterKind.MARINE, years(2))
                        .stocked(Stocking.LIGHT, Feeding.NORMAL)
                        .bacteriaIn(BacteriaHome.BOTH)
                        .of(Animals.SEAHORSES));
        Filter ripple = building.filters.create(
                who,
                tank,
                new FilterDraft("Ripple", FilterKind.HANG_ON_BACK)
                        .rated(350, 4, 0.5, 0.2)
                        .fitted(
                                years(2),
                                begin(),
                                stage(PREFILTER_SPONGE),
                                stage(IMPELLER),
                                foam(COARSE_FOAM),
                                disposable(FINE_PAD),
                                media(BIO_MEDIA, 300, years(2))));
        Filter bellows = building.filters.create(
                who,
                tank,
                new FilterDraft("Bellows", FilterKind.AIR_SPONGE)
                        .drawing(3)
                        .fitted(years(2), begin(), stage(SPONGE), stage(AIR_LINE)));
        LocalDate added = ago(RIPPLE_PREFILTER_DAYS_AGO);
        building.prefilterAdded(who, ripple, added);
        DemoDiary diary = building.kept(
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
        building.save(who, diary);
        building.water.live(who, tank, new Nature(2.5, 0.02, 0.15, 8.1, 18, true), DemoUpkeep.HISTORY_DAYS, 4);
    }
}
