package app.chervil.server.plan;

import app.chervil.server.account.SignedIn;
import app.chervil.server.plan.PlanView.DayPrices;
import app.chervil.server.plan.PlanView.PlanItem;
import app.chervil.server.plan.TimeView.ExceptionInput;
import app.chervil.server.plan.TimeView.HelperInput;
import app.chervil.server.plan.TimeView.WeekInput;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The plan and people's time over HTTP. */
@RestController
class PlanController {
    private final PlanOperations plans;
    private final TimeOperations time;

    PlanController(PlanOperations plans, TimeOperations time) {
        this.plans = plans;
        this.time = time;
    }

    /** Work whose days are to be priced. */
    record PriceQuestion(
            @NotEmpty(message = "Say which work.") @Size(max = 200, message = "At most 200 at a time.") @Valid
            List<PlanItem> items) {}

    @GetMapping("/api/plan")
    PlanView plan(@AuthenticationPrincipal SignedIn who, @RequestParam(defaultValue = "8") int weeks) {
        return plans.view(who, weeks);
    }

    @PostMapping("/api/plan/prices")
    DayPrices prices(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody PriceQuestion question) {
        return plans.prices(who, question.items());
    }

    @PostMapping("/api/plan/decisions")
    PlanView decide(
            @AuthenticationPrincipal SignedIn who,
            @Valid @RequestBody PlanDecision decision,
            @RequestParam(defaultValue = "8") int weeks) {
        return plans.decide(who, decision, weeks);
    }

    @DeleteMapping("/api/plan/decisions/last")
    PlanView undo(@AuthenticationPrincipal SignedIn who, @RequestParam(defaultValue = "8") int weeks) {
        return plans.undo(who, weeks);
    }

    @GetMapping("/api/plan/time")
    TimeView time(@AuthenticationPrincipal SignedIn who) {
        return time.find(who);
    }

    @PutMapping("/api/plan/time/people/{account}")
    TimeView week(
            @AuthenticationPrincipal SignedIn who, @PathVariable long account, @Valid @RequestBody WeekInput input) {
        return time.saveWeek(who, account, input);
    }

    @PostMapping("/api/plan/time/exceptions")
    TimeView except(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody ExceptionInput input) {
        return time.addException(who, input);
    }

    @DeleteMapping("/api/plan/time/exceptions/{id}")
    TimeView usual(@AuthenticationPrincipal SignedIn who, @PathVariable long id) {
        return time.removeException(who, id);
    }

    @PutMapping("/api/plan/time/helpers")
    TimeView helpers(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody HelperInput input) {
        return time.saveHelpers(who, input);
    }
}
