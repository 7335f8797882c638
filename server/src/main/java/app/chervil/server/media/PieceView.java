package app.chervil.server.media;

import app.chervil.core.media.Life.State;
import app.chervil.core.sums.BioMedium;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A piece of media today.
 *
 * @param kindName what it is made of, in the middle of a sentence
 * @param grams left of it
 * @param share of the bacteria such media holds in the end, 0 to 1
 * @param death why it began anew, as a sentence; absent if it never had to or has settled since
 * @param ripeOn when it is ripe if it stays where it is; absent if it is, or lies in no tank
 * @param stays where it has been, oldest first, before it was split off as well
 * @param lastMove what can be taken back
 * @param parts pieces that were split off it
 */
public record PieceView(
        UUID id,
        String name,
        BioMedium kind,
        String kindName,
        double grams,
        LocalDate since,
        @Nullable UUID fromId,
        State state,
        double share,
        @Nullable String death,
        @Nullable LocalDate ripeOn,
        List<StayView> stays,
        MadeMove lastMove,
        List<UUID> parts) {
    /**
     * A piece and how its bacteria came and went.
     *
     * @param curve from the day its record begins until today, 50 points or so
     */
    record PieceLife(PieceView piece, List<LifePoint> curve) {}

    /**
     * A point of that curve.
     *
     * @param share of the bacteria such media holds in the end, 0 to 1
     */
    record LifePoint(LocalDate on, double share) {}

    /**
     * A stretch of days in one spot.
     *
     * @param where in words: "Weir on Brook bench"
     * @param forTank the tank it was seeded for
     */
    public record StayView(
            SpotKind spot,
            String where,
            @Nullable Long tankId,
            @Nullable Long filterId,
            @Nullable String forTank,
            @Nullable Long forTankId,
            LocalDate from,
            @Nullable LocalDate until) {}

    /** A move as it was told. */
    public record MadeMove(
            UUID id, LocalDate on, String doneBy, @Nullable String why) {}

    /**
     * What is said before a move.
     *
     * @param refusal why it cannot be done at all
     * @param holds reasons to wait, which a written reason overrules
     * @param advice what to know
     * @param gap what is left to do where it was taken from
     * @param carries share of its stocking that a young tank's media then carries; absent for others
     */
    record MoveAdvice(
            @Nullable String refusal,
            List<String> holds,
            List<String> advice,
            @Nullable String gap,
            @Nullable Double carries) {}
}
