package app.chervil.server.trial;

import app.chervil.core.filter.StageKind;
import app.chervil.core.trial.Design;
import app.chervil.core.trial.Design.Turn;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.followup.DueLooks;
import app.chervil.server.followup.FollowUpOperations.Asked;
import app.chervil.server.trial.TrialMapper.TrialRow;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** On the day a trial begins to run without the thing it is about, the rounds say to take it out; and later, to put it back. */
@Component
class TrialLooks implements DueLooks {
    private final TrialMapper mapper;
    private final FilterOperations filters;
    private final Clock clock;

    TrialLooks(TrialMapper mapper, FilterOperations filters, Clock clock) {
        this.mapper = mapper;
        this.filters = filters;
        this.clock = clock;
    }

    @Override
    public List<Asked> due(SignedIn who, LocalDate today) {
        List<TrialRow> switching = mapper.list(who.siteId()).stream()
                .filter(row -> turn(row, today)
                        .filter(turn -> !turn.from().equals(row.switchedOn()))
                        .isPresent())
                .toList();
        return switching.isEmpty() ? List.of() : asked(who, switching, today);
    }

    private List<Asked> asked(SignedIn who, List<TrialRow> switching, LocalDate today) {
        return Placed.all(filters.list(who, null))
                .flatMap(placed -> switching.stream()
                        .filter(row -> row.taskId() == placed.task().id())
                        .map(row -> asked(row, placed, turn(row, today).orElseThrow())))
                .toList();
    }

    private Asked asked(TrialRow row, Placed placed, Turn turn) {
        String thing = placed.kind().map(StageKind::words).orElse("part");
        String where = " of " + placed.filter().name();
        long days = ChronoUnit.DAYS.between(turn.from(), turn.until());
        String words = isWithout(row, turn)
                ? "A trial runs without the " + thing + where + " for " + days
                        + " days: take it out of the water’s path." + caution(placed)
                : "The trial goes on with the " + thing + where + ": put it back in.";
        return new Asked(
                idOf(row, turn),
                row.tankId(),
                words,
                turn.from().atStartOfDay(clock.getZone()).toInstant());
    }

    private static String caution(Placed placed) {
        return placed.kind().equals(Optional.of(StageKind.PREFILTER_SPONGE))
                ? " Fry and shrimp can then be drawn into the intake: leave it on if any live here, and stop the trial."
                : "";
    }

    /** The turn that began with a switch between having the thing and not; empty where nothing is to be taken out or put in. */
    private static Optional<Turn> turn(TrialRow row, LocalDate today) {
        Design design = row.design();
        return (row.runsOn(today) ? design.turnOn(today) : Optional.<Turn>empty())
                .filter(turn -> isWithout(row, turn)
                        != design.turnOn(turn.from().minusDays(1))
                                .filter(before -> isWithout(row, before))
                                .isPresent());
    }

    private static boolean isWithout(TrialRow row, Turn turn) {
        return row.ways().get(turn.way()).days().isEmpty();
    }

    private static UUID idOf(TrialRow row, Turn turn) {
        return UUID.nameUUIDFromBytes((row.id() + " turn " + turn.from()).getBytes(StandardCharsets.UTF_8));
    }

    @Override
    public boolean done(SignedIn who, UUID id, LocalDate today) {
        return keep(who, id, today, true);
    }

    @Override
    public boolean undone(SignedIn who, UUID id) {
        return keep(who, id, LocalDate.now(clock), false);
    }

    private boolean keep(SignedIn who, UUID id, LocalDate today, boolean done) {
        for (TrialRow row : mapper.list(who.siteId())) {
            Optional<Turn> turn = turn(row, today).filter(one -> idOf(row, one).equals(id));
            if (turn.isPresent()) {
                return mapper.switched(who.siteId(), row.id(), done ? turn.get().from() : null) > 0;
            }
        }
        return false;
    }
}
