package app.chervil.server.chore;

import app.chervil.core.tank.TankChore;
import app.chervil.server.account.SignedIn;
import app.chervil.server.chore.ChoreOperations.ChoreInput;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Chores over HTTP. */
@RestController
class ChoreController {
    private final ChoreOperations operations;

    ChoreController(ChoreOperations operations) {
        this.operations = operations;
    }

    /** A chore that was done. */
    record ChoreDoneInput(
            @NotNull(message = "Which tank?") Long tankId,
            @NotNull(message = "Which work?") TankChore kind,
            @NotNull(message = "On which day?") LocalDate doneOn) {}

    @GetMapping("/api/tanks/{tank}/chores")
    List<ChoreView> list(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return operations.list(who, tank);
    }

    @PutMapping("/api/tanks/{tank}/chores/{kind}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void save(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @PathVariable TankChore kind,
            @Valid @RequestBody ChoreInput input) {
        operations.save(who, tank, kind, input);
    }

    @PutMapping("/api/chores-done/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void record(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody ChoreDoneInput input) {
        operations.record(who, input.tankId(), input.kind(), id, input.doneOn());
    }

    @DeleteMapping("/api/chores-done/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.withdraw(who, id);
    }
}
