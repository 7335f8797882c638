package app.chervil.core.stock;

import app.chervil.core.calc.Check;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What is there of one thing, in the unit it is counted in.
 *
 * @param ready to be used; below zero if more was used than was ever counted or bought
 * @param dirty used and waiting for its wash; zero for what is thrown away
 */
public record Shelf(double ready, double dirty) {

    /** What can happen to it. */
    public enum Kind {
        /** This many are ready, whatever was reckoned before. */
        COUNTED,
        BOUGHT,
        USED,
        /** This many dirty ones are ready again. */
        WASHED,
        /** Thrown away, given away or gone without a service. */
        LOST
    }

    /**
     * One happening.
     *
     * @param on the day it happened
     * @param logged when it was written down; tells the order within a day
     * @param amount 0 or above
     */
    public record Move(LocalDate on, Instant logged, Kind kind, double amount) {
        public Move {
            Check.notNegative("amount", amount);
        }
    }

    /**
     * Follows what happened since the last count.
     *
     * @param moves in any order
     * @param turned whether it is washed and used again
     * @return empty if it was never counted
     */
    public static Optional<Shelf> after(List<Move> moves, boolean turned) {
        List<Move> ordered = moves.stream()
                .sorted(Comparator.comparing(Move::on).thenComparing(Move::logged))
                .toList();
        Optional<Shelf> shelf = Optional.empty();
        for (Move move : ordered) {
            shelf = move.kind() == Kind.COUNTED
                    ? Optional.of(
                            new Shelf(move.amount(), shelf.map(Shelf::dirty).orElse(0.0)))
                    : shelf.map(before -> before.then(move, turned));
        }
        return shelf;
    }

    private Shelf then(Move move, boolean turned) {
        double amount = move.amount();
        return switch (move.kind()) {
            case COUNTED -> new Shelf(amount, dirty);
            case BOUGHT -> new Shelf(ready + amount, dirty);
            case LOST -> new Shelf(ready - amount, dirty);
            case USED -> new Shelf(ready - amount, turned ? dirty + amount : 0);
            case WASHED -> new Shelf(ready + amount, Math.max(0, dirty - amount));
        };
    }
}
