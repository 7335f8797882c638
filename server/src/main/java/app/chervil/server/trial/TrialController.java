package app.chervil.server.trial;

import app.chervil.server.account.SignedIn;
import app.chervil.server.trial.TrialView.TrialForethought;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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

/** Trials over HTTP. */
@RestController
@RequestMapping("/api/trials")
class TrialController {
    private final TrialOperations operations;
    private final TrialListOperations trials;

    TrialController(TrialOperations operations, TrialListOperations trials) {
        this.operations = operations;
        this.trials = trials;
    }

    @GetMapping
    List<TrialView> list(@AuthenticationPrincipal SignedIn who) {
        return trials.list(who);
    }

    /** All of them as a table for a spreadsheet. */
    @GetMapping(value = "/table.csv", produces = "text/csv")
    ResponseEntity<String> table(@AuthenticationPrincipal SignedIn who) {
        ContentDisposition file =
                ContentDisposition.attachment().filename("trials.csv").build();
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, file.toString())
                .body(TrialTable.write(trials.list(who)));
    }

    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void begin(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody TrialInput input) {
        operations.begin(who, id, input);
    }

    /** What a trial could tell; nothing is begun. */
    @PostMapping("/forethought")
    TrialForethought foresee(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody TrialInput input) {
        return operations.foresee(who, input);
    }

    /** Ends a trial today. */
    @PostMapping("/{id}/stop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.stop(who, id);
    }

    /** Takes the stop back. */
    @PostMapping("/{id}/resume")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void resume(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.resume(who, id);
    }

    /** Tanks that keep a way each go on to the next. */
    @PostMapping("/{id}/swap")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void swap(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.swap(who, id);
    }

    /** Takes a swap of today back. */
    @DeleteMapping("/{id}/swap")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void swapBack(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.swapBack(who, id);
    }

    /**
     * A way chosen.
     *
     * @param way its place among the ways
     */
    record Chosen(@NotNull(message = "Which way?") Integer way) {}

    /** Sets the task to one of the ways that were tried. */
    @PutMapping("/{id}/adopted")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void adopt(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody Chosen chosen) {
        operations.adopt(who, id, chosen.way());
    }

    /** Sets the task as it was before. */
    @PostMapping("/{id}/adopted/undo")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void disown(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID id,
            @Valid @RequestBody TrialOperations.Before before) {
        operations.disown(who, id, before);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.remove(who, id);
    }
}
