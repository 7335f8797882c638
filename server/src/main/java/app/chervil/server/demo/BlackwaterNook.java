package app.chervil.server.demo;

import static app.chervil.core.filter.StageKind.*;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage.Make;
import app.chervil.core.site.Filter;
import app.chervil.core.site.TaskMode;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.WaterKind;
import app.chervil.server.account.SignedIn;
import app.chervil.server.demo.DemoWater.Nature;
import app.chervil.server.demo.FilterStory.Ending;
import app.chervil.server.filter.FilterInput.StageInput;
import app.chervil.server.filter.TaskSettingInput;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Warm fresh; its floss was seen bypassing twice, its cartridge is rebuilt, its resin used only when needed. */
@Component
@ConditionalOnProperty("chervil.demo")
@Order(3)
class BlackwaterNook extends DemoTank {
    BlackwaterNook(DemoBuilding building) {
        super(building);
    }

    @Override
    public void live(SignedIn who) {
        long tank = building.tank(
                who,
                new TankDraft("Blackwater nook", "Gallery", 96, WaterKind.FRESH, years(2))
                        .bacteriaIn(BacteriaHome.BOTH));
        Filter tannin = building.filters.create(
                who,
                tank,
                new FilterDraft("Tannin", FilterKind.HANG_ON_BACK)
                        .rated(420, 5, 0.6, 0.2)
                        .fitted(
                                years(2),
                                begin(),
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
                                new StageInput(null, RESIN, "", 1, 100d, Make.WASHABLE, true, ago(300), null, null)));
        tannin.tasks().stream()
                .filter(task -> task.action() == CareAction.REGENERATE)
                .forEach(task -> building.filters.setTask(
                        who, task.id(), new TaskSettingInput(task.version(), TaskMode.OFF, null)));
        DemoDiary diary = building.kept(
                who,
                tank,
                begin(),
                new FilterStory(building.filters.find(who, tannin.id()), 380)
                        .fills(FLOSS, 15)
                        .fills(COARSE_FOAM, 70)
                        .ends(CareAction.CHANGE, FLOSS, Ending.DUE_TODAY));
        diary.note(59, "Water ran over the bypass slot, foam slimy.");
        diary.note(190, "Bypassing; packed too tight, one floss taken out.");
        diary.note(24, "Cartridge rebuilt with loose carbon, no new one bought.");
        building.save(who, diary);
        building.water.live(who, tank, new Nature(3, 0.08, 0.3, 6.4, 25, false), DemoUpkeep.HISTORY_DAYS, 3);
    }
}
