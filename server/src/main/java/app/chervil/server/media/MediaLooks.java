package app.chervil.server.media;

import app.chervil.core.media.Life.State;
import app.chervil.core.media.Spot;
import app.chervil.server.account.SignedIn;
import app.chervil.server.followup.DueLooks;
import app.chervil.server.followup.FollowUpOperations.Asked;
import app.chervil.server.media.PieceRows.MoveRow;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Media that was seeded and is ripe, as the rounds tell of it: under the id of the move that laid it there. */
@Component
class MediaLooks implements DueLooks {
    private final PieceMapper mapper;
    private final PieceBooks books;
    private final Clock clock;

    MediaLooks(PieceMapper mapper, PieceBooks books, Clock clock) {
        this.mapper = mapper;
        this.books = books;
        this.clock = clock;
    }

    @Override
    public List<Asked> due(SignedIn who, LocalDate today) {
        if (books.kept(who).moves().stream().noneMatch(move -> move.spot() == SpotKind.SEEDING)) {
            return List.of();
        }
        PieceBook book = books.of(who);
        return book.holdings().pieces().stream()
                .map(piece -> book.lastMove(piece.id()))
                .filter(move -> move.seenOn() == null)
                .flatMap(move -> asked(book, move, today).stream())
                .toList();
    }

    private Optional<Asked> asked(PieceBook book, MoveRow move, LocalDate today) {
        if (!(move.to() instanceof Spot.Seeding seeding)
                || book.worth(move.pieceId(), today).state() != State.RIPE) {
            return Optional.empty();
        }
        String name = book.holdings().piece(move.pieceId()).orElseThrow().name();
        String words = name + " in " + book.filterName(seeding.filter()) + " is ripe. Move it to "
                + book.nameOf(seeding.forTank()) + ", and close the gap it leaves.";
        return Optional.of(new Asked(
                move.id(),
                seeding.tank(),
                words,
                ripe(book, move, today).atStartOfDay(clock.getZone()).toInstant()));
    }

    /** The first day on which it was; looked for back from today, since what it rests on may have changed since. */
    private static LocalDate ripe(PieceBook book, MoveRow move, LocalDate today) {
        LocalDate day = today;
        while (day.isAfter(move.movedOn())
                && book.worth(move.pieceId(), day.minusDays(1)).state() == State.RIPE) {
            day = day.minusDays(1);
        }
        return day;
    }

    @Override
    public boolean done(SignedIn who, UUID id, LocalDate today) {
        return mapper.updateSeen(who.siteId(), id, today) > 0;
    }

    @Override
    public boolean undone(SignedIn who, UUID id) {
        return mapper.updateSeen(who.siteId(), id, null) > 0;
    }
}
