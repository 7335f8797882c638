package app.chervil.core.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.Fill;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.Passport;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Content;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Filters in particular, as their keepers describe them. */
abstract class ExampleFilters {
    static final Set<String> OF_EVERY_SERVICE =
            Set.of("gloves", "heater-off", "flow-before", "watch", "flow-after", "heater-on", "finish");

    static final Stage FINE_PAD = Stage.disposable(StageKind.FINE_PAD);

    Described topDown(Stage pad) {
        return new Described(FilterKind.CANISTER, FlowDirection.TOP_DOWN, ShutOff.VALVES, Fill.SELF)
                .with("fine pad", pad)
                .with("bio media", StageKind.BIO_MEDIA)
                .with("impeller", StageKind.IMPELLER)
                .in(Place.tray("the top tray", true, piece(0)), Place.tray("the bottom tray", false, piece(1)));
    }

    static Content piece(int stage) {
        return Content.piece(stage);
    }

    static Chamber room(String name, Place... places) {
        return new Chamber(name, Chamber.Access.SEALED, List.of(places));
    }

    /** Steps as a practitioner would call them, without those of every service. */
    List<String> steps(Procedure procedure) {
        return procedure.steps().stream()
                .filter(step -> !OF_EVERY_SERVICE.contains(step.id().split(":")[0]))
                .map(this::called)
                .toList();
    }

    String called(Step step) {
        String code = step.id().split(":")[0];
        if (step.about().place().isPresent()) {
            return code + " "
                    + served.passport()
                            .places()
                            .get(step.about().place().getAsInt())
                            .name();
        }
        return step.about().stage().isPresent()
                ? code + " "
                        + served.path()
                                .get((int) step.about().stage().getAsLong())
                                .name()
                : code;
    }

    Described served = new Described(FilterKind.CANISTER, null, ShutOff.NONE, Fill.SELF);

    /** A filter under construction. */
    final class Described {
        private Build build;
        private final List<PathStage> path = new ArrayList<>();
        private List<Chamber> chambers = List.of();

        Described(FilterKind kind, FlowDirection direction, ShutOff shutOff, Fill fill) {
            this.build = Build.usual(kind, Optional.ofNullable(direction), shutOff, fill);
        }

        Described with(String name, StageKind kind) {
            return with(name, Stage.washable(kind));
        }

        Described with(String name, Stage stage) {
            path.add(new PathStage(path.size(), name, stage));
            return this;
        }

        Described in(Place... places) {
            return chambers(room("", places));
        }

        Described chambers(Chamber... rooms) {
            chambers = List.of(rooms);
            return this;
        }

        Described dryGrip() {
            return built(new Build(
                    build.kind(),
                    build.direction(),
                    build.water(),
                    build.housing(),
                    build.hoses(),
                    new Build.Current(Build.HeaterPlace.SUMP, Build.LampPlace.LID, true)));
        }

        Described built(Build other) {
            build = other;
            return this;
        }

        Passport passport() {
            return new Passport(build, chambers, List.of(), "", true);
        }

        List<PathStage> path() {
            return path;
        }

        List<StageKind> kinds() {
            return path.stream().map(stage -> stage.stage().kind()).toList();
        }

        /** Serves stages by the first task that each of them has. */
        Procedure serve(String... names) {
            return assemble(List.of(names).stream().map(this::firstOf).toList());
        }

        Procedure serveBy(CareAction action, String name) {
            return assemble(ofStage(name).stream()
                    .filter(task -> task.action() == action)
                    .toList());
        }

        Procedure serveAll(String name) {
            return assemble(ofStage(name));
        }

        private List<Asked> available() {
            List<Asked> available = new ArrayList<>();
            for (PathStage stage : path) {
                for (CareRule rule : CareCatalogue.forStage(stage.stage(), Schools.DEFAULT)) {
                    available.add(new Asked(available.size(), rule.action(), Optional.of(stage.id())));
                }
            }
            return available;
        }

        private List<Asked> ofStage(String name) {
            return available().stream()
                    .filter(task -> path.stream()
                            .anyMatch(stage ->
                                    stage.name().equals(name) && task.stage().equals(Optional.of(stage.id()))))
                    .toList();
        }

        private Asked firstOf(String name) {
            return ofStage(name).stream()
                    .filter(task -> task.action() != CareAction.REPLACE)
                    .findFirst()
                    .orElseThrow();
        }

        private Procedure assemble(List<Asked> asked) {
            served = this;
            return Procedure.assemble(new Situation(
                    "Weir",
                    passport(),
                    new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA),
                    new Tubs.Means(8, 220, 0.25),
                    path,
                    new Work(asked, Set.of(), available())));
        }
    }
}
