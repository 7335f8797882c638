package app.chervil.server.filter;

import app.chervil.server.account.SignedIn;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
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

/** Filters over HTTP. */
@RestController
@RequestMapping("/api")
class FilterController {
    private final FilterOperations operations;

    FilterController(FilterOperations operations) {
        this.operations = operations;
    }

    @GetMapping("/filter-templates")
    List<FilterOperations.Template> templates() {
        return operations.templates();
    }

    /** Filters of the whole site. */
    @GetMapping("/filters")
    List<FilterView> listAll(@AuthenticationPrincipal SignedIn who) {
        return operations.list(who, null).stream().map(FilterView::of).toList();
    }

    @GetMapping("/tanks/{tank}/filters")
    List<FilterView> list(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return operations.listOf(who, tank).stream().map(FilterView::of).toList();
    }

    /** What a practitioner would say of a tank for the sake of its animals, in sentences; empty where there is nothing to say. */
    @GetMapping("/tanks/{tank}/advice")
    List<String> advice(@AuthenticationPrincipal SignedIn who, @PathVariable long tank) {
        return operations.advice(who, tank);
    }

    @PostMapping("/tanks/{tank}/filters")
    @ResponseStatus(HttpStatus.CREATED)
    FilterView create(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody FilterInput input) {
        return FilterView.of(operations.create(who, tank, input));
    }

    @GetMapping("/filters/{filter}")
    FilterView find(@AuthenticationPrincipal SignedIn who, @PathVariable long filter) {
        return FilterView.of(operations.find(who, filter));
    }

    @PutMapping("/filters/{filter}")
    FilterView update(
            @AuthenticationPrincipal SignedIn who, @PathVariable long filter, @Valid @RequestBody FilterChange change) {
        return FilterView.of(operations.update(who, filter, change.version(), change.filter()));
    }

    @PutMapping("/filters/{filter}/last-cleaned")
    FilterView setCleaned(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long filter,
            @Valid @RequestBody FilterOperations.CleanedInput input) {
        return FilterView.of(operations.setCleaned(who, filter, input.on(), input.sureness()));
    }

    @DeleteMapping("/filters/{filter}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void delete(@AuthenticationPrincipal SignedIn who, @PathVariable long filter) {
        operations.delete(who, filter);
    }

    @PostMapping("/filters/{filter}/restore")
    FilterView restore(@AuthenticationPrincipal SignedIn who, @PathVariable long filter) {
        return FilterView.of(operations.restore(who, filter));
    }

    @PutMapping("/tasks/{task}")
    FilterView setTask(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable long task,
            @Valid @RequestBody TaskSettingInput setting) {
        return FilterView.of(operations.setTask(who, task, setting));
    }

    /**
     * A new description of a filter.
     *
     * @param version the one that was read
     */
    record FilterChange(int version, @NotNull @Valid FilterInput filter) {}
}
