package app.chervil.server.interval;

import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.EyeView.EyeInput;
import jakarta.validation.Valid;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How the person who is signed in grades, over HTTP. */
@RestController
@RequestMapping("/api/eye")
class EyeController {
    private final EyeOperations operations;

    EyeController(EyeOperations operations) {
        this.operations = operations;
    }

    @GetMapping
    EyeView find(@AuthenticationPrincipal SignedIn who) {
        return operations.find(who);
    }

    @PutMapping
    EyeView save(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody EyeInput input) {
        return operations.save(who, input);
    }
}
