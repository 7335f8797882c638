package app.chervil.server.plan;

import app.chervil.core.agenda.Replanning;
import app.chervil.core.agenda.Replanning.Bettered;
import app.chervil.core.agenda.Standing;
import app.chervil.core.agenda.Told;
import app.chervil.server.account.SignedIn;
import app.chervil.server.plan.PlanMapper.PlanRow;
import app.chervil.server.plan.PlanMapper.StepRow;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionOperations;

/** What people decide on the plan, and looking for a better one. */
@Service
public class PlanOperations {
    private static final int TRIES = 3;

    private final PlanMapper mapper;
    private final PlanInForceOperations plans;
    private final PlanKeeper keeper;
    private final TransactionOperations transactions;
    private final Clock clock;

    PlanOperations(
            PlanMapper mapper,
            PlanInForceOperations plans,
            PlanKeeper keeper,
            TransactionOperations transactions,
            Clock clock) {
        this.mapper = mapper;
        this.plans = plans;
        this.keeper = keeper;
        this.transactions = transactions;
        this.clock = clock;
    }

    /**
     * Pins, leaves out or frees work, and plans the rest around it.
     *
     * @throws Rejected if the day does not fit
     */
    public PlanView decide(SignedIn who, PlanDecision decision, int weeks) {
        onKept(who, weeks, (standing, row) -> {
            Decision made = Decision.of(decision, standing);
            Told seen = standing.told();
            long step = mapper.insertStep(who.siteId(), made.words(), who.name(), clock.instant(), seen.state());
            row.hanging().decided().stream()
                    .filter(made::ends)
                    .forEach(one -> mapper.endDecision(who.siteId(), one.id(), step));
            made.begun()
                    .forEach(one ->
                            mapper.insertDecision(who.siteId(), one.chain().number(), one.on(), one.how(), step));
            save(who, seen.decided(made.moved(seen.state()), "decided " + step, made.words()));
        });
        return plans.view(who, weeks);
    }

    /**
     * Takes the last decision back, and the plan to where it stood.
     *
     * @throws NotFound if there is none
     */
    public PlanView undo(SignedIn who, int weeks) {
        onKept(who, weeks, (standing, row) -> {
            StepRow step = mapper.findLastStep(who.siteId(), clock.instant().minus(PlanInForceOperations.UNDO_WITHIN))
                    .orElseThrow(() -> new NotFound("step"));
            mapper.deleteDecisions(who.siteId(), step.id());
            mapper.reviveDecisions(who.siteId(), step.id());
            mapper.updateStep(who.siteId(), step.id(), clock.instant());
            save(who, row.told().decided(step.before(), "undone " + step.id(), "undone: " + step.words()));
        });
        return plans.view(who, weeks);
    }

    private interface Command {
        void on(Standing standing, PlanRow row);
    }

    /** Commands on the plan that people see: kept first, so that it is what is decided on. */
    private void onKept(SignedIn who, int weeks, Command command) {
        PlanInForceOperations.check(weeks);
        for (int left = TRIES; left > 0; left--) {
            Known known = plans.known(who, weeks);
            boolean done = Boolean.TRUE.equals(transactions.execute(status -> {
                keeper.keep(who.siteId(), known);
                Optional<PlanRow> row = plans.find(who, known.standing().today())
                        .filter(one -> one.mark().equals(known.standing().told().mark()));
                row.ifPresent(one -> command.on(known.standing(), one));
                return row.isPresent();
            }));
            if (done) {
                return;
            }
        }
        throw new Conflict("plan", "");
    }

    private void save(SignedIn who, Told told) {
        mapper.save(who.siteId(), told, new PlanMapper.Words(told.decided()));
    }

    /** Looks for a better plan where the one in force was made in haste, and puts it in force if nothing changed meanwhile. */
    void better(SignedIn who) {
        Known rough = plans.known(who, 1);
        if (!rough.standing().told().rough()) {
            return;
        }
        Bettered better = new Replanning(Optional.of(rough.standing().told()), List.of())
                .better(rough.standing(), clock.instant());
        transactions.executeWithoutResult(status -> {
            keeper.keep(who.siteId(), rough);
            LocalDate today = rough.standing().today();
            plans.find(who, today)
                    .filter(row ->
                            row.rough() && row.mark().equals(better.told().mark()))
                    .ifPresent(row -> {
                        better.moved().ifPresent(moved -> keeper.note(who.siteId(), moved));
                        keeper.save(who.siteId(), row.hanging().booked(), better.told(), today);
                    });
        });
    }
}
