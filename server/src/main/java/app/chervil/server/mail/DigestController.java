package app.chervil.server.mail;

import app.chervil.server.account.SignedIn;
import app.chervil.server.mail.DigestOperations.DigestInput;
import app.chervil.server.mail.DigestOperations.DigestView;
import app.chervil.server.mail.MailCatcher.CaughtMail;
import jakarta.validation.Valid;
import java.util.List;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The evening's mail over HTTP, and in the demo what was caught of it. */
@RestController
class DigestController {
    private final DigestOperations operations;
    private final ObjectProvider<MailCatcher> catcher;

    DigestController(DigestOperations operations, ObjectProvider<MailCatcher> catcher) {
        this.operations = operations;
        this.catcher = catcher;
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

    /** Mails the demo caught; empty elsewhere. */
    @GetMapping("/api/digest/caught")
    List<CaughtMail> caught() {
        MailCatcher here = catcher.getIfAvailable();
        return here == null ? List.of() : here.caught();
    }
}
