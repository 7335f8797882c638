package app.chervil.server.device;

import app.chervil.server.account.SignedIn;
import app.chervil.server.device.DeviceOperations.DeviceChange;
import app.chervil.server.device.DeviceOperations.DeviceInput;
import app.chervil.server.device.DeviceOperations.DeviceSeries;
import app.chervil.server.device.DeviceOperations.DeviceToken;
import app.chervil.server.device.DeviceOperations.DeviceView;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Devices over HTTP. */
@RestController
class DeviceController {
    private static final int MOST_HOURS = 87_600;

    private final DeviceOperations operations;
    private final SwitchOperations switches;

    DeviceController(DeviceOperations operations, SwitchOperations switches) {
        this.operations = operations;
        this.switches = switches;
    }

    /**
     * What a plug is to do.
     *
     * @param confirmed whether whoever asks says that no hand is in the water, the pump is under water and its valves are open
     */
    record SwitchInput(
            @NotNull(message = "On or off?") Boolean on,
            @Nullable Boolean confirmed) {}

    @GetMapping("/api/devices")
    List<DeviceView> list(@AuthenticationPrincipal SignedIn who) {
        return operations.list(who);
    }

    @PostMapping("/api/devices")
    @ResponseStatus(HttpStatus.CREATED)
    DeviceToken fit(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody DeviceInput input) {
        return operations.fit(who, input);
    }

    @PutMapping("/api/devices/{device}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(
            @AuthenticationPrincipal SignedIn who, @PathVariable long device, @Valid @RequestBody DeviceChange input) {
        operations.change(who, device, input);
    }

    @DeleteMapping("/api/devices/{device}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable long device) {
        operations.remove(who, device);
    }

    @PostMapping("/api/devices/{device}/token")
    DeviceToken token(@AuthenticationPrincipal SignedIn who, @PathVariable long device) {
        return operations.token(who, device);
    }

    @PutMapping("/api/devices/{device}/tested")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tested(@AuthenticationPrincipal SignedIn who, @PathVariable long device) {
        operations.tested(who, device);
    }

    @PostMapping("/api/devices/{device}/switch")
    @ResponseStatus(HttpStatus.ACCEPTED)
    void turn(@AuthenticationPrincipal SignedIn who, @PathVariable long device, @Valid @RequestBody SwitchInput input) {
        switches.turn(who, device, input.on(), Boolean.TRUE.equals(input.confirmed()));
    }

    @GetMapping("/api/devices/{device}/series")
    DeviceSeries series(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long device,
            @RequestParam
                    @Min(value = 1, message = "At least 1 hour.")
                    @Max(value = MOST_HOURS, message = "At most 87,600 hours.")
                    int hours) {
        return operations.series(who, device, hours);
    }
}
