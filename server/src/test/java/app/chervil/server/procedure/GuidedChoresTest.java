package app.chervil.server.procedure;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.tank.TankChore;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.chore.ChoreOperations;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.MediaOperations;
import app.chervil.server.water.MediaOperations.MediaDone;
import app.chervil.server.water.MediaOperations.MediaPlan;
import app.chervil.server.water.MediaOperations.MediaVerdict;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is kept elsewhere of a guided service; the other features are pretended. */
class GuidedChoresTest {
    private static final SignedIn MARIT = new SignedIn(7, 3, "Marit", Role.KEEPER);
    private static final UUID ID = new UUID(0, 1);
    private static final MediaPlan RINGS = new MediaPlan(4L, 250.0);

    private final MediaOperations media = mock(MediaOperations.class);
    private final ChoreOperations chores = mock(ChoreOperations.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final GuidedChores done = new GuidedChores(media, chores, tanks);

    @BeforeEach
    void today() {
        when(tanks.today()).thenReturn(Sump.TODAY);
    }

    private GuidedRow row(Set<Chore> asked, @Nullable MediaPlan exchange) {
        return new GuidedRow(
                ID,
                Sump.TANK,
                1,
                new TaskIds(List.of()),
                new AskedChores(asked),
                new KeptSteps(List.of()),
                Sump.NOON,
                "Marit",
                null,
                null,
                null,
                exchange,
                Occasion.SERVICE,
                new TaskIds(List.of()),
                null);
    }

    private static GuidedStart start(Set<Chore> asked, @Nullable MediaPlan exchange) {
        return new GuidedStart(1, List.of(10L), asked, null, exchange, null, null, null);
    }

    @Test
    void an_exchange_that_was_made_is_kept_under_the_services_id_with_the_reason_why() {
        done.record(
                MARIT,
                row(Set.of(Chore.BIO_PART_REPLACED), RINGS),
                Sump.did(Chore.BIO_PART_REPLACED.work()),
                "The vet asked.");

        verify(media).replace(MARIT, Sump.TANK, ID, new MediaDone(RINGS, Sump.TODAY, "The vet asked."));
        verifyNoInteractions(chores);
    }

    @Test
    void an_exchange_that_was_planned_and_not_made_is_not_kept() {
        done.record(MARIT, row(Set.of(Chore.BIO_PART_REPLACED), RINGS), Sump.did(Effect.POWER_OFF), null);

        verify(media, never()).replace(any(), eq(Sump.TANK), any(), any());
    }

    @Test
    void a_chore_that_comes_round_by_itself_starts_anew_once_it_was_asked_for_and_done() {
        done.record(
                MARIT,
                row(Set.of(Chore.SUBSTRATE_VACUUM), null),
                Sump.did(Chore.SUBSTRATE_VACUUM.work(), Chore.ROCK_BLOW_OFF.work()),
                null);

        verify(chores)
                .record(eq(MARIT), eq(Sump.TANK), eq(TankChore.SUBSTRATE_VACUUM), any(UUID.class), eq(Sump.TODAY));
        verify(chores, never()).record(any(), eq(Sump.TANK), eq(TankChore.ROCK_BLOW_OFF), any(), any());
    }

    @Test
    void the_same_service_sent_twice_names_its_chore_by_the_same_id() {
        GuidedRow row = row(Set.of(Chore.ROCK_BLOW_OFF), null);
        done.record(MARIT, row, Sump.did(Chore.ROCK_BLOW_OFF.work()), null);
        done.record(MARIT, row, Sump.did(Chore.ROCK_BLOW_OFF.work()), null);

        UUID id = UUID.nameUUIDFromBytes((ID + "ROCK_BLOW_OFF").getBytes(StandardCharsets.UTF_8));
        verify(chores, times(2)).record(MARIT, Sump.TANK, TankChore.ROCK_BLOW_OFF, id, Sump.TODAY);
    }

    @Test
    void before_it_begins_an_exchange_is_weighed_on_the_day_and_refused_as_the_rule_says() {
        MediaVerdict verdict = new MediaVerdict(false, 100.0, "Only 100 g.", List.of(), null);
        when(media.weigh(MARIT, Sump.TANK, RINGS, Sump.TODAY)).thenReturn(verdict);

        done.checkMedia(MARIT, Sump.TANK, start(Set.of(Chore.BIO_PART_REPLACED), RINGS), "It crumbles.");

        verify(media).checkAllowed(verdict, "It crumbles.", "media.grams");
    }

    @Test
    void media_that_nobody_means_to_exchange_is_not_weighed() {
        done.checkMedia(MARIT, Sump.TANK, start(Set.of(), RINGS), null);

        verifyNoInteractions(media);
    }
}
