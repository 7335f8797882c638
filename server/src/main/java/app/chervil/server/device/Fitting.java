package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import app.chervil.core.device.DeviceKind.Place;
import app.chervil.core.filter.StageKind;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.server.account.SignedIn;
import app.chervil.server.device.DeviceOperations.DeviceInput;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Where devices are fitted, and since when. */
@Component
class Fitting {
    private final TankOperations tanks;
    private final FilterOperations filters;

    Fitting(TankOperations tanks, FilterOperations filters) {
        this.tanks = tanks;
        this.filters = filters;
    }

    /**
     * Whether a device can be fitted so.
     *
     * @throws Rejected if it cannot, each thing at its field
     * @throws NotFound if the site has no such tank or filter
     */
    void check(SignedIn who, DeviceInput input) {
        tanks.find(who, input.tankId());
        checkDay(input.fittedOn());
        Place place = input.kind().place();
        Optional<Filter> filter = Optional.ofNullable(input.filterId()).map(id -> filters.find(who, id));
        boolean here = filter.map(one -> one.tankId() == input.tankId()).orElse(true);
        Optional<FilterStage> stage =
                Optional.ofNullable(input.stageId()).flatMap(id -> filter.flatMap(one -> one.stage(id)));
        boolean stageHere = input.stageId() == null || stage.isPresent();
        boolean onLamp = stage.map(one -> one.kind() == StageKind.UV_LAMP).orElse(true);
        new Rejected.Gatherer()
                .check(place == Place.TANK || filter.isPresent(), "filterId", "needed", "On which filter?")
                .check(here, "filterId", "not-here", "This filter is on another tank.")
                .check(place != Place.STAGE || input.stageId() != null, "stageId", "needed", "On which stage?")
                .check(stageHere, "stageId", "not-here", "This stage is in another filter.")
                .check(
                        input.kind() != DeviceKind.LAMP || onLamp,
                        "stageId",
                        "not-a-lamp",
                        "A lamp-hour counter belongs on a UV lamp.")
                .done();
    }

    /** @throws Rejected if this day is yet to come */
    void checkDay(LocalDate fittedOn) {
        tanks.checkDay("fittedOn", fittedOn);
    }

    LocalDate today() {
        return tanks.today();
    }
}
