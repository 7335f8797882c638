package app.chervil.server.procedure;

import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Start;
import app.chervil.core.procedure.FollowUp;
import app.chervil.core.procedure.GuidedWork;
import app.chervil.core.procedure.Occasion;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.FilterTask;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.LogChange;
import app.chervil.server.visit.ServiceInput;
import java.util.List;
import java.util.Optional;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What a finished guided service changes on its filter, and what it asks for in the days after. */
@Component
class GuidedAftermath {
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
    void ask(SignedIn who, GuidedRow row, GuidedWork work, ServiceInput done) {
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
        List<FilterTask> tasks = done.tasks().stream()
                .flatMap(one -> filter.task(one.taskId()).stream())
                .toList();
        if (tasks.stream().anyMatch(task -> mayWeep(filter, task))) {
            followUps.ask(who, filter, row.id(), FollowUp.ofNewRings(filter.name()));
        }
        if (tasks.stream().anyMatch(FilterTask::isDeepClean)) {
            List<StageKind> path =
                    filter.stages().stream().map(FilterStage::kind).toList();
            followUps.ask(who, filter, row.id(), FollowUp.ofDeepClean(path, filter.name()));
        }
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
