package app.chervil.server.sums;

import app.chervil.server.account.SignedIn;
import app.chervil.server.sums.SumOperations.KeptView;
import app.chervil.server.sums.SumOperations.VesselView;
import app.chervil.server.sums.SumView.RuleView;
import app.chervil.server.sums.SumView.SumAnswer;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Sums, rules of thumb and vessels over HTTP. */
@RestController
class SumController {
    private final SumOperations operations;

    SumController(SumOperations operations) {
        this.operations = operations;
    }

    /** What is given to a sum, by the names of its fields, in stored units. */
    record SumGiven(@NotNull(message = "What is given?") Map<String, @Nullable Object> given) {}

    /** A rule of the site's own. */
    record RuleInput(@NotNull(message = "Fill this in.") Double value) {}

    @GetMapping("/api/sums")
    List<SumView> list(@AuthenticationPrincipal SignedIn who) {
        return operations.list(who);
    }

    @PostMapping("/api/sums/{name}")
    SumAnswer solve(
            @AuthenticationPrincipal SignedIn who, @PathVariable String name, @Valid @RequestBody SumGiven input) {
        return operations.solve(who, name, input.given());
    }

    @GetMapping("/api/tanks/{tank}/sums")
    List<KeptView> kept(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return operations.kept(who, tank);
    }

    @PutMapping("/api/tanks/{tank}/sums/{name}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keep(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long tank,
            @PathVariable String name,
            @Valid @RequestBody SumGiven input) {
        operations.keep(who, tank, name, input.given());
    }

    @GetMapping("/api/sum-rules")
    List<RuleView> listRules(@AuthenticationPrincipal SignedIn who) {
        return operations.listRules(who);
    }

    @PutMapping("/api/sum-rules/{key}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void keepRule(
            @AuthenticationPrincipal SignedIn who, @PathVariable String key, @Valid @RequestBody RuleInput input) {
        operations.keepRule(who, key, input.value());
    }

    @DeleteMapping("/api/sum-rules/{key}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forgetRule(@AuthenticationPrincipal SignedIn who, @PathVariable String key) {
        operations.forgetRule(who, key);
    }

    @GetMapping("/api/vessels")
    List<VesselView> vessels(@AuthenticationPrincipal SignedIn who) {
        return operations.vessels(who);
    }

    @PutMapping("/api/vessels/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void saveVessel(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody VesselInput input) {
        operations.saveVessel(who, id, input);
    }

    @DeleteMapping("/api/vessels/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeVessel(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.removeVessel(who, id);
    }
}
