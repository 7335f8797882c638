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
 * @param ready to be used, never below zero
 * @param dirty used and waiting for its wash; zero for what is thrown away
 * @param unsure whether more was used than was there, so that it is to be counted
 */
public record Shelf(double ready, double dirty, boolean unsure) {
    /** As it was counted. */
    public Shelf(double ready, double dirty) {
        this(ready, dirty, false);
    }

    /** What sums of decimal amounts may be off by. */
    private static final double TINY = 1e-9;

    /** What can happen to it. */
    public enum Kind {
        /** This many are ready, whatever was reckoned before. */
        COUNTED,
        BOUGHT,
        USED,
        /** This many dirty ones are ready again. */
        WASHED,
        /** Thrown away, given away or gone without a service. */
        LOST,
        /** A kit taken apart: what it held is on the shelf now. */
        OPENED
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
            case BOUGHT -> new Shelf(ready + amount, dirty, unsure);
            case LOST, OPENED -> less(amount, dirty);
            case USED -> less(amount, turned ? dirty + amount : 0);
            case WASHED -> new Shelf(ready + amount, Math.max(0, dirty - amount), unsure);
        };
    }

    private Shelf less(double amount, double dirtyNow) {
        return new Shelf(Math.max(0, ready - amount), dirtyNow, unsure || amount > ready + TINY);
    }
}
