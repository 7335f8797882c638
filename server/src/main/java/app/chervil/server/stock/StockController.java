package app.chervil.server.stock;

import app.chervil.core.stock.Shelf;
import app.chervil.server.account.SignedIn;
import app.chervil.server.stock.StockOperations.MoveInput;
import app.chervil.server.stock.StoresView.MoveView;
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
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The stores over HTTP. */
@RestController
@RequestMapping("/api/stores")
class StockController {
    private final StockOperations operations;
    private final ShelfOperations shelf;

    StockController(StockOperations operations, ShelfOperations shelf) {
        this.operations = operations;
        this.shelf = shelf;
    }

    /** An item that is there now. */
    record StockItemMade(long id) {}

    /** A changed item, with the version that was seen. */
    record StockItemChange(int version, @NotNull @Valid StockItemInput item) {}

    /** Something that happened to an item. */
    record StockMoveInput(
            @NotNull(message = "Which item?") Long itemId,
            @NotNull(message = "What happened?") Shelf.Kind kind,
            @NotNull(message = "How many?") Double amount,
            @NotNull(message = "On which day?") LocalDate on) {}

    @GetMapping
    StoresView list(@AuthenticationPrincipal SignedIn who) {
        return shelf.list(who);
    }

    @PostMapping("/items")
    @ResponseStatus(HttpStatus.CREATED)
    StockItemMade create(@AuthenticationPrincipal SignedIn who, @Valid @RequestBody StockItemInput input) {
        return new StockItemMade(operations.create(who, input));
    }

    @PutMapping("/items/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void update(
            @AuthenticationPrincipal SignedIn who, @PathVariable long id, @Valid @RequestBody StockItemChange change) {
        operations.update(who, id, change.version(), change.item());
    }

    @DeleteMapping("/items/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable long id) {
        operations.remove(who, id);
    }

    /** Puts a removed item back. */
    @PostMapping("/items/{id}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@AuthenticationPrincipal SignedIn who, @PathVariable long id) {
        operations.restore(who, id);
    }

    @GetMapping("/items/{id}/moves")
    List<MoveView> moves(@AuthenticationPrincipal SignedIn who, @PathVariable long id) {
        return shelf.moves(who, id);
    }

    @PutMapping("/moves/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void move(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody StockMoveInput input) {
        operations.move(who, id, new MoveInput(input.itemId(), input.kind(), input.amount(), input.on()));
    }

    /** A kit taken apart. */
    record KitOpened(
            @NotNull(message = "Which kit?") Long itemId,
            @NotNull(message = "On which day?") LocalDate on) {}

    /** Opens a kit; taken back like any other move. */
    @PutMapping("/openings/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void open(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id, @Valid @RequestBody KitOpened kit) {
        operations.open(who, id, kit.itemId(), kit.on());
    }

    @DeleteMapping("/moves/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@AuthenticationPrincipal SignedIn who, @PathVariable UUID id) {
        operations.withdraw(who, id);
    }
}
