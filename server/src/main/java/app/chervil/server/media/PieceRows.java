package app.chervil.server.media;

import app.chervil.core.media.Move;
import app.chervil.core.media.Piece;
import app.chervil.core.media.Spot;
import app.chervil.core.sums.BioMedium;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Rows of media_piece and media_move. */
final class PieceRows {
    private PieceRows() {}

    record PieceRow(
            UUID id,
            String name,
            BioMedium kind,
            double grams,
            LocalDate since,
            @Nullable UUID fromId,
            String doneBy) {
        Piece piece() {
            return new Piece(id, name, kind, grams, since, Optional.ofNullable(fromId));
        }

        boolean says(PieceRow other) {
            return name.equals(other.name)
                    && kind == other.kind
                    && Double.compare(grams, other.grams) == 0
                    && since.equals(other.since)
                    && Objects.equals(fromId, other.fromId);
        }
    }

    /**
     * A move.
     *
     * @param grams that were moved
     * @param parted whether they were split off another piece by this move
     * @param seenOn when somebody said that they saw it was ripe
     * @param filterName of the filter it went into, in use or not; read only
     */
    record MoveRow(
            UUID id,
            long number,
            UUID pieceId,
            LocalDate movedOn,
            SpotKind spot,
            @Nullable Long tankId,
            @Nullable Long filterId,
            @Nullable Long forTankId,
            double grams,
            boolean parted,
            @Nullable String why,
            @Nullable LocalDate seenOn,
            String doneBy,
            @Nullable String filterName) {
        Move move() {
            return new Move(pieceId, movedOn, number, to());
        }

        Spot to() {
            return switch (spot) {
                case IN_FILTER -> new Spot.InFilter(known(tankId), known(filterId));
                case SEEDING -> new Spot.Seeding(known(tankId), known(filterId), known(forTankId));
                case WET_SHELF -> new Spot.WetShelf();
                case DRY_SHELF -> new Spot.DryShelf();
                case GONE -> new Spot.Gone();
            };
        }

        private static long known(@Nullable Long id) {
            return Objects.requireNonNull(id, "a spot in a filter names it");
        }

        boolean says(UUID piece, LocalDate on, Spot spot) {
            return pieceId.equals(piece) && movedOn.equals(on) && to().equals(spot);
        }

        static MoveRow of(UUID id, Move move, Carried carried, String by) {
            Spot to = move.to();
            return new MoveRow(
                    id,
                    move.number(),
                    move.piece(),
                    move.on(),
                    SpotKind.of(to),
                    to.tankId().orElse(null),
                    to.filterId().orElse(null),
                    to instanceof Spot.Seeding seeding ? (Long) seeding.forTank() : null,
                    carried.grams,
                    carried.parted,
                    carried.why == null || carried.why.isBlank() ? null : carried.why.trim(),
                    null,
                    by,
                    null);
        }
    }

    /**
     * What a move carries.
     *
     * @param parted whether it is split off another piece by the move
     * @param why said where something speaks against it
     */
    record Carried(double grams, boolean parted, @Nullable String why) {}
}
