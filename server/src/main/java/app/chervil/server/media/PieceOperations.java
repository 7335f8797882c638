package app.chervil.server.media;

import app.chervil.core.media.Carries;
import app.chervil.core.media.Move;
import app.chervil.core.media.Piece;
import app.chervil.core.media.Spot;
import app.chervil.core.media.Transfer;
import app.chervil.server.account.SignedIn;
import app.chervil.server.media.PieceInput.MediaPart;
import app.chervil.server.media.PieceInput.PieceMove;
import app.chervil.server.media.PieceRows.Carried;
import app.chervil.server.media.PieceRows.MoveRow;
import app.chervil.server.media.PieceRows.PieceRow;
import app.chervil.server.media.PieceView.MoveAdvice;
import app.chervil.server.media.PieceView.PieceLife;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.MediaOperations.MediaVerdict;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Bags, foams and baskets of media: where each is, what it is worth, and its moves. */
@Service
public class PieceOperations {
    private static final int MOST_PIECES = 2000;

    private final PieceRecord record;
    private final PieceBooks books;
    private final MovePlans plans;
    private final MoveEffects effects;
    private final TankOperations tanks;

    PieceOperations(PieceRecord record, PieceBooks books, MovePlans plans, MoveEffects effects, TankOperations tanks) {
        this.record = record;
        this.books = books;
        this.plans = plans;
        this.effects = effects;
        this.tanks = tanks;
    }

    /** Every piece on record, by name; what was thrown away as well. */
    @Transactional(readOnly = true)
    List<PieceView> list(SignedIn who) {
        PieceBook book = books.of(who);
        return book.holdings().pieces().stream()
                .map(piece -> book.view(piece.id(), tanks.today()))
                .toList();
    }

    /**
     * One piece with the curve of its bacteria.
     *
     * @throws NotFound if there is no such piece
     */
    @Transactional(readOnly = true)
    PieceLife life(SignedIn who, UUID piece) {
        PieceBook book = books.of(who);
        if (book.holdings().piece(piece).isEmpty()) {
            throw new NotFound("piece of media");
        }
        return new PieceLife(book.view(piece, tanks.today()), book.curve(piece, tanks.today()));
    }

    private PieceView view(SignedIn who, UUID piece) {
        return books.of(who).view(piece, tanks.today());
    }

    /**
     * Begins the record of a piece where it is, once under the id its client made. What lies in a filter already is part of
     * what that filter is known to hold.
     *
     * @throws Rejected if something speaks against it, or something else is kept under the id
     */
    @Transactional
    public PieceView begin(SignedIn who, UUID id, PieceInput input) {
        PieceRow row =
                new PieceRow(id, input.name().trim(), input.kind(), input.grams(), input.since(), null, who.name());
        List<PieceRow> kept = books.kept(who).pieces();
        Optional<PieceRow> same =
                kept.stream().filter(one -> one.id().equals(id)).findFirst();
        if (same.isPresent()) {
            if (!same.get().says(row)) {
                throw Rejected.taken();
            }
            return view(who, id);
        }
        tanks.checkDay("since", input.since());
        new Rejected.Gatherer()
                .check(
                        kept.size() < MOST_PIECES,
                        "name",
                        "too-many",
                        "A site keeps at most " + MOST_PIECES + " pieces of media.")
                .done();
        Spot spot = plans.spot(who, input.spot(), "spot");
        Transfer beginning = plans.beginning(who, books.of(who), spot, input.since());
        checkHolds(beginning.holds(), input.why());
        record.begin(who, row);
        record.move(
                who,
                MoveRow.of(
                        input.moveId(),
                        new Move(id, input.since(), 0, spot),
                        new Carried(input.grams(), false, input.why()),
                        who.name()));
        return view(who, id);
    }

    private static void checkHolds(List<String> holds, @Nullable String why) {
        new Rejected.Gatherer()
                .check(
                        holds.isEmpty() || (why != null && !why.isBlank()),
                        "why",
                        "held",
                        String.join(" ", holds) + " Write why it is done anyway.")
                .done();
    }

    /** Calls a piece something else. */
    @Transactional
    PieceView rename(SignedIn who, UUID id, String name) {
        record.rename(who, id, name);
        return view(who, id);
    }

    /**
     * What is said before a move.
     *
     * @throws NotFound if there is no such piece, tank or filter
     */
    @Transactional(readOnly = true)
    MoveAdvice advise(SignedIn who, UUID piece, PieceMove input) {
        PieceBook book = books.of(who);
        MovePlan plan = plans.of(who, book, piece, input);
        List<String> advice = new ArrayList<>(plan.transfer().advice());
        plan.verdict().map(MediaVerdict::spacing).ifPresent(advice::add);
        Optional<Double> carries = plans.carries(who, book, plan);
        carries.map(Carries::told).ifPresent(advice::add);
        return new MoveAdvice(
                plan.transfer().refusal().orElse(null),
                plan.holds(),
                advice,
                plan.gap().orElse(null),
                carries.orElse(null));
    }

    /**
     * Moves a piece or a part of it, once under the id its client made.
     *
     * @return the piece that was moved: the part, if it is one
     * @throws Rejected if it cannot be done, or something speaks against it and no reason is given
     */
    @Transactional
    public PieceView move(SignedIn who, UUID piece, UUID id, PieceMove input) {
        PieceBook book = books.of(who);
        MediaPart part = input.part();
        UUID moved = part == null ? piece : part.id();
        Optional<MoveRow> made = book.move(id);
        if (made.isPresent()) {
            if (!made.get().says(moved, input.on(), plans.spot(who, input.to(), "to"))) {
                throw Rejected.taken();
            }
            return view(who, moved);
        }
        tanks.checkDay("on", input.on());
        MovePlan plan = plans.of(who, book, piece, input);
        plan.transfer().refusal().ifPresent(refusal -> {
            throw Rejected.field("to", "cannot", refusal);
        });
        checkHolds(plan.holds(), input.why());
        if (part != null) {
            record.begin(who, splitOff(part, plan.piece(), input.on(), who.name()));
        }
        record.move(
                who,
                MoveRow.of(
                        id,
                        new Move(moved, input.on(), 0, plan.transfer().to()),
                        new Carried(plan.grams(), part != null, input.why()),
                        who.name()));
        effects.made(who, id, plan, input.why(), tanks.today());
        return view(who, moved);
    }

    private static PieceRow splitOff(MediaPart part, Piece whole, LocalDate on, String by) {
        return new PieceRow(part.id(), part.name().trim(), whole.kind(), part.grams(), on, whole.id(), by);
    }

    /**
     * Takes back the last move of a piece; a part that was split off by it becomes one with its whole again.
     *
     * @throws Rejected if something came after it, or it is where the record begins
     */
    @Transactional
    void takeBack(SignedIn who, UUID id) {
        PieceBook book = books.of(who);
        MoveRow move = book.move(id).orElseThrow(() -> new NotFound("move"));
        UUID piece = move.pieceId();
        new Rejected.Gatherer()
                .check(
                        book.lastMove(piece).id().equals(id),
                        "",
                        "not-the-last",
                        "Take back what was done with it since, first.")
                .check(
                        !book.split(piece, move.movedOn()),
                        "",
                        "has-parts",
                        "Parts were split off it since. Take those back first.")
                .check(
                        move.parted() || !book.firstMove(piece).id().equals(id),
                        "",
                        "first",
                        "This is where its record begins. Remove the piece instead.")
                .done();
        Optional<Spot> from = book.before(move);
        record.takeBack(who, id);
        if (move.parted()) {
            record.remove(who, piece);
        }
        effects.takenBack(who, book.holdings().piece(piece).orElseThrow(), move, from);
    }

    /**
     * Removes a piece that should never have been on record.
     *
     * @throws Rejected if it was moved or split since
     */
    @Transactional
    void remove(SignedIn who, UUID id) {
        PieceBook book = books.of(who);
        Piece piece = book.holdings().piece(id).orElseThrow(() -> new NotFound("piece of media"));
        boolean alone = piece.from().isEmpty()
                && !book.split(id, piece.since())
                && book.lastMove(id).equals(book.firstMove(id));
        new Rejected.Gatherer()
                .check(
                        alone,
                        "",
                        "has-a-history",
                        "It was moved or split. Take that back first, or say that it was thrown away.")
                .done();
        record.remove(who, id);
    }
}
