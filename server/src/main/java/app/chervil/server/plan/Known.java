package app.chervil.server.plan;

import app.chervil.core.agenda.Agenda;
import app.chervil.core.agenda.Moved;
import app.chervil.core.agenda.Replanning;
import app.chervil.core.agenda.Standing;
import app.chervil.core.agenda.Told;
import app.chervil.server.plan.PlanMapper.PlanRow;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The plan in force, and the way it came from the plan that is kept.
 *
 * @param version of the kept plan
 * @param way from it, oldest first; empty if the plan in force is the one that is kept
 */
record Known(Standing standing, int version, List<Step> way) {
    /** Mark of no plan at all. */
    private static final String NONE = "";

    Known {
        way = List.copyOf(way);
    }

    /**
     * Planned anew once.
     *
     * @param from mark of the plan before
     * @param moved what people are told of it
     */
    record Step(String from, Optional<Moved> moved) {}

    /**
     * What follows from the plan that is kept, or from one that is about to be.
     *
     * @param row the plan that is kept; empty before the first
     * @param before what was known when something was different
     */
    static Known of(Optional<PlanRow> row, Optional<Known> before, Agenda agenda, int weeks, Instant now) {
        int version = row.map(PlanRow::version).orElse(0);
        Optional<Known> unkept = before.filter(one -> one.version == version && !one.way.isEmpty());
        Optional<Told> base = unkept.map(one -> one.standing.told()).or(() -> row.map(PlanRow::told));
        Standing standing =
                new Replanning(base, row.map(one -> one.hanging().decided()).orElse(List.of())).of(agenda, weeks, now);
        List<Step> way = new ArrayList<>(unkept.map(Known::way).orElse(List.of()));
        if (!Optional.of(standing.told()).equals(base)) {
            way.add(new Step(base.map(Told::mark).orElse(NONE), standing.moved()));
        }
        return new Known(standing, version, way);
    }

    /** What people are still to be told, latest first. */
    List<Moved> untold() {
        List<Moved> moves = new ArrayList<>(
                way.stream().flatMap(step -> step.moved().stream()).toList());
        java.util.Collections.reverse(moves);
        return moves;
    }

    /**
     * The rest of the way from a plan that is kept by now, oldest first; empty if the way does not lead past it.
     *
     * @param row empty where none is kept
     */
    List<Step> since(Optional<PlanRow> row) {
        String mark = row.map(PlanRow::mark).orElse(NONE);
        Stream<Step> rest = way.stream().dropWhile(step -> !step.from().equals(mark));
        return rest.toList();
    }
}
