package app.chervil.server.mail;

import app.chervil.server.account.SignedIn;
import app.chervil.server.mail.DigestOperations.DigestInput;
import app.chervil.server.mail.DigestOperations.DigestView;
import jakarta.validation.Valid;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The evening's mail over HTTP. */
@RestController
class DigestController {
    private final DigestOperations operations;

    DigestController(DigestOperations operations) {
        this.operations = operations;
    }

    @GetMapping("/api/digest")
    DigestView find(@AuthenticationPrincipal SignedIn who) {
        return operations.find(who);
    }

    @PutMapping("/api/digest")
    DigestView save(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody DigestInput input) {
        return operations.save(who, input);
    }

    @DeleteMapping("/api/digest")
    DigestView remove(@AuthenticationPrincipal SignedIn who) {
        return operations.remove(who);
    }
}
