package app.chervil.server.visit;

import app.chervil.server.account.SignedIn;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Services over HTTP. */
@RestController
@RequestMapping("/api")
class ServiceController {
    private final ServiceOperations operations;
    private final LedgerOperations ledger;

    ServiceController(ServiceOperations operations, LedgerOperations ledger) {
        this.operations = operations;
        this.ledger = ledger;
    }

    /** The ledger, latest first. */
    @GetMapping("/services")
    LedgerView search(@AuthenticationPrincipal SignedIn who, @Valid @ParameterObject LedgerQuery query) {
        return ledger.find(who, query);
    }

    @GetMapping("/tanks/{tank}/services")
    List<ServiceView> list(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @RequestParam(defaultValue = "0") int skip,
            @RequestParam(defaultValue = "20") int limit) {
        return operations.list(who, tank, skip, limit);
    }

    @GetMapping("/services/{service}")
    ServiceView find(@AuthenticationPrincipal SignedIn who, @PathVariable UUID service) {
        return operations.find(who, service);
    }

    /** Logs a service once, however often it is sent. */
    @PutMapping("/services/{service}")
    SavedService save(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID service, @Valid @RequestBody ServiceInput input) {
        return operations.save(who, service, input);
    }

    @PostMapping("/services/{service}/corrections")
    SavedService correct(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID service, @Valid @RequestBody Correction input) {
        return operations.correct(who, service, input.version(), input.service());
    }

    /** Keeps an answer to what was asked about a service, and tells what it moved. */
    @PutMapping("/services/{service}/answers")
    SavedService answer(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID service,
            @Valid @RequestBody SavedService.AnswerInput input) {
        return operations.answer(who, service, input);
    }

    /** Makes one of two services that logged the same work. */
    @PostMapping("/services/{service}/twins/{other}")
    SavedService merge(@AuthenticationPrincipal SignedIn who, @PathVariable UUID service, @PathVariable UUID other) {
        return operations.merge(who, service, other);
    }

    @DeleteMapping("/services/{service}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@AuthenticationPrincipal SignedIn who, @PathVariable UUID service) {
        operations.withdraw(who, service);
    }

    @PostMapping("/services/{service}/restore")
    ServiceView restore(@AuthenticationPrincipal SignedIn who, @PathVariable UUID service) {
        return operations.restore(who, service);
    }

    /**
     * What a service should have said.
     *
     * @param version the one that was read
     */
    record Correction(int version, @NotNull @Valid ServiceInput service) {}
}
