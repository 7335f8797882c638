package app.chervil.server.followup;

import app.chervil.server.account.SignedIn;
import app.chervil.server.followup.FollowUpOperations.Asked;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/** Looks that no piece of work asks for, but the calendar; each under an id that follows from what it is and when. */
public interface DueLooks {
    /** Looks asked for by a day. */
    List<Asked> due(SignedIn who, LocalDate today);

    /** Says that somebody looked; false if this look is none of these. */
    boolean done(SignedIn who, UUID id, LocalDate today);

    /** Takes that back; false if this look is none of these, or is no longer the last. */
    boolean undone(SignedIn who, UUID id);
}
