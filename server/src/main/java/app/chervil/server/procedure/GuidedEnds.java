package app.chervil.server.procedure;

import app.chervil.core.procedure.GuidedWork;
import app.chervil.server.account.SignedIn;
import app.chervil.server.visit.SavedService;
import app.chervil.server.visit.ServiceInput;
import app.chervil.server.visit.ServiceOperations;
import org.springframework.stereotype.Component;

/** What follows when a guided service ends. */
@Component
class GuidedEnds {
    private final GuidedLine line;
    private final GuidedAftermath aftermath;
    private final GuidedChores chores;
    private final ServiceOperations services;

    GuidedEnds(GuidedLine line, GuidedAftermath aftermath, GuidedChores chores, ServiceOperations services) {
        this.line = line;
        this.aftermath = aftermath;
        this.chores = chores;
        this.services = services;
    }

    /** Puts what was done into the log, and asks for whatever it asks for later. */
    SavedService logged(SignedIn who, GuidedRow row, GuidedWork work, ServiceInput done) {
        line.heaterWaits(who, row, work);
        aftermath.ask(who, row, work);
        chores.record(who, row, work, done.known().overrideReason());
        return services.save(who, row.id(), done);
    }

    /** The service that was to follow one was dropped. */
    void dropped(SignedIn who, GuidedRow before, GuidedWork work) {
        line.heaterWaits(who, before, work);
    }
}
