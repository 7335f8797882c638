package app.chervil.core.agenda;

import app.chervil.core.agenda.PlanState.ChainState;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Tells two states of a plan apart: what changed beneath it, and what moved for it. */
final class Difference {
    private final PlanState before;
    private final PlanState after;

    Difference(PlanState before, PlanState after) {
        this.before = before;
        this.after = after;
    }

    /** Why a plan had to be made anew, in words, each once. */
    List<String> causes(List<String> decided) {
        Set<String> causes = new LinkedHashSet<>(decided);
        after.chains().forEach((id, now) -> {
            ChainState was = before.chains().get(id);
            if (was == null) {
                causes.add("new work on " + now.tank());
            } else {
                cause(was, now).ifPresent(causes::add);
            }
        });
        before.chains().forEach((id, was) -> {
            if (!after.chains().containsKey(id)) {
                causes.add("work taken off " + was.tank());
            }
        });
        if (inHours()) {
            causes.add("people's days changed");
        }
        return causes.isEmpty() ? List.of(inDays() ? "a new day" : "the site was changed") : List.copyOf(causes);
    }

    private static Optional<String> cause(ChainState was, ChainState now) {
        if (!was.hold().equals(now.hold())) {
            return Optional.of(now.hold()
                            .map(cause -> cause.toLowerCase(Locale.ROOT).replace('_', ' '))
                            .orElse("no hold any more")
                    + " on " + now.tank());
        }
        if (now.since().isAfter(was.since())) {
            return Optional.of("work logged on " + now.tank());
        }
        if (now.since().isBefore(was.since())) {
            return Optional.of("the log of " + now.tank() + " was corrected");
        }
        return now.ideal().equals(was.ideal()) ? Optional.empty() : Optional.of("what was found on " + now.tank());
    }

    /** Whether people's time is another. */
    boolean inHours() {
        return !before.hours().equals(after.hours());
    }

    /** Whether they are of different days. */
    boolean inDays() {
        return !before.madeOn().equals(after.madeOn());
    }

    /** Whether keepers decided anything in between. */
    boolean inDecisions() {
        return !before.decisions().equals(after.decisions());
    }

    /** Tanks on which something changed, by name. */
    Set<String> touched() {
        Set<String> tanks = new LinkedHashSet<>();
        after.chains().forEach((id, now) -> {
            ChainState was = before.chains().get(id);
            if (was == null || !was.restsOnTheSame(now)) {
                tanks.add(now.tank());
            }
        });
        return tanks;
    }

    /** Occurrences of chains that were not themselves done, whose day within the horizon is another. */
    List<Moved.Move> moves(LocalDate until) {
        List<Moved.Move> moves = new ArrayList<>();
        before.chains().forEach((id, was) -> {
            ChainState now = after.chains().get(id);
            if (now == null || now.days().isEmpty()) {
                was.days().stream()
                        .filter(day -> !day.isBefore(after.madeOn()) && day.isBefore(until))
                        .limit(1)
                        .forEach(day -> moves.add(new Moved.Move(was.tank(), was.name(), day, Optional.empty())));
            } else if (now.since().equals(was.since())) {
                moves.addAll(moved(was, now, until));
            }
        });
        return moves;
    }

    private List<Moved.Move> moved(ChainState was, ChainState now, LocalDate until) {
        List<Moved.Move> moves = new ArrayList<>();
        for (int k = 0; k < Math.min(was.days().size(), now.days().size()); k++) {
            LocalDate from = was.days().get(k);
            LocalDate to = now.days().get(k);
            if (!from.equals(to) && from.isBefore(until) && !from.isBefore(after.madeOn())) {
                moves.add(new Moved.Move(now.tank(), now.name(), from, Optional.of(to)));
            }
        }
        return moves;
    }
}
