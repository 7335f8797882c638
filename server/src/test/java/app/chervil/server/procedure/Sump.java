package app.chervil.server.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Start;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Passport;
import app.chervil.core.procedure.GuidedWork;
import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Step;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.TaskMode;
import app.chervil.core.tank.Schools;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Sumps with a sock, to be served in unit tests; their tasks count on from ten times their id. */
final class Sump {
    static final long TANK = 5;
    static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

    private Sump() {}

    static Filter of(long id, String name) {
        FilterStage sock = new FilterStage(
                id * 100,
                Stage.washable(StageKind.SOCK),
                "",
                1,
                OptionalDouble.empty(),
                false,
                Optional.empty(),
                "",
                Endurance.UNKNOWN);
        return new Filter(
                id,
                TANK,
                1,
                name,
                Passport.usual(Build.usual(FilterKind.SUMP, Optional.empty()), List.of(StageKind.SOCK)),
                Filter.Rating.UNKNOWN,
                Optional.empty(),
                List.of(sock),
                List.of(
                        task(id * 10, Optional.empty(), rule(CareAction.CLEAN)),
                        task(
                                id * 10 + 1,
                                Optional.of(sock.id()),
                                CareCatalogue.forStage(sock.stage(), Schools.DEFAULT)
                                        .get(0))),
                Start.exact(TODAY));
    }

    private static CareRule rule(CareAction action) {
        return CareCatalogue.find(FilterKind.SUMP, action, Schools.DEFAULT).orElseThrow();
    }

    private static FilterTask task(long id, Optional<Long> stage, CareRule rule) {
        return new FilterTask(
                id, 1, stage, rule, "Task " + id, TaskMode.LEARN, OptionalInt.empty(), false, Start.exact(TODAY));
    }

    /** A guided service as it is stored. */
    static GuidedRow row(
            UUID id, long filter, List<Long> tasks, List<Long> then, @Nullable UUID after, Occasion occasion) {
        return new GuidedRow(
                id,
                TANK,
                filter,
                new TaskIds(tasks),
                new AskedChores(Set.of()),
                new KeptSteps(List.of()),
                NOON,
                "Marit",
                null,
                null,
                "Fish are away.",
                null,
                occasion,
                new TaskIds(then),
                after);
    }

    /** Work whose steps did all of this. */
    static GuidedWork did(Effect... effects) {
        List<Step> steps = Arrays.stream(effects).map(Sump::step).toList();
        return GuidedWork.replay(
                steps,
                steps.stream()
                        .map(step -> new GuidedWork.Event(GuidedWork.Kind.DONE, step.id(), "", NOON))
                        .toList());
    }

    private static Step step(Effect effect) {
        return new Step(
                effect.name(),
                new Step.Words("", ""),
                new Step.About(OptionalLong.empty(), OptionalLong.empty(), OptionalInt.empty(), OptionalInt.empty()),
                Step.Care.NONE,
                Optional.empty(),
                Set.of(effect),
                0);
    }
}
