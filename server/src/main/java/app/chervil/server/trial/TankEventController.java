package app.chervil.server.trial;

import app.chervil.server.account.SignedIn;
import app.chervil.server.trial.TankEventOperations.EventInput;
import jakarta.validation.Valid;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What else changed in a tank, over HTTP; trials tell it with what it bears on. */
@RestController
@RequestMapping("/api")
class TankEventController {
    private final TankEventOperations operations;

    TankEventController(TankEventOperations operations) {
        this.operations = operations;
    }

    @PutMapping("/tanks/{tank}/events/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void tell(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @PathVariable UUID id,
            @Valid @RequestBody EventInput input) {
        operations.tell(who, tank, id, input);
    }

    @DeleteMapping("/tank-events/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.takeBack(who, id);
    }

    @PostMapping("/tank-events/{id}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.restore(who, id);
    }
}
