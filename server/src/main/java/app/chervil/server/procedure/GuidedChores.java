package app.chervil.server.procedure;

import app.chervil.core.procedure.GuidedWork;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.tank.TankChore;
import app.chervil.server.account.SignedIn;
import app.chervil.server.chore.ChoreOperations;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.MediaOperations;
import app.chervil.server.water.MediaOperations.MediaDone;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is done along with a guided service and kept elsewhere: chores of the tank, and media exchanged in part. */
@Component
class GuidedChores {
    /** Chores that come round by themselves, as the plan knows them. */
    private static final Map<Chore, TankChore> PLANNED =
            Map.of(Chore.ROCK_BLOW_OFF, TankChore.ROCK_BLOW_OFF, Chore.SUBSTRATE_VACUUM, TankChore.SUBSTRATE_VACUUM);

    private final MediaOperations media;
    private final ChoreOperations chores;
    private final TankOperations tanks;

    GuidedChores(MediaOperations media, ChoreOperations chores, TankOperations tanks) {
        this.media = media;
        this.chores = chores;
        this.tanks = tanks;
    }

    /**
     * Whether as much media may be exchanged as is meant to be.
     *
     * @param reason why it is done anyway; absent for none
     * @throws Rejected if the tank would lose too much of its bacteria at once, and no reason is given
     */
    void checkMedia(SignedIn who, long tank, GuidedStart input, @Nullable String reason) {
        if (input.chores().contains(Chore.BIO_PART_REPLACED) && input.media() != null) {
            media.checkAllowed(media.weigh(who, tank, input.media(), tanks.today()), reason, "media.grams");
        }
    }

    /**
     * Keeps what was done, under ids that follow from the service's.
     *
     * @param reason why it was done though it was held; absent for none
     */
    void record(SignedIn who, GuidedRow row, GuidedWork work, @Nullable String reason) {
        if (row.media() != null && work.did(Chore.BIO_PART_REPLACED.work())) {
            media.replace(who, row.tankId(), row.id(), new MediaDone(row.media(), tanks.today(), reason));
        }
        PLANNED.forEach((chore, kind) -> {
            if (row.chores().kinds().contains(chore) && work.did(chore.work())) {
                UUID done = UUID.nameUUIDFromBytes((row.id() + kind.name()).getBytes(StandardCharsets.UTF_8));
                chores.record(who, row.tankId(), kind, done, tanks.today());
            }
        });
    }
}
