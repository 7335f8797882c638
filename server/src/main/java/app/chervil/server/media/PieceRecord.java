package app.chervil.server.media;

import app.chervil.server.account.SignedIn;
import app.chervil.server.media.PieceRows.MoveRow;
import app.chervil.server.media.PieceRows.PieceRow;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What is written down of pieces and their moves. */
@Component
class PieceRecord {
    private final PieceMapper mapper;
    private final Clock clock;

    PieceRecord(PieceMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** @throws Rejected if something else is kept under its id */
    void begin(SignedIn who, PieceRow row) {
        if (mapper.insertPiece(who.siteId(), row) == 0) {
            throw Rejected.taken();
        }
    }

    /** @throws Rejected if something else is kept under its id */
    void move(SignedIn who, MoveRow row) {
        if (mapper.insertMove(who.siteId(), row) == 0) {
            throw Rejected.taken();
        }
    }

    /** @throws NotFound if there is no such piece */
    void rename(SignedIn who, UUID id, String name) {
        if (mapper.updateName(who.siteId(), id, name.trim()) == 0) {
            throw new NotFound("piece of media");
        }
    }

    void takeBack(SignedIn who, UUID move) {
        mapper.deleteMove(who.siteId(), move, clock.instant());
    }

    void remove(SignedIn who, UUID piece) {
        mapper.deletePiece(who.siteId(), piece, clock.instant());
    }
}
