package app.chervil.server.tank;

import app.chervil.server.account.SignedIn;
import jakarta.validation.Valid;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Tanks over HTTP. */
@RestController
@RequestMapping("/api/tanks")
class TankController {
    private final TankOperations operations;

    TankController(TankOperations operations) {
        this.operations = operations;
    }

    @GetMapping
    List<TankView> list(@AuthenticationPrincipal SignedIn who) {
        return operations.list(who).stream().map(TankView::of).toList();
    }

    @GetMapping("/deleted")
    List<TankView> listDeleted(@AuthenticationPrincipal SignedIn who) {
        return operations.listDeleted(who).stream().map(TankView::of).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    TankView create(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody TankInput input) {
        return TankView.of(operations.create(who, input));
    }

    @GetMapping("/{tank}")
    TankView find(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return TankView.of(operations.find(who, tank));
    }

    @PutMapping("/{tank}")
    TankView update(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody TankChange input) {
        return TankView.of(operations.update(who, tank, input));
    }

    @DeleteMapping("/{tank}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        operations.delete(who, tank);
    }

    @PostMapping("/{tank}/restore")
    TankView restore(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return TankView.of(operations.restore(who, tank));
    }

    /** What changed on a tank, oldest first. */
    @GetMapping("/{tank}/changes")
    List<ContextChangeView> changes(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        operations.find(who, tank);
        return operations.changes(who, tank).stream().map(ContextChangeView::of).toList();
    }
}
