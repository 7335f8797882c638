package app.chervil.server.media;

import app.chervil.core.media.Piece;
import app.chervil.core.media.Spot;
import app.chervil.core.media.Stay;
import app.chervil.core.procedure.FollowUp;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.media.PieceRows.MoveRow;
import app.chervil.server.water.MediaOperations;
import app.chervil.server.water.MediaOperations.MediaDone;
import app.chervil.server.water.MediaOperations.MediaPlan;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a move does beside itself: filters hold more or less, a tank's own media counts as exchanged, a gap is to be closed. */
@Component
class MoveEffects {
    private static final int GAP_DAYS = 3;

    private final FilterOperations filters;
    private final MediaOperations replacements;
    private final FollowUpOperations followUps;

    MoveEffects(FilterOperations filters, MediaOperations replacements, FollowUpOperations followUps) {
        this.filters = filters;
        this.replacements = replacements;
        this.followUps = followUps;
    }

    /**
     * After a move.
     *
     * @param id of the move
     * @param why it was made though something spoke against it
     * @param today a gap of long ago is closed, or nobody minds it
     */
    void made(SignedIn who, UUID id, MovePlan plan, @Nullable String why, LocalDate today) {
        boolean weighed = plan.verdict().filter(one -> one.leftGrams() != null).isPresent();
        plan.source()
                .filter(at -> weighed)
                .ifPresent(at -> replacements.replace(
                        who,
                        at.tank(),
                        id,
                        new MediaDone(
                                new MediaPlan(at.stage(), plan.grams()),
                                plan.transfer().on(),
                                why)));
        double grams = MovePlan.weighed(plan.piece()) ? plan.grams() : 0;
        shift(who, plan.transfer().from().map(Stay::spot), -grams);
        shift(who, Optional.of(plan.transfer().to()), grams);
        plan.gap()
                .filter(words -> !plan.transfer().on().isBefore(today.minusDays(GAP_DAYS)))
                .ifPresent(words -> followUps.ask(
                        who,
                        plan.leaves().orElseThrow(),
                        id,
                        List.of(new FollowUp(FollowUp.Kind.LOOK, words, Duration.ZERO))));
    }

    /**
     * After a move was taken back.
     *
     * @param from where it had been
     */
    void takenBack(SignedIn who, Piece piece, MoveRow move, Optional<Spot> from) {
        double grams = MovePlan.weighed(piece) ? move.grams() : 0;
        shift(who, from, grams);
        shift(who, Optional.of(move.to()), -grams);
        followUps.forget(who, move.id());
        replacements.forget(who, move.id());
    }

    /** Media that works in a filter is counted there; what is only seeded beside it is not. */
    private void shift(SignedIn who, Optional<Spot> spot, double grams) {
        if (spot.isPresent() && spot.get() instanceof Spot.InFilter working && grams != 0) {
            filters.shiftMedia(who, working.filter(), grams);
        }
    }
}
