package app.chervil.server.followup;

import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.FollowUp;
import app.chervil.core.site.Filter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.followup.FollowUpMapper.FollowUpRow;
import app.chervil.server.problem.NotFound;
import app.chervil.server.tank.TankOperations;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looks that finished work asks for some time later. */
@Service
public class FollowUpOperations {
    private static final String[] CATCHERS = Arrays.stream(StageKind.values())
            .filter(StageKind::catchesBlownDirt)
            .map(StageKind::name)
            .toArray(String[]::new);

    /** Whoever closes a canister at half past eleven still looks at its joints that night. */
    private static final Duration SOON = Duration.ofHours(3);

    private final FollowUpMapper mapper;
    private final TankOperations tanks;
    private final List<DueLooks> byCalendar;
    private final Clock clock;

    FollowUpOperations(FollowUpMapper mapper, TankOperations tanks, List<DueLooks> byCalendar, Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.byCalendar = List.copyOf(byCalendar);
        this.clock = clock;
    }

    /** A look asked for. */
    public record Asked(UUID id, long tankId, String words, Instant dueAt) {}

    /** What is asked for today, within the next hours of a late evening, or was before; and not done. */
    @Transactional(readOnly = true)
    public List<Asked> open(SignedIn who) {
        Instant tomorrow =
                tanks.today().plusDays(1).atStartOfDay(clock.getZone()).toInstant();
        Instant soon = clock.instant().plus(SOON);
        Stream<Asked> ofWork =
                mapper.listOpen(who.siteId(), soon.isAfter(tomorrow) ? soon : tomorrow, CATCHERS).stream()
                        .map(row -> new Asked(row.id(), row.tankId(), row.words(), row.dueAt()));
        return Stream.concat(ofWork, byCalendar.stream().flatMap(looks -> looks.due(who, tanks.today()).stream()))
                .toList();
    }

    /**
     * Asks for looks after a piece of work; asked twice for the same, once.
     *
     * @param work its id
     */
    @Transactional
    public void ask(SignedIn who, Filter filter, UUID work, List<FollowUp> looks) {
        for (FollowUp look : looks) {
            mapper.insert(
                    who.siteId(),
                    work,
                    new FollowUpRow(
                            idOf(work, filter.id(), look.words()),
                            filter.tankId(),
                            filter.id(),
                            look.kind(),
                            look.words(),
                            clock.instant().plus(look.after())));
        }
    }

    /** Forgets what a piece of work asked for, as when it is taken back. */
    @Transactional
    public void forget(SignedIn who, UUID work) {
        mapper.deleteOf(who.siteId(), work);
    }

    private static UUID idOf(UUID work, long filter, String words) {
        return UUID.nameUUIDFromBytes((work + " " + filter + " " + words).getBytes(StandardCharsets.UTF_8));
    }

    /** Says that somebody looked; said twice, it stays. */
    @Transactional
    public void done(SignedIn who, UUID id) {
        if (mapper.updateDone(who.siteId(), id, clock.instant(), who.name()) == 0
                && byCalendar.stream().noneMatch(looks -> looks.done(who, id, tanks.today()))) {
            throw new NotFound("look");
        }
    }

    /** Takes that back. */
    @Transactional
    public void undone(SignedIn who, UUID id) {
        if (mapper.updateDone(who.siteId(), id, null, null) == 0
                && byCalendar.stream().noneMatch(looks -> looks.undone(who, id))) {
            throw new NotFound("look");
        }
    }
}
