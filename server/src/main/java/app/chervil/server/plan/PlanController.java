package app.chervil.server.plan;

import app.chervil.server.account.SignedIn;
import app.chervil.server.plan.PlanView.DayPrices;
import app.chervil.server.plan.PlanView.PlanItem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The plan over HTTP. */
@RestController
class PlanController {
    private final PlanInForceOperations plans;
    private final PlanOperations operations;

    PlanController(PlanInForceOperations plans, PlanOperations operations) {
        this.plans = plans;
        this.operations = operations;
    }

    /** Work whose days are to be priced. */
    record PriceQuestion(
            @NotEmpty(message = "Say which work.") @Size(max = 200, message = "At most 200 at a time.")
            List<@Valid PlanItem> items) {}

    @GetMapping("/api/plan")
    PlanView plan(@AuthenticationPrincipal SignedIn who, @RequestParam(defaultValue = "8") int weeks) {
        return plans.view(who, weeks);
    }

    @PostMapping("/api/plan/prices")
    DayPrices prices(
            @AuthenticationPrincipal SignedIn who,
            @Valid @RequestBody PriceQuestion question,
            @RequestParam(defaultValue = "8") int weeks) {
        return plans.prices(who, question.items(), weeks);
    }

    @PostMapping("/api/plan/decisions")
    PlanView decide(
            @AuthenticationPrincipal SignedIn who,
            @Valid @RequestBody PlanDecision decision,
            @RequestParam(defaultValue = "8") int weeks) {
        return operations.decide(who, decision, weeks);
    }

    @DeleteMapping("/api/plan/decisions/last")
    PlanView undo(@AuthenticationPrincipal SignedIn who, @RequestParam(defaultValue = "8") int weeks) {
        return operations.undo(who, weeks);
    }
}
