package app.chervil.server.future;

import app.chervil.server.account.SignedIn;
import jakarta.validation.Valid;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What-if over HTTP. */
@RestController
@RequestMapping("/api/futures")
class FutureController {
    private final FutureOperations operations;

    FutureController(FutureOperations operations) {
        this.operations = operations;
    }

    /** Begins a comparison in the background. */
    @PostMapping
    @ResponseStatus(HttpStatus.ACCEPTED)
    FutureView begin(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody FutureInput input) {
        return operations.begin(who, input);
    }

    /** How far a comparison is, with its result once it is done. */
    @GetMapping("/{future}")
    FutureView find(@AuthenticationPrincipal SignedIn who, @PathVariable UUID future) {
        return operations.find(who, future);
    }

    /** Stops a comparison. */
    @DeleteMapping("/{future}")
    FutureView cancel(@AuthenticationPrincipal SignedIn who, @PathVariable UUID future) {
        return operations.cancel(who, future);
    }
}
