package app.chervil.server.device;

import app.chervil.server.device.DeviceMapper.Place;
import app.chervil.server.device.SignalOperations.Taken;
import app.chervil.server.device.SignalOperations.Told;
import app.chervil.server.problem.Rejected;
import app.chervil.server.problem.Rejected.Violation;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** The open way in for devices: by their own token, and by nothing else. */
@RestController
class SignalController {
    private static final String BEARER = "Bearer ";

    private final SignalOperations operations;
    private final DeviceBuckets buckets;

    SignalController(SignalOperations operations, DeviceBuckets buckets) {
        this.operations = operations;
        this.buckets = buckets;
    }

    /**
     * A batch of readings.
     *
     * @param sentAt by the device's own clock, if that may be off
     */
    record ReadingsInput(
            @Nullable Instant sentAt,

            @NotEmpty(message = "Send at least one reading.")
            List<@Valid Told> readings) {}

    @PostMapping(DeviceTurnstile.PATH)
    Taken take(
            @RequestHeader(name = HttpHeaders.AUTHORIZATION, required = false) @Nullable String authorization,
            @Valid @RequestBody ReadingsInput input,
            HttpServletResponse response) {
        Place place = Optional.ofNullable(authorization)
                .filter(header -> header.startsWith(BEARER))
                .flatMap(header ->
                        operations.device(header.substring(BEARER.length()).strip()))
                .orElseThrow(() -> new Rejected(
                        HttpStatus.UNAUTHORIZED,
                        List.of(new Violation("", "no-such-token", "No device has this token, or none any more."))));
        Optional<Duration> wait = buckets.take(place, input.readings().size());
        if (wait.isPresent()) {
            response.setHeader(HttpHeaders.RETRY_AFTER, Long.toString(wait.get().toSeconds()));
            throw new Rejected(
                    HttpStatus.TOO_MANY_REQUESTS,
                    List.of(new Violation(
                            "readings",
                            "too-many",
                            "Too many readings at once. Send them again in "
                                    + wait.get().toSeconds() + " s.")));
        }
        return operations.take(place, input.readings(), input.sentAt());
    }
}
