package app.chervil.server.procedure;

import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.Rejected;
import app.chervil.server.procedure.ProcedureOperations.Wanted;
import app.chervil.server.water.MediaOperations.MediaPlan;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a guided service is to be, before it is on file. */
@Component
class GuidedBeginning {
    private final ProcedureOperations procedures;
    private final FilterOperations filters;
    private final GuidedLine line;
    private final GuidedChores chores;
    private final Clock clock;

    GuidedBeginning(
            ProcedureOperations procedures,
            FilterOperations filters,
            GuidedLine line,
            GuidedChores chores,
            Clock clock) {
        this.procedures = procedures;
        this.filters = filters;
        this.line = line;
        this.chores = chores;
        this.clock = clock;
    }

    /**
     * A service that begins; nobody is asked any more for the heater that waited for it.
     *
     * @throws Rejected if something speaks against it
     */
    GuidedRow begun(SignedIn who, UUID id, GuidedStart input) {
        long tank = filters.find(who, input.filterId()).tankId();
        line.checkAfter(who, tank, input);
        if (input.what() == Occasion.STORE) {
            who.mustBeKeeper();
        }
        ProcedureView procedure = assembled(who, input);
        @Nullable String reason = line.reason(who, input);
        checkProcedure(procedure, input, reason);
        chores.checkMedia(who, tank, input, reason);
        line.goesOn(who, input);
        return new GuidedRow(
                id,
                tank,
                input.filterId(),
                new TaskIds(procedure.tasks()),
                new AskedChores(input.chores()),
                new KeptSteps(procedure.steps()),
                clock.instant(),
                who.name(),
                null,
                null,
                reason,
                input.media(),
                input.what(),
                new TaskIds(procedure.then().stream()
                        .flatMap(then -> then.tasks().stream())
                        .toList()),
                input.after());
    }

    private ProcedureView assembled(SignedIn who, GuidedStart input) {
        return switch (input.what()) {
            case SERVICE ->
                procedures.assemble(
                        who,
                        new Wanted(
                                input.filterId(),
                                input.tasks(),
                                input.chores(),
                                grams(input.media()),
                                line.around(who, input)));
            case LOOK_OVER -> procedures.lookOver(who, input.filterId());
            case SET_UP -> procedures.setUp(who, input.filterId());
            case MOVE, STORE -> procedures.takeDown(who, input.filterId(), input.what());
        };
    }

    private static void checkProcedure(ProcedureView procedure, GuidedStart input, @Nullable String reason) {
        boolean exchange = input.chores().contains(Chore.BIO_PART_REPLACED);
        boolean unexplained = reason == null || reason.isBlank();
        new Rejected.Gatherer()
                .check(!procedure.steps().isEmpty(), "tasks", "nothing-to-do", "Choose at least one task.")
                .check(
                        input.next().isEmpty() || !procedure.tooMuch(),
                        "then",
                        "too-much",
                        "Bio media would come out of two filters on one day. Leave one for next week.")
                .check(!exchange || input.media() != null, "media.grams", "needed", "Which media, and how many grams?")
                .check(
                        procedure.held().isEmpty() || !unexplained,
                        "overrideReason",
                        "held",
                        "Some of this work is on hold. Write why it is done anyway.")
                .done();
    }

    /** The procedure of a service to which a task is added. */
    ProcedureView extended(SignedIn who, GuidedRow row, long task) {
        List<Long> tasks = new ArrayList<>(row.tasks().ids());
        tasks.add(task);
        return procedures.assemble(
                who,
                new Wanted(row.filterId(), tasks, row.chores().kinds(), grams(row.media()), line.around(who, row)));
    }

    private static OptionalDouble grams(@Nullable MediaPlan plan) {
        return plan == null ? OptionalDouble.empty() : OptionalDouble.of(plan.grams());
    }
}
