package app.chervil.server.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.chervil.core.media.Life.State;
import app.chervil.core.media.Life.Worth;
import app.chervil.core.media.Living;
import app.chervil.core.media.Move;
import app.chervil.core.media.Ripening;
import app.chervil.core.media.Spot;
import app.chervil.core.media.Stay;
import app.chervil.core.media.Transfer;
import app.chervil.core.sums.BioMedium;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Hold;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.media.PieceInput.PieceMove;
import app.chervil.server.media.PieceInput.SpotInput;
import app.chervil.server.media.PieceMapper.Kept;
import app.chervil.server.media.PieceRows.Carried;
import app.chervil.server.media.PieceRows.MoveRow;
import app.chervil.server.media.PieceRows.PieceRow;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A bag that has worked in filter 10 of tank 1 since April, and is to go on the wet shelf today. */
class PieceOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final UUID BAG = new UUID(0, 1);
    private static final UUID FIRST = new UUID(0, 2);
    private static final UUID MOVE = new UUID(0, 3);
    private static final Spot WEIR = new Spot.InFilter(1, 10);
    private static final Living BROOK =
            new Living("Brook", WaterKind.FRESH, Stocking.NORMAL, 25, TODAY.minusYears(3), List.of(), false);
    private static final SpotInput SHELF = new SpotInput(SpotKind.WET_SHELF, null, null);

    private final PieceMapper mapper = mock();
    private final PieceBooks books = mock();
    private final MovePlans plans = mock();
    private final MoveEffects effects = mock();
    private final TankOperations tanks = mock();
    private final PieceOperations pieces = new PieceOperations(
            new PieceRecord(mapper, Clock.fixed(Instant.parse("2026-06-01T10:00:00Z"), ZoneOffset.UTC)),
            books,
            plans,
            effects,
            tanks);

    private final PieceRow row = new PieceRow(BAG, "Bag A", BioMedium.POROUS, 300, TODAY.minusDays(60), null, "Ada");
    private final MoveRow first =
            MoveRow.of(FIRST, new Move(BAG, TODAY.minusDays(60), 0, WEIR), new Carried(300, false, null), "Ada");

    @BeforeEach
    void bag() {
        when(tanks.today()).thenReturn(TODAY);
        when(books.kept(KEEPER)).thenReturn(new Kept(List.of(row), List.of(first), null));
        when(mapper.insertPiece(eq(7L), any())).thenReturn(1);
        when(mapper.insertMove(eq(7L), any())).thenReturn(1);
        when(plans.spot(any(), any(), any())).thenReturn(new Spot.WetShelf());
        on(first);
    }

    private void on(MoveRow... moves) {
        when(books.of(KEEPER))
                .thenReturn(new PieceBook(List.of(row), List.of(moves), Map.of(1L, BROOK), Map.of(), Ripening.USUAL));
    }

    private void planned(Hold... holds) {
        Transfer transfer = new Transfer(
                Optional.of(new Stay(WEIR, TODAY.minusDays(60), Optional.empty())),
                Optional.of(BROOK),
                List.of(holds),
                new Spot.WetShelf(),
                Optional.empty(),
                List.of(),
                new Worth(State.RIPE, 0.98, Optional.empty(), Optional.empty()),
                TODAY);
        when(plans.of(any(), any(), eq(BAG), any()))
                .thenReturn(
                        new MovePlan(row.piece(), 300, transfer, Optional.empty(), Optional.empty(), Optional.empty()));
    }

    private static PieceMove toTheShelf(String why) {
        return new PieceMove(TODAY, SHELF, null, why);
    }

    @Test
    void a_move_is_stored_and_what_follows_from_it_is_done() {
        planned();
        pieces.move(KEEPER, BAG, MOVE, toTheShelf(null));

        verify(mapper).insertMove(eq(7L), any());
        verify(effects).made(eq(KEEPER), eq(MOVE), any(), eq(null), eq(TODAY));
    }

    @Test
    void on_hold_nothing_is_moved_without_a_reason() {
        Hold hold = new Hold(Hold.Cause.AMMONIA, TODAY, Optional.empty(), "Ammonia reached 1 mg/L.", "");
        planned(hold);

        assertThatThrownBy(() -> pieces.move(KEEPER, BAG, MOVE, toTheShelf(" ")))
                .isInstanceOf(Rejected.class)
                .hasMessageContaining("Ammonia reached 1 mg/L.");
        verify(mapper, never()).insertMove(anyLong(), any());
        verifyNoInteractions(effects);

        pieces.move(KEEPER, BAG, MOVE, toTheShelf("The tank is torn down"));
        verify(mapper).insertMove(eq(7L), any());
    }

    @Test
    void sent_again_a_move_is_made_once_and_another_under_its_id_is_refused() {
        on(first, MoveRow.of(MOVE, new Move(BAG, TODAY, 0, new Spot.WetShelf()), new Carried(300, false, null), "Ada"));

        assertThat(pieces.move(KEEPER, BAG, MOVE, toTheShelf(null)).stays()).hasSize(2);
        assertThatThrownBy(() -> pieces.move(KEEPER, BAG, MOVE, new PieceMove(TODAY.minusDays(1), SHELF, null, null)))
                .isInstanceOf(Rejected.class);
        verify(mapper, never()).insertMove(anyLong(), any());
    }

    @Test
    void the_last_move_is_taken_back_to_where_it_was() {
        MoveRow shelved =
                MoveRow.of(MOVE, new Move(BAG, TODAY, 0, new Spot.WetShelf()), new Carried(300, false, null), "Ada");
        on(first, shelved);
        pieces.takeBack(KEEPER, MOVE);

        verify(mapper).deleteMove(eq(7L), eq(MOVE), any());
        verify(effects).takenBack(KEEPER, row.piece(), shelved, Optional.of(WEIR));
        assertThatThrownBy(() -> pieces.takeBack(KEEPER, FIRST)).hasMessageContaining("what was done with it since");
    }

    @Test
    void where_its_record_begins_the_piece_is_removed_instead() {
        assertThatThrownBy(() -> pieces.takeBack(KEEPER, FIRST)).hasMessageContaining("Remove the piece instead");

        pieces.remove(KEEPER, BAG);
        verify(mapper).deletePiece(eq(7L), eq(BAG), any());
    }
}
