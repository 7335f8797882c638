package app.chervil.server.media;

import app.chervil.core.media.Holdings;
import app.chervil.core.media.Life;
import app.chervil.core.media.Life.Worth;
import app.chervil.core.media.Living;
import app.chervil.core.media.Move;
import app.chervil.core.media.Ripening;
import app.chervil.core.media.Spot;
import app.chervil.core.media.Stay;
import app.chervil.server.media.PieceRows.MoveRow;
import app.chervil.server.media.PieceRows.PieceRow;
import app.chervil.server.media.PieceView.LifePoint;
import app.chervil.server.media.PieceView.MadeMove;
import app.chervil.server.media.PieceView.StayView;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** All media of a site with the tanks it has been in. */
final class PieceBook {
    private static final int CURVE_POINTS = 50;

    private final Holdings holdings;
    private final List<MoveRow> moves;
    private final Map<Long, Living> tanks;
    private final Map<Long, String> filters;
    private final Ripening ripening;

    /** {@code filters} are names of those in use and of those any move went into. */
    PieceBook(
            List<PieceRow> pieces,
            List<MoveRow> moves,
            Map<Long, Living> tanks,
            Map<Long, String> filters,
            Ripening ripening) {
        this.ripening = ripening;
        List<Move> made = moves.stream().map(MoveRow::move).toList();
        this.holdings = new Holdings(pieces.stream().map(PieceRow::piece).toList(), made);
        this.moves = moves;
        this.tanks = tanks;
        this.filters = filters;
    }

    Holdings holdings() {
        return holdings;
    }

    Optional<Living> tank(Optional<Long> id) {
        return id.map(tanks::get);
    }

    Worth worth(UUID piece, LocalDate day) {
        return new Life(holdings.stays(piece), tanks, ripening).on(day);
    }

    /** The last move of a piece; a part that was split off has one of its own. */
    MoveRow lastMove(UUID piece) {
        return moves.stream()
                .filter(move -> move.pieceId().equals(piece))
                .reduce((earlier, later) -> later)
                .orElseThrow();
    }

    /** Where the record of a piece begins. */
    MoveRow firstMove(UUID piece) {
        return moves.stream()
                .filter(move -> move.pieceId().equals(piece))
                .findFirst()
                .orElseThrow();
    }

    /** Whether parts were split off a piece on a day or later. */
    boolean split(UUID piece, LocalDate since) {
        return holdings.pieces().stream()
                .anyMatch(part ->
                        part.from().equals(Optional.of(piece)) && !part.since().isBefore(since));
    }

    /** Where a piece was before a move, or its whole before the move split it off. */
    Optional<Spot> before(MoveRow move) {
        if (move.parted()) {
            UUID whole = holdings.piece(move.pieceId()).orElseThrow().from().orElseThrow();
            return holdings.at(whole, move.movedOn()).map(Stay::spot);
        }
        return moves.stream()
                .filter(other -> other.pieceId().equals(move.pieceId()))
                .takeWhile(other -> !other.id().equals(move.id()))
                .reduce((earlier, later) -> later)
                .map(MoveRow::to);
    }

    Optional<MoveRow> move(UUID id) {
        return moves.stream().filter(move -> move.id().equals(id)).findFirst();
    }

    PieceView view(UUID id, LocalDate today) {
        var piece = holdings.piece(id).orElseThrow();
        Worth worth = worth(id, today);
        MoveRow last = lastMove(id);
        return new PieceView(
                id,
                piece.name(),
                piece.kind(),
                piece.kind().words(),
                holdings.grams(id, today),
                piece.since(),
                piece.from().orElse(null),
                worth.state(),
                worth.share(),
                worth.death().map(Life.Death::words).orElse(null),
                worth.ripeOn().orElse(null),
                holdings.stays(id).stream().map(this::stay).toList(),
                new MadeMove(last.id(), last.movedOn(), last.doneBy(), last.why()),
                holdings.pieces().stream()
                        .filter(other -> other.from().equals(Optional.of(id)))
                        .map(other -> other.id())
                        .toList());
    }

    /** A point at least on every stay's first day and last, so that a death is seen as one. */
    List<LifePoint> curve(UUID id, LocalDate today) {
        List<Stay> stays = holdings.stays(id);
        LocalDate first = stays.get(0).from();
        long step = Math.max(1, ChronoUnit.DAYS.between(first, today) / CURVE_POINTS);
        TreeSet<LocalDate> days = new TreeSet<>();
        for (LocalDate day = first; day.isBefore(today); day = day.plusDays(step)) {
            days.add(day);
        }
        stays.forEach(stay -> {
            days.add(stay.from());
            days.add(stay.from().minusDays(1));
        });
        days.add(today);
        Life life = new Life(stays, tanks, ripening);
        return days.subSet(first, true, today, true).stream()
                .map(day -> new LifePoint(day, life.on(day).share()))
                .toList();
    }

    private StayView stay(Stay stay) {
        @Nullable Long forTank = stay.spot() instanceof Spot.Seeding seeding ? (Long) seeding.forTank() : null;
        return new StayView(
                SpotKind.of(stay.spot()),
                where(stay),
                stay.tank().orElse(null),
                stay.filter().orElse(null),
                forTank == null ? null : nameOf(forTank),
                forTank,
                stay.from(),
                stay.until().orElse(null));
    }

    /** Where that is, in the middle of a sentence or at its beginning. */
    String where(Stay stay) {
        return switch (SpotKind.of(stay.spot())) {
            case IN_FILTER, SEEDING ->
                filterName(stay.filter().orElseThrow())
                        + " on "
                        + nameOf(stay.tank().orElseThrow());
            case WET_SHELF -> "Wet on the shelf";
            case DRY_SHELF -> "Dry on the shelf";
            case GONE -> "Thrown away";
        };
    }

    String filterName(long filter) {
        return filters.getOrDefault(filter, "a filter");
    }

    String nameOf(long tank) {
        Living found = tanks.get(tank);
        return found == null ? "a tank" : found.name();
    }
}
