package app.chervil.server.trouble;

import app.chervil.core.trouble.Bearing;
import app.chervil.core.trouble.Network;
import app.chervil.server.account.SignedIn;
import app.chervil.server.trouble.CaseView.CaseSummary;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The trouble finder over HTTP. */
@RestController
@RequestMapping("/api")
class TroubleController {
    private static final NetworkView NETWORK = NetworkView.of(Network.standard());

    private final TroubleOperations operations;
    private final RateOperations rates;

    TroubleController(TroubleOperations operations, RateOperations rates) {
        this.operations = operations;
        this.rates = rates;
    }

    /** Events in the order they happened. */
    record TroubleHappened(
            @NotNull @Size(max = 200, message = "At most 200 at once.")
            List<@Valid TroubleEvent> events) {}

    /** What is to be learned; absent for what the finder says. */
    record Overruling(@Nullable Bearing counts) {}

    /** When to look at it again. */
    record Reminder(
            @NotBlank(message = "What is to be done?") @Size(max = 200)
            String words,

            @Min(value = 0, message = "Not before now.") @Max(value = 720, message = "At most a month ahead.")
            int hours) {}

    /** Everything the finder knows of faults. */
    @GetMapping("/trouble-network")
    NetworkView network() {
        return NETWORK;
    }

    @GetMapping("/trouble-cases")
    List<CaseSummary> list(@AuthenticationPrincipal SignedIn who, @RequestParam(required = false) @Nullable Long tank) {
        return operations.list(who, tank);
    }

    @PutMapping("/trouble-cases/{id}")
    CaseView open(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody TroubleInput input) {
        return operations.open(who, id, input);
    }

    @GetMapping("/trouble-cases/{id}")
    CaseView find(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        return operations.find(who, id);
    }

    @PostMapping("/trouble-cases/{id}/events")
    CaseView keep(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID id,
            @Valid @RequestBody TroubleHappened happened) {
        return operations.keep(who, id, happened.events());
    }

    @PutMapping("/trouble-cases/{id}/left")
    CaseView leave(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        return operations.leave(who, id);
    }

    @DeleteMapping("/trouble-cases/{id}/left")
    CaseView resume(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        return operations.resume(who, id);
    }

    @PutMapping("/trouble-cases/{id}/bearing")
    CaseView overrule(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody Overruling input) {
        return operations.overrule(who, id, input.counts());
    }

    @PutMapping("/trouble-cases/{id}/reminder")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remind(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody Reminder input) {
        operations.remind(who, id, input.words(), input.hours());
    }

    @DeleteMapping("/trouble-cases/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.remove(who, id);
    }

    @GetMapping("/trouble-rates")
    RatesView rates(@AuthenticationPrincipal SignedIn who) {
        return rates.rates(who);
    }

    @PutMapping("/trouble-rates/anew")
    RatesView countAnew(@AuthenticationPrincipal SignedIn who) {
        return rates.countAnew(who);
    }

    @DeleteMapping("/trouble-rates/anew")
    RatesView countAll(@AuthenticationPrincipal SignedIn who) {
        return rates.countAll(who);
    }
}
