package app.chervil.server.demo;

import app.chervil.server.problem.NotFound;
import app.chervil.sim.device.StandInTank.Mishap;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Works the demo's devices by hand. */
@RestController
class StandInController {
    private final ObjectProvider<DemoDevices> devices;

    StandInController(ObjectProvider<DemoDevices> devices) {
        this.devices = devices;
    }

    /**
     * What stands in for devices.
     *
     * @param present whether there are any here
     * @param amiss what is out of order
     * @param speed days of dirt that a day brings
     */
    record StandIns(boolean present, List<Mishap> amiss, int speed) {}

    /**
     * Something to bring about, or to mend; or days of dirt for the foam; or how fast it comes.
     *
     * @param on whether it is to be so; with a mishap
     */
    record StandInDeed(
            @Nullable Mishap mishap,
            @Nullable Boolean on,

            @Nullable @Min(value = 1, message = "At least 1 day.") @Max(value = 100, message = "At most 100 days.")
            Integer days,

            @Nullable
            @Min(value = 1, message = "At least as fast as it does.")
            @Max(value = 86_400, message = "At most a day a second.")
            Integer speed) {}

    @GetMapping("/api/stand-ins")
    StandIns list() {
        return devices.stream()
                .filter(DemoDevices::present)
                .findFirst()
                .map(here -> new StandIns(true, here.amiss(), here.speed()))
                .orElse(new StandIns(false, List.of(), 1));
    }

    @PostMapping("/api/stand-ins")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void act(@Valid @RequestBody StandInDeed deed) {
        DemoDevices here =
                devices.stream().filter(DemoDevices::present).findFirst().orElseThrow(() -> new NotFound("device"));
        if (deed.mishap() != null) {
            here.set(deed.mishap(), Boolean.TRUE.equals(deed.on()));
        }
        if (deed.speed() != null) {
            here.hurry(deed.speed());
        }
        if (deed.days() != null) {
            here.fill(deed.days());
        }
    }
}
