package app.chervil.server.followup;

import app.chervil.server.account.SignedIn;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Looks over HTTP. */
@RestController
@RequestMapping("/api/follow-ups/{followUp}/done")
class FollowUpController {
    private final FollowUpOperations operations;

    FollowUpController(FollowUpOperations operations) {
        this.operations = operations;
    }

    @PutMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void done(@AuthenticationPrincipal SignedIn who, @PathVariable UUID followUp) {
        operations.done(who, followUp);
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void undone(@AuthenticationPrincipal SignedIn who, @PathVariable UUID followUp) {
        operations.undone(who, followUp);
    }
}
