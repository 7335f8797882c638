package app.chervil.server.device;

import app.chervil.server.account.SignedIn;
import app.chervil.server.device.AlertMapper.MailWish;
import app.chervil.server.device.AlertOperations.AlertList;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Alerts over HTTP, and word of their changes as it comes. */
@RestController
class AlertController {
    private final AlertOperations operations;
    private final AlertStream stream;

    AlertController(AlertOperations operations, AlertStream stream) {
        this.operations = operations;
        this.stream = stream;
    }

    /** How long to be quiet. */
    record QuietInput(
            @NotNull(message = "For how long?")
            @Min(value = 1, message = "At least 1 minute.")
            @Max(value = 120, message = "At most 2 hours, 120 minutes.")
            Integer minutes) {}

    /** How to be mailed; between two hours that are the same nothing is quiet. */
    record AlertMailInput(
            @NotBlank(message = "To which address?")
            @Email(message = "That isn’t an email address.")
            @Size(max = 200, message = "At most 200 characters.")
            String address,

            @NotNull(message = "From which hour?")
            @Min(value = 0, message = "0 to 23.")
            @Max(value = 23, message = "0 to 23.")
            Integer quietFrom,

            @NotNull(message = "To which hour?")
            @Min(value = 0, message = "0 to 23.")
            @Max(value = 23, message = "0 to 23.")
            Integer quietTo) {}

    /** How this person is mailed; absent if not at all. */
    record AlertMailView(@Nullable MailWish wanted) {}

    @GetMapping("/api/alerts")
    AlertList list(@AuthenticationPrincipal SignedIn who) {
        return operations.list(who);
    }

    @GetMapping(path = "/api/alerts/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter stream(@AuthenticationPrincipal SignedIn who) {
        return stream.open(who.siteId());
    }

    @PutMapping("/api/alerts/{alert}/seen")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void seen(@AuthenticationPrincipal SignedIn who, @PathVariable long alert) {
        operations.seen(who, alert);
    }

    @PutMapping("/api/alerts/{alert}/quiet")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void quiet(@AuthenticationPrincipal SignedIn who, @PathVariable long alert, @Valid @RequestBody QuietInput input) {
        operations.quiet(who, alert, input.minutes());
    }

    @PostMapping("/api/alerts/{alert}/usual")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeAsUsual(@AuthenticationPrincipal SignedIn who, @PathVariable long alert) {
        operations.takeAsUsual(who, alert);
    }

    @DeleteMapping("/api/alerts/{alert}/service")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void undo(@AuthenticationPrincipal SignedIn who, @PathVariable long alert) {
        operations.undo(who, alert);
    }

    @GetMapping("/api/alert-mail")
    AlertMailView mail(@AuthenticationPrincipal SignedIn who) {
        return new AlertMailView(operations.mail(who).orElse(null));
    }

    @PutMapping("/api/alert-mail")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void saveMail(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody AlertMailInput input) {
        operations.saveMail(who, new MailWish(input.address(), input.quietFrom(), input.quietTo()));
    }

    @DeleteMapping("/api/alert-mail")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endMail(@AuthenticationPrincipal SignedIn who) {
        operations.endMail(who);
    }
}
