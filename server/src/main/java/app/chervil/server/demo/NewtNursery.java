package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.site.Filter;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Fresh, six weeks old: its bacteria are still settling, and one test was read too early. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(6)
class NewtNursery extends DemoTank {
    NewtNursery(DemoBuilding building) {
        super(building);
    }

    @Override
    public void live(SignedIn who) {
        long tank = building.tank(
                who,
                new TankDraft("Newt nursery", "Wet lab", 60, WaterKind.FRESH, ago(42))
                        .stocked(Stocking.LIGHT, Feeding.LIGHT)
                        .of(Animals.AMPHIBIANS));
        Filter puff = building.filters.create(
                who,
                tank,
                new FilterDraft("Puff", FilterKind.AIR_SPONGE)
                        .drawing(3)
                        .fitted(ago(42), ago(42), stage(SPONGE), stage(AIR_LINE), media(BIO_MEDIA, 400, ago(42))));
        DemoDiary diary = new DemoDiary(tank, building.tanks.today());
        puff.tasks().stream()
                .filter(task -> task.action() == CareAction.INSPECT)
                .forEach(task -> diary.did(ago(20), task, null));
        diary.note(ago(20), "Its media ran beside those of Brook bench for five weeks before.");
        building.save(who, diary);
        building.water.live(who, tank, new Nature(1.5, 0.05, 0.2, 7.3, 19, false), 24, 3);
        building.water.read(who, tank, 2, List.of(DemoWater.early(Parameter.NITRITE, 0)));
    }
}
