package app.chervil.server.plan;

import app.chervil.core.agenda.Agenda;
import app.chervil.core.agenda.BookedVisit;
import app.chervil.core.agenda.Decided;
import app.chervil.core.agenda.Moved;
import app.chervil.core.agenda.Replanning;
import app.chervil.core.agenda.Standing;
import app.chervil.core.agenda.Told;
import app.chervil.server.plan.PlanMapper.PlanRow;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * The plan in force, and the way it came from the plan that is kept.
 *
 * @param decisions of keepers that it honours
 * @param way from the kept plan, oldest first; empty if the plan in force is the one that is kept
 */
record Known(Standing standing, List<Decided> decisions, List<Step> way) {
    /** Mark of no plan at all. */
    static final String NONE = "";

    Known {
        decisions = List.copyOf(decisions);
        way = List.copyOf(way);
    }

    /**
     * Planned anew once.
     *
     * @param from mark of the plan before
     * @param visits that the plan before told of; empty if it may have been bettered since, or there was none
     * @param moved what people are told of it
     */
    record Step(String from, Optional<List<BookedVisit>> visits, Optional<Moved> moved) {
        static Step after(Optional<Told> before, Optional<Moved> moved) {
            return new Step(
                    before.map(Told::mark).orElse(NONE),
                    before.filter(one -> !one.rough()).map(Told::visits),
                    moved);
        }
    }

    /** What a plan is worked out from: the plan before it, and the way that led there. */
    private record Base(Optional<Told> told, List<Decided> decisions, List<Step> way) {
        Known worked(Agenda agenda, int weeks, Instant now) {
            Standing standing = new Replanning(told, decisions).of(agenda, weeks, now);
            List<Step> further = new ArrayList<>(way);
            if (!Optional.of(standing.told()).equals(told)) {
                further.add(Step.after(told, standing.moved()));
            }
            return new Known(standing, decisions, further);
        }
    }

    /**
     * What follows from the plan that is kept.
     *
     * @param row empty before the first
     */
    static Known of(Optional<PlanRow> row, Agenda agenda, int weeks, Instant now) {
        return new Base(
                        row.map(PlanRow::told),
                        row.map(one -> one.hanging().decided()).orElse(List.of()),
                        List.of())
                .worked(agenda, weeks, now);
    }

    /** What follows from this plan now that something is different. */
    Known then(String keptMark, Agenda agenda, int weeks, Instant now) {
        return new Base(Optional.of(standing.told()), decisions, since(keptMark)).worked(agenda, weeks, now);
    }

    /** The same plan for more weeks. */
    Known further(Agenda agenda, int weeks, Instant now) {
        return new Base(Optional.of(standing.told()), decisions, way).worked(agenda, weeks, now);
    }

    /** Whether a kept plan is this one, or lies on the way to it. One made in haste may have been bettered meanwhile. */
    boolean leadsFrom(String keptMark) {
        boolean same = keptMark.equals(standing.told().mark());
        return !standing.told().rough() && (same || !since(keptMark).isEmpty());
    }

    /** What people are still to be told, latest first. */
    List<Moved> untold() {
        List<Moved> moves = new ArrayList<>(
                way.stream().flatMap(step -> step.moved().stream()).toList());
        Collections.reverse(moves);
        return moves;
    }

    /** The rest of the way from a plan that is kept by now, oldest first; empty if the way does not lead past it. */
    List<Step> since(String keptMark) {
        return way.stream().dropWhile(step -> !step.from().equals(keptMark)).toList();
    }
}
