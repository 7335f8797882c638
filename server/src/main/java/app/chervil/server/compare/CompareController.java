package app.chervil.server.compare;

import app.chervil.server.account.SignedIn;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Filters compared over HTTP. */
@RestController
@RequestMapping("/api")
class CompareController {
    private final CompareOperations comparing;

    CompareController(CompareOperations comparing) {
        this.comparing = comparing;
    }

    @GetMapping("/filters-compared")
    CompareView compare(@AuthenticationPrincipal SignedIn who) {
        return comparing.compare(who);
    }
}
