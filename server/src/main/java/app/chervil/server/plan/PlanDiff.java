package app.chervil.server.plan;

import app.chervil.server.plan.PlanInput.Work;
import app.chervil.server.plan.PlanSnapshot.ChainState;
import app.chervil.server.plan.PlanView.PlanMove;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;

/** Tells two states of a plan apart: what changed beneath it, and what moved for it. */
final class PlanDiff {
    private final PlanSnapshot before;
    private final PlanSnapshot after;

    PlanDiff(PlanSnapshot before, PlanSnapshot after) {
        this.before = before;
        this.after = after;
    }

    /** Why a plan has to be made anew, in words, each once. */
    List<String> causes(List<String> decided) {
        Set<String> causes = new LinkedHashSet<>(decided);
        after.chains().forEach((id, now) -> {
            ChainState was = before.chains().get(id);
            if (was == null) {
                causes.add("new work on " + now.tank());
            } else {
                cause(was, now, causes);
            }
        });
        before.chains().forEach((id, was) -> {
            if (!after.chains().containsKey(id)) {
                causes.add("work taken off " + was.tank());
            }
        });
        if (!before.hours().equals(after.hours())) {
            causes.add("people's days changed");
        }
        if (causes.isEmpty()) {
            causes.add("a new day");
        }
        return List.copyOf(causes);
    }

    private static void cause(ChainState was, ChainState now, Set<String> causes) {
        if (!Objects.equals(was.hold(), now.hold())) {
            causes.add(
                    now.hold() == null
                            ? "no hold any more on " + now.tank()
                            : now.hold().toLowerCase(Locale.ROOT).replace('_', ' ') + " on " + now.tank());
        } else if (now.since().isAfter(was.since())) {
            causes.add("work logged on " + now.tank());
        } else if (now.since().isBefore(was.since())) {
            causes.add("the log of " + now.tank() + " was corrected");
        } else if (!now.ideal().equals(was.ideal())) {
            causes.add("what was found on " + now.tank());
        }
    }

    /** Tanks on which something changed, by name. */
    Set<String> touched() {
        Set<String> tanks = new LinkedHashSet<>();
        after.chains().forEach((id, now) -> {
            ChainState was = before.chains().get(id);
            boolean same = was != null
                    && Objects.equals(was.hold(), now.hold())
                    && was.since().equals(now.since())
                    && was.ideal().equals(now.ideal());
            if (!same) {
                tanks.add(now.tank());
            }
        });
        return tanks;
    }

    /** Occurrences of chains that were not themselves done, whose day within the horizon is another. */
    List<PlanMove> moves(LocalDate until) {
        List<PlanMove> moves = new ArrayList<>();
        before.chains().forEach((id, was) -> {
            ChainState now = after.chains().get(id);
            if (now == null || now.days().isEmpty()) {
                was.days().stream()
                        .filter(day -> !day.isBefore(after.madeOn()) && day.isBefore(until))
                        .limit(1)
                        .forEach(day -> moves.add(new PlanMove(was.tank(), was.name(), day, null)));
            } else if (now.since().equals(was.since())) {
                moved(was, now, until, moves);
            }
        });
        return moves;
    }

    private void moved(ChainState was, ChainState now, LocalDate until, List<PlanMove> moves) {
        for (int k = 0; k < Math.min(was.days().size(), now.days().size()); k++) {
            LocalDate from = was.days().get(k);
            LocalDate to = now.days().get(k);
            if (!from.equals(to) && from.isBefore(until) && !from.isBefore(after.madeOn())) {
                moves.add(new PlanMove(now.tank(), now.name(), from, to));
            }
        }
    }

    /** The state of a chain that is planned on these days; none if it waits. */
    static ChainState state(PlanInput input, Work work, List<LocalDate> days) {
        return new ChainState(
                work.since(),
                work.window().ideal(),
                work.hold() == null ? null : work.hold().cause().name(),
                work.subject().words(),
                input.tankName(work.chain().place().tank()),
                days);
    }
}
