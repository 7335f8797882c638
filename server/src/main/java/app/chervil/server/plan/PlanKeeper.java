package app.chervil.server.plan;

import app.chervil.core.agenda.BookedVisit;
import app.chervil.core.agenda.Moved;
import app.chervil.core.agenda.Told;
import app.chervil.server.plan.PlanMapper.MoveRow;
import app.chervil.server.plan.PlanMapper.Moves;
import app.chervil.server.plan.PlanMapper.VisitRow;
import app.chervil.server.plan.PlanMapper.VisitRows;
import app.chervil.server.plan.PlanMapper.Words;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.task.TaskExecutor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;

/** Keeps plans that questions came to know, one at a time for each site, whichever server came to know them. */
@Component
class PlanKeeper {
    /** A visit further back is no longer taken for one that moved. */
    static final int VISITS_KEPT_DAYS = 21;

    private static final Logger LOG = LoggerFactory.getLogger(PlanKeeper.class);

    private final PlanMapper mapper;
    private final TransactionOperations transactions;
    private final TaskExecutor executor;
    private final Bettering bettering;

    PlanKeeper(PlanMapper mapper, TransactionOperations transactions, TaskExecutor executor, Bettering bettering) {
        this.mapper = mapper;
        this.transactions = transactions;
        this.executor = executor;
        this.bettering = bettering;
    }

    /** Keeps a plan while nobody waits. */
    void keepSoon(long site, Known known) {
        if (!known.way().isEmpty()) {
            executor.execute(() -> {
                try {
                    transactions.executeWithoutResult(status -> keep(site, known));
                } catch (RuntimeException failure) {
                    LOG.warn("A plan was not kept; it is worked out again at the next question", failure);
                }
            });
        }
    }

    /** Keeps a plan, unless another one was kept that does not lie on its way; within a transaction. */
    void keep(long site, Known known) {
        mapper.lock(site);
        LocalDate today = known.standing().today();
        List<Known.Step> rest = known.since(mapper.findMark(site).orElse(Known.NONE));
        if (rest.isEmpty()) {
            return;
        }
        rest.stream().flatMap(step -> step.moved().stream()).forEach(moved -> note(site, moved));
        save(
                site,
                rest.get(0).visits().orElseGet(() -> kept(site, today)),
                known.standing().told(),
                today);
        if (known.standing().told().rough()) {
            bettering.begin(site);
        }
    }

    /**
     * Ends a search for a better plan, in one piece with the look at what is kept by now: one that was made in haste meanwhile found
     * the search under way and began none of its own.
     *
     * @param again if the plan that is kept is a hasty one still
     * @param over if it is not, or there is none
     */
    void endSearch(long site, Runnable again, Runnable over) {
        transactions.executeWithoutResult(status -> {
            mapper.lock(site);
            (mapper.isRough(site) ? again : over).run();
        });
    }

    /** Notes for people what moved. */
    void note(long site, Moved moved) {
        mapper.insertChange(
                site,
                moved.at(),
                new Words(moved.causes()),
                new Moves(moved.moves().stream().map(MoveRow::of).toList()));
    }

    private List<BookedVisit> kept(long site, LocalDate today) {
        return mapper.find(site, today.minusDays(VISITS_KEPT_DAYS), today)
                .map(row -> row.hanging().booked())
                .orElse(List.of());
    }

    /**
     * Stores a plan with its visits.
     *
     * @param before visits of the plan that is kept so far
     */
    void save(long site, List<BookedVisit> before, Told told, LocalDate today) {
        mapper.save(site, told, new Words(told.decided()));
        Set<UUID> now = told.visits().stream().map(BookedVisit::id).collect(Collectors.toSet());
        List<UUID> gone = before.stream()
                .filter(visit -> !now.contains(visit.id()) && visit.on().isAfter(today))
                .map(BookedVisit::id)
                .toList();
        Set<BookedVisit> same = new HashSet<>(before);
        List<VisitRow> changed = told.visits().stream()
                .filter(visit -> !same.contains(visit))
                .map(VisitRow::of)
                .toList();
        if (!gone.isEmpty()) {
            mapper.deleteVisits(site, gone);
        }
        if (!changed.isEmpty()) {
            mapper.saveVisits(site, new VisitRows(changed));
        }
    }
}
