package app.chervil.core.media;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * All pieces of a site and where they were laid. A piece is in one spot on any day; a part that is split off leaves its
 * mass behind in none but itself, and brings along where the whole had been.
 */
public final class Holdings {
    private final Map<UUID, Piece> pieces = new LinkedHashMap<>();
    private final List<Move> moves;

    /**
     * Pieces and moves, in any order.
     *
     * @throws IllegalArgumentException if a piece comes from one that is not there or from itself, or parts weigh more than
     *     their whole
     */
    public Holdings(Collection<Piece> pieces, Collection<Move> moves) {
        pieces.forEach(piece -> this.pieces.put(piece.id(), piece));
        this.moves = moves.stream()
                .sorted(Comparator.comparing(Move::on).thenComparing(Move::number))
                .toList();
        pieces.forEach(this::check);
    }

    private void check(Piece piece) {
        Set<UUID> seen = new HashSet<>();
        for (Optional<UUID> at = Optional.of(piece.id()); at.isPresent(); ) {
            UUID id = at.get();
            if (!pieces.containsKey(id) || !seen.add(id)) {
                throw new IllegalArgumentException("the piece " + piece.id() + " comes from none that is there");
            }
            at = pieces.get(id).from();
        }
        if (!(grams(piece.id(), LocalDate.MAX) > 0)) {
            throw new IllegalArgumentException("parts of " + piece.id() + " weigh as much as their whole");
        }
    }

    public List<Piece> pieces() {
        return List.copyOf(pieces.values());
    }

    /** What a piece is called, weighs and came from; empty if there is none. */
    public Optional<Piece> piece(UUID id) {
        return Optional.ofNullable(pieces.get(id));
    }

    /**
     * What is left of a piece at the end of a day, in grams: less what was split off it.
     *
     * @throws IllegalArgumentException if there is no such piece
     */
    public double grams(UUID id, LocalDate day) {
        double parts = pieces.values().stream()
                .filter(part ->
                        part.from().equals(Optional.of(id)) && !part.since().isAfter(day))
                .mapToDouble(Piece::grams)
                .sum();
        return of(id).grams() - parts;
    }

    /**
     * Where a piece has been since its record begins, oldest first, and before that where the whole was that it came from.
     *
     * @throws IllegalArgumentException if there is no such piece
     */
    public List<Stay> stays(UUID id) {
        Piece piece = of(id);
        List<Stay> stays = new ArrayList<>();
        piece.from().ifPresent(whole -> upTo(stays(whole), piece.since()).forEach(stays::add));
        for (Move move : moves) {
            if (move.piece().equals(id)) {
                lay(stays, move);
            }
        }
        return stays;
    }

    private static void lay(List<Stay> stays, Move move) {
        if (!stays.isEmpty()) {
            Stay last = stays.remove(stays.size() - 1);
            if (last.from().isBefore(move.on())) {
                stays.add(new Stay(last.spot(), last.from(), Optional.of(move.on())));
            }
        }
        stays.add(new Stay(move.to(), move.on(), Optional.empty()));
    }

    /** The stay that holds on a day is open at its end, as a part that is left where it was. */
    private static List<Stay> upTo(List<Stay> stays, LocalDate day) {
        List<Stay> before = new ArrayList<>();
        for (Stay stay : stays) {
            if (stay.from().isAfter(day)) {
                break;
            }
            boolean over = stay.until().map(until -> !until.isAfter(day)).orElse(false);
            before.add(over ? stay : new Stay(stay.spot(), stay.from(), Optional.empty()));
        }
        return before;
    }

    /** Where a piece is at the end of a day; empty before its record begins. */
    public Optional<Stay> at(UUID id, LocalDate day) {
        return stays(id).stream()
                .filter(stay -> !stay.from().isAfter(day)
                        && stay.until().map(until -> until.isAfter(day)).orElse(true))
                .findFirst();
    }

    private Piece of(UUID id) {
        return piece(id).orElseThrow(() -> new IllegalArgumentException("there is no piece " + id));
    }
}
