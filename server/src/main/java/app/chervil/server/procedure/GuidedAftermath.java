package app.chervil.server.procedure;

import app.chervil.core.interval.Start;
import app.chervil.core.procedure.FollowUp;
import app.chervil.core.procedure.GuidedWork;
import app.chervil.core.procedure.Occasion;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterTask;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.LogChange;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What a finished guided service changes on its filter, and what it asks for in the days after. */
@Component
class GuidedAftermath {
    /** Where media came from, if nobody could tell. */
    static final String UNKNOWN_PLACE = "UNKNOWN";

    private final GuidedMapper mapper;
    private final FilterOperations filters;
    private final TankOperations tanks;
    private final FollowUpOperations followUps;

    GuidedAftermath(GuidedMapper mapper, FilterOperations filters, TankOperations tanks, FollowUpOperations followUps) {
        this.mapper = mapper;
        this.filters = filters;
        this.tanks = tanks;
        this.followUps = followUps;
    }

    /** Whatever this work asks for later; of a filter that is set up, the clocks start now. */
    void ask(SignedIn who, GuidedRow row, GuidedWork work) {
        Filter filter = filters.find(who, row.filterId());
        if (GuidedLog.isSetUp(row, work)) {
            filters.setCleaned(who, filter.id(), tanks.today(), Start.Sureness.EXACT);
            runsAgain(who, filter);
            followUps.ask(who, filter, row.id(), FollowUp.ofSetUp(filter.kind(), filter.name()));
        }
        if (row.occasion() == Occasion.STORE && GuidedLog.isTakenDown(row, work)) {
            filters.delete(who, filter.id());
            followUps.ask(who, filter, row.id(), FollowUp.ofStored(filter.name()));
        }
        work.stray()
                .map(place -> FollowUp.ofStray(place.equals(UNKNOWN_PLACE) ? "" : place, filter.name()))
                .ifPresent(look -> followUps.ask(who, filter, row.id(), List.of(look)));
    }

    /** Joints that may weep, and a sock that holds what was stirred up, whether the work was guided or written down after. */
    @EventListener
    void logged(LogChange.Logged change) {
        if (change.doneOn().isBefore(tanks.today().minusDays(1))) {
            return;
        }
        filters.list(change.who(), change.tank()).forEach(filter -> {
            List<FilterTask> done = change.tasks().stream()
                    .flatMap(id -> filter.task(id).stream())
                    .toList();
            List<FollowUp> looks = new ArrayList<>();
            if (done.stream().anyMatch(task -> mayWeep(filter, task))) {
                looks.addAll(FollowUp.ofNewRings(filter.name()));
            }
            if (done.stream().anyMatch(FilterTask::isDeepClean)) {
                looks.addAll(FollowUp.ofDeepClean(filter.path(), filter.name()));
            }
            if (!looks.isEmpty()) {
                followUps.ask(change.who(), filter, change.service(), looks);
            }
        });
    }

    private static boolean mayWeep(Filter filter, FilterTask task) {
        return filter.stageOf(task)
                .filter(stage -> FollowUp.mayWeep(task.action(), stage.kind()))
                .isPresent();
    }

    /** Taken out of the log, a service put no filter away. */
    @EventListener
    void takenBack(LogChange.TakenBack change) {
        SignedIn who = change.who();
        storing(change)
                .filter(row -> filters.isRestorable(who, row.filterId()))
                .ifPresent(row -> filters.restore(who, row.filterId()));
    }

    /** Stands it in the log again, its filter was put away after all. */
    @EventListener
    void putBack(LogChange.PutBack change) {
        SignedIn who = change.who();
        storing(change)
                .filter(row -> filters.list(who, row.tankId()).stream().anyMatch(one -> one.id() == row.filterId()))
                .ifPresent(row -> filters.delete(who, row.filterId()));
    }

    private Optional<GuidedRow> storing(LogChange change) {
        return mapper.find(change.who().siteId(), change.service())
                .filter(row -> row.occasion() == Occasion.STORE && row.finishedAt() != null);
    }

    /** Whatever left it off before: it was set up anew. */
    private void runsAgain(SignedIn who, Filter filter) {
        mapper.listOpen(who.siteId()).stream()
                .filter(row -> row.filterId() == filter.id() && row.finishedAt() != null)
                .forEach(row -> mapper.updateOff(who.siteId(), row.id(), null));
    }
}
