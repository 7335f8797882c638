package app.chervil.server.procedure;

import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.server.account.SignedIn;
import app.chervil.server.procedure.ProcedureOperations.Around;
import app.chervil.server.procedure.ProcedureOperations.Wanted;
import app.chervil.server.visit.SavedService;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
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

/** Procedures and guided services over HTTP. */
@RestController
@RequestMapping("/api")
class GuidedController {
    private final ProcedureOperations procedures;
    private final GuidedOperations guided;
    private final GuidedEndOperations ends;

    GuidedController(ProcedureOperations procedures, GuidedOperations guided, GuidedEndOperations ends) {
        this.procedures = procedures;
        this.ends = ends;
        this.guided = guided;
    }

    /**
     * Before starting.
     *
     * @param then tasks of the tank's other filters, to follow in the same go
     */
    @GetMapping("/filters/{filter}/procedure")
    ProcedureView procedure(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long filter,
            @RequestParam(defaultValue = "") List<Long> tasks,
            @RequestParam(defaultValue = "") Set<Chore> chores,
            @RequestParam(defaultValue = "") List<Long> then) {
        Around around = then.isEmpty() ? Around.NOTHING : new Around(List.of(), then);
        return procedures.assemble(who, new Wanted(filter, tasks, chores, OptionalDouble.empty(), around));
    }

    /** Before a filter is put together. */
    @GetMapping("/filters/{filter}/set-up")
    ProcedureView setUp(@AuthenticationPrincipal SignedIn who, @PathVariable long filter) {
        return procedures.setUp(who, filter);
    }

    /** Before a filter is looked over that nobody looked after. */
    @GetMapping("/filters/{filter}/look-over")
    ProcedureView lookOver(@AuthenticationPrincipal SignedIn who, @PathVariable long filter) {
        return procedures.lookOver(who, filter);
    }

    /** Before a filter is taken down. */
    @GetMapping("/filters/{filter}/take-down")
    ProcedureView takeDown(
            @AuthenticationPrincipal SignedIn who, @PathVariable long filter, @RequestParam Occasion why) {
        return procedures.takeDown(who, filter, why);
    }

    /** Services in progress, and the filters they left off. */
    @GetMapping("/guided-services")
    List<GuidedView> listOpen(@AuthenticationPrincipal SignedIn who) {
        return guided.listOpen(who);
    }

    @PutMapping("/guided-services/{guided}")
    GuidedView start(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable("guided") UUID id,
            @Valid @RequestBody GuidedStart input) {
        return guided.start(who, id, input);
    }

    @GetMapping("/guided-services/{guided}")
    GuidedView find(@AuthenticationPrincipal SignedIn who, @PathVariable("guided") UUID id) {
        return guided.find(who, id);
    }

    /** Keeps events, each once, and answers all that is known; an empty list only asks. */
    @PostMapping("/guided-services/{guided}/events")
    GuidedView keep(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable("guided") UUID id,
            @Valid @RequestBody Happened happened) {
        return guided.keep(who, id, happened.events());
    }

    @PostMapping("/guided-services/{guided}/finish")
    SavedService finish(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable("guided") UUID id,
            @Valid @RequestBody GuidedFinish input) {
        return ends.finish(who, id, input);
    }

    @PostMapping("/guided-services/{guided}/running")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void confirmRunning(@AuthenticationPrincipal SignedIn who, @PathVariable("guided") UUID id) {
        ends.confirmRunning(who, id);
    }

    @DeleteMapping("/guided-services/{guided}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void drop(@AuthenticationPrincipal SignedIn who, @PathVariable("guided") UUID id) {
        ends.drop(who, id);
    }

    /** Events in the order they happened. */
    record Happened(
            @NotNull @Size(max = 500, message = "At most 500 at once.")
            List<@Valid GuidedEvent> events) {}
}
