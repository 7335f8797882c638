package app.chervil.server.media;

import app.chervil.server.account.SignedIn;
import app.chervil.server.media.PieceInput.PieceMove;
import app.chervil.server.media.PieceView.MoveAdvice;
import app.chervil.server.media.PieceView.PieceLife;
import app.chervil.server.tank.TankOperations;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
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

/** Media with its history over HTTP. */
@RestController
@RequestMapping("/api")
class PieceController {
    private final PieceOperations pieces;
    private final TankOperations tanks;

    PieceController(PieceOperations pieces, TankOperations tanks) {
        this.pieces = pieces;
        this.tanks = tanks;
    }

    @GetMapping("/media")
    List<PieceView> list(@AuthenticationPrincipal SignedIn who) {
        return pieces.list(who);
    }

    @GetMapping("/media/{piece}")
    PieceLife life(@AuthenticationPrincipal SignedIn who, @PathVariable UUID piece) {
        return pieces.life(who, piece);
    }

    @PutMapping("/media/{piece}")
    PieceView begin(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID piece, @Valid @RequestBody PieceInput input) {
        return pieces.begin(who, piece, input);
    }

    /** A new name. */
    record PieceName(
            @NotBlank(message = "What do you call it?") @Size(max = 60, message = "At most 60 characters.")
            String name) {}

    @PutMapping("/media/{piece}/name")
    PieceView rename(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID piece, @Valid @RequestBody PieceName name) {
        return pieces.rename(who, piece, name.name());
    }

    @DeleteMapping("/media/{piece}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal SignedIn who, @PathVariable UUID piece) {
        pieces.remove(who, piece);
    }

    /** What is said before a move. */
    @PostMapping("/media/{piece}/advice")
    MoveAdvice advise(
            @AuthenticationPrincipal SignedIn who, @PathVariable UUID piece, @Valid @RequestBody PieceMove input) {
        return pieces.advise(who, piece, input);
    }

    @PutMapping("/media/{piece}/moves/{move}")
    PieceView move(
            @AuthenticationPrincipal SignedIn who,
            @PathVariable UUID piece,
            @PathVariable UUID move,
            @Valid @RequestBody PieceMove input) {
        return pieces.move(who, piece, move, input);
    }

    @DeleteMapping("/media-moves/{move}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void takeBack(@AuthenticationPrincipal SignedIn who, @PathVariable UUID move) {
        pieces.takeBack(who, move);
    }

    /** Ids of quarantine tanks. */
    @GetMapping("/quarantine-tanks")
    Set<Long> quarantined(@AuthenticationPrincipal SignedIn who) {
        return new TreeSet<>(tanks.quarantined(who));
    }

    /** Whether a tank is for quarantine. */
    record QuarantineInput(
            @NotNull(message = "Is it for quarantine?") Boolean quarantine) {}

    @PutMapping("/tanks/{tank}/quarantine")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void quarantine(
            @AuthenticationPrincipal SignedIn who, @PathVariable long tank, @Valid @RequestBody QuarantineInput input) {
        tanks.quarantine(who, tank, input.quarantine());
    }
}
