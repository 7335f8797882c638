package app.chervil.server.rounds;

import app.chervil.server.account.SignedIn;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Rounds over HTTP. */
@RestController
class RoundsController {
    private final RoundsOperations operations;

    RoundsController(RoundsOperations operations) {
        this.operations = operations;
    }

    @GetMapping("/api/rounds")
    RoundsView today(@AuthenticationPrincipal SignedIn who) {
        return operations.today(who);
    }
}
