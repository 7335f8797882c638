package app.chervil.server.notebook;

import app.chervil.server.account.SignedIn;
import app.chervil.server.notebook.NotebookOperations.Brought;
import app.chervil.server.notebook.NotebookOperations.KeyView;
import app.chervil.server.notebook.NotebookOperations.Preview;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Old notes over HTTP. */
@RestController
@RequestMapping("/api/tanks/{tank}/notebook")
class NotebookController {
    private static final int MOST_CHARACTERS = 4_000_000;

    private final NotebookOperations operations;

    NotebookController(NotebookOperations operations) {
        this.operations = operations;
    }

    /**
     * A table, and what its keeper said of its columns.
     *
     * @param key absent where nothing was said yet
     */
    record Table(
            @NotBlank(message = "Choose a table.")
            @Size(max = MOST_CHARACTERS, message = "At most 4 million characters.")
            String csv,

            @Nullable @Valid KeyInput key) {}

    /** A table with the key by which it is read. */
    record KeyedTable(
            @NotBlank(message = "Choose a table.")
            @Size(max = MOST_CHARACTERS, message = "At most 4 million characters.")
            String csv,

            @NotNull(message = "Say what its columns mean.") @Valid
            KeyInput key,

            @Nullable Boolean withoutFaults) {}

    /** How a table is most likely meant. */
    @PostMapping("/key")
    KeyView guess(@AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody Table table) {
        return operations.guess(who, tank, table.csv(), Optional.ofNullable(table.key()));
    }

    /** What it would bring in; nothing is stored. */
    @PostMapping("/preview")
    Preview preview(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody KeyedTable table) {
        return operations.preview(who, tank, table.csv(), table.key());
    }

    /** Brings it in. */
    @PostMapping
    Brought bringIn(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody KeyedTable table) {
        return operations.bringIn(who, tank, table.csv(), table.key(), Boolean.TRUE.equals(table.withoutFaults()));
    }
}
