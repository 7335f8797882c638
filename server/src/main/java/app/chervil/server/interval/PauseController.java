package app.chervil.server.interval;

import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.PauseOperations.PauseEnd;
import app.chervil.server.interval.PauseOperations.PauseInput;
import app.chervil.server.interval.PauseOperations.PauseView;
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

/** Pauses over HTTP. */
@RestController
@RequestMapping("/api")
class PauseController {
    private final PauseOperations operations;

    PauseController(PauseOperations operations) {
        this.operations = operations;
    }

    /** Pauses of a tank and its filters, oldest first. */
    @GetMapping("/tanks/{tank}/pauses")
    List<PauseView> list(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return operations.list(who, tank);
    }

    /** Stores a pause. */
    @PutMapping("/tanks/{tank}/pauses/{pause}")
    List<PauseView> save(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @PathVariable UUID pause,
            @Valid @RequestBody PauseInput input) {
        return operations.save(who, tank, pause, input);
    }

    /** Ends a pause. */
    @PutMapping("/pauses/{pause}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void end(@AuthenticationPrincipal SignedIn who, @PathVariable UUID pause, @Valid @RequestBody PauseEnd input) {
        operations.end(who, pause, input.untilDay());
    }

    /** Takes a pause out. */
    @DeleteMapping("/pauses/{pause}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable UUID pause) {
        operations.remove(who, pause);
    }
}
