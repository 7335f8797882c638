package app.chervil.server.interval;

import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.LookOperations.LookView;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Looks over HTTP. */
@RestController
@RequestMapping("/api")
class LookController {
    private final LookOperations operations;

    LookController(LookOperations operations) {
        this.operations = operations;
    }

    /** Looks at a tank's stages, latest first. */
    @GetMapping("/tanks/{tank}/looks")
    List<LookView> list(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return operations.list(who, tank);
    }

    /** Stores a look. */
    @PutMapping("/looks/{look}")
    LookView save(@AuthenticationPrincipal SignedIn who, @PathVariable UUID look, @Valid @RequestBody LookInput input) {
        return operations.save(who, look, input);
    }

    /** Withdraws a look. */
    @DeleteMapping("/looks/{look}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable UUID look) {
        operations.delete(who, look);
    }
}
