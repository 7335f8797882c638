package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Chamber;
import app.chervil.core.passport.OwnStep;
import app.chervil.core.passport.Passport;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Content;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * What holds of every filter that a keeper can describe: made-up passports of every kind, each served in many ways and taken
 * down; {@code -Dchervil.thorough=true} makes up more of them.
 */
class PassportPropertiesTest {
    private static final int PASSPORTS = Boolean.getBoolean("chervil.thorough") ? 1500 : 600;
    private static final int SERVICES_EACH = 8;
    private static final List<StageKind> LOOSE = List.of(
            StageKind.COARSE_FOAM,
            StageKind.MEDIUM_FOAM,
            StageKind.FINE_PAD,
            StageKind.FLOSS,
            StageKind.BIO_MEDIA,
            StageKind.BIO_MEDIA,
            StageKind.CARBON,
            StageKind.RESIN,
            StageKind.PHOSPHATE_REMOVER);
    private static final Map<FilterKind, List<StageKind>> MACHINE = Map.of(
            FilterKind.CANISTER,
            List.of(
                    StageKind.IMPELLER,
                    StageKind.SEALS,
                    StageKind.HOSES,
                    StageKind.PREFILTER_SPONGE,
                    StageKind.UV_LAMP,
                    StageKind.UV_SLEEVE),
            FilterKind.HANG_ON_BACK,
            List.of(StageKind.IMPELLER, StageKind.STRAINER, StageKind.PREFILTER_SPONGE),
            FilterKind.INTERNAL,
            List.of(StageKind.IMPELLER, StageKind.STRAINER, StageKind.PREFILTER_SPONGE),
            FilterKind.SUMP,
            List.of(StageKind.OVERFLOW, StageKind.SOCK, StageKind.SETTLING, StageKind.RETURN_PUMP, StageKind.HOSES));
    private static final List<FilterKind> KINDS = List.of(
            FilterKind.CANISTER,
            FilterKind.CANISTER,
            FilterKind.CANISTER,
            FilterKind.HANG_ON_BACK,
            FilterKind.INTERNAL,
            FilterKind.SUMP);

    @Test
    void every_service_of_every_filter_that_can_be_described_holds() {
        Random random = new Random(2026);
        int services = 0;
        int errands = 0;
        for (int i = 0; i < PASSPORTS; i++) {
            Described filter = Described.next(random);
            for (int j = 0; j < SERVICES_EACH; j++) {
                Situation situation = filter.served(filter.some(random), random);
                Procedure procedure = Procedure.assemble(situation);
                ProcedureInvariants.hold(situation, procedure);
                anErrandLeavesTheBacteriaAlone(situation, procedure);
                ownStepsAreKept(situation, procedure);
                services++;
                errands += isErrand(situation) ? 1 : 0;
            }
            moreWorkIsNeverLess(filter, random);
            TakeDownTest.holds(Procedure.takeDown(filter.served(List.of(), random), Occasion.MOVE));
            TakeDownTest.holds(Procedure.takeDown(filter.served(List.of(), random), Occasion.STORE));
        }
        System.out.println("Described filters: " + PASSPORTS + ", services: " + services + ", errands: " + errands);
        assertThat(errands).isGreaterThan(PASSPORTS / 8);
    }

    /** Invariant 27: what is called an errand brings no bio media out. */
    private static void anErrandLeavesTheBacteriaAlone(Situation situation, Procedure procedure) {
        if (isErrand(situation)) {
            assertThat(procedure.steps()).as("%s", situation).noneMatch(step -> step.effects()
                    .contains(Step.Effect.BIO_OUT));
        }
    }

    private static boolean isErrand(Situation situation) {
        List<Asked> tasks = situation.work().tasks();
        return tasks.size() == 1
                && situation
                        .stageOf(tasks.get(0))
                        .filter(stage -> situation.isInside(stage) && stage.kind() != StageKind.IMPELLER)
                        .map(situation.path()::indexOf)
                        .filter(stage -> situation.passport().isErrand(situation.kinds(), stage))
                        .isPresent();
    }

    /** Invariant 26: a step of the keeper's own stands in every service in which its moment comes, and once. */
    private static void ownStepsAreKept(Situation situation, Procedure procedure) {
        long own = procedure.steps().stream()
                .filter(step -> step.id().startsWith("own:"))
                .count();
        boolean stops = procedure.steps().stream().anyMatch(step -> step.id().startsWith("stop:"));
        assertThat(own).isEqualTo(stops ? situation.passport().ownSteps().size() : 0);
    }

    /** Invariant 24: one target more is never less work, fewer tubs or less disturbance. */
    private static void moreWorkIsNeverLess(Described filter, Random random) {
        List<Asked> some = filter.some(random);
        List<Asked> more = new ArrayList<>(some);
        Collections.shuffle(filter.tasks(), random);
        filter.tasks().stream()
                .filter(task -> !some.contains(task) && task.action() != CareAction.REPLACE)
                .findFirst()
                .ifPresent(more::add);
        Procedure less = Procedure.assemble(filter.served(some, new Random(1)));
        Procedure grown = Procedure.assemble(filter.served(more, new Random(1)));
        assertThat(grown.minutes()).as("%s%n%s", some, more).isGreaterThanOrEqualTo(less.minutes());
        assertThat(grown.tubs().count()).isGreaterThanOrEqualTo(less.tubs().count());
        if (bioOut(less)) {
            assertThat(bioOut(grown)).isTrue();
        }
    }

    private static boolean bioOut(Procedure procedure) {
        return procedure.steps().stream().anyMatch(step -> step.effects().contains(Step.Effect.BIO_OUT));
    }

    /** A made-up canister. */
    private record Described(Passport passport, List<PathStage> path, List<Asked> tasks) {
        static Described next(Random random) {
            FilterKind kind = KINDS.get(random.nextInt(KINDS.size()));
            List<PathStage> path = new ArrayList<>();
            int loose = 1 + random.nextInt(7);
            for (int i = 0; i < loose; i++) {
                add(path, LOOSE.get(random.nextInt(LOOSE.size())), random);
            }
            MACHINE.getOrDefault(kind, List.of()).stream()
                    .filter(one -> random.nextInt(3) > 0)
                    .forEach(one -> add(path, one, random));
            List<Asked> tasks = new ArrayList<>();
            CareCatalogue.forFilter(kind, Schools.DEFAULT)
                    .forEach(rule -> tasks.add(new Asked(tasks.size() + 1, rule.action(), Optional.empty())));
            for (PathStage stage : path) {
                CareCatalogue.forStage(stage.stage(), Schools.DEFAULT)
                        .forEach(
                                rule -> tasks.add(new Asked(tasks.size() + 1, rule.action(), Optional.of(stage.id()))));
            }
            List<OwnStep> own = random.nextInt(4) == 0
                    ? List.of(new OwnStep(OwnStep.Moment.STOP, random.nextBoolean(), "Hold the shelf."))
                    : List.of();
            return new Described(
                    new Passport(build(kind, random), chambers(kind, loose, random), own, "", true), path, tasks);
        }

        private static void add(List<PathStage> path, StageKind kind, Random random) {
            Stage.Make make = random.nextBoolean() ? Stage.Make.WASHABLE : Stage.Make.DISPOSABLE;
            long id = path.size() + 1;
            path.add(new PathStage(id, kind.words() + " number " + id, new Stage(kind, make)));
        }

        private static Build build(FilterKind kind, Random random) {
            Optional<FlowDirection> direction =
                    kind == FilterKind.CANISTER ? Optional.of(any(FlowDirection.values(), random)) : Optional.empty();
            Build usual = Build.usual(kind, direction);
            return new Build(
                    kind,
                    direction,
                    new Build.Water(
                            any(Build.ShutOff.values(), random),
                            any(Build.Fill.values(), random),
                            any(Build.Purge.values(), random),
                            random.nextInt(4)),
                    new Build.Housing(
                            any(Build.Ports.values(), random),
                            random.nextInt(7),
                            random.nextBoolean(),
                            random.nextBoolean() ? Build.Pump.BASE : Build.Pump.HEAD,
                            random.nextBoolean(),
                            random.nextBoolean(),
                            random.nextBoolean(),
                            random.nextInt(4) > 0),
                    usual.hoses(),
                    new Build.Current(
                            any(Build.HeaterPlace.values(), random),
                            any(Build.LampPlace.values(), random),
                            random.nextInt(3) == 0));
        }

        /** Hand order is drawn by lot: it has nothing to do with the water's. */
        private static List<Chamber> chambers(FilterKind kind, int loose, Random random) {
            List<Integer> order = new ArrayList<>();
            for (int i = 0; i < loose; i++) {
                order.add(i);
            }
            Collections.shuffle(order, random);
            List<List<Place>> rooms = List.of(new ArrayList<>(), new ArrayList<>());
            int two = random.nextInt(3) == 0 ? 2 : 1;
            for (int next = 0; next < loose; ) {
                int size = Math.min(loose - next, 1 + random.nextInt(3));
                List<Place> places = rooms.get(random.nextInt(two));
                places.add(place(places.size(), order.subList(next, next + size), random));
                next += size;
            }
            return rooms.stream()
                    .filter(places -> !places.isEmpty())
                    .map(places -> new Chamber(
                            "", kind == FilterKind.CANISTER ? Chamber.Access.SEALED : Chamber.Access.HOOD, places))
                    .toList();
        }

        private static Place place(int number, List<Integer> contents, Random random) {
            Place.Kind kind = any(Place.Kind.values(), random);
            boolean inPlace = kind == Place.Kind.FIXED || (number == 0 && random.nextBoolean());
            Optional<List<Integer>> under = number > 0 && random.nextInt(3) == 0
                    ? Optional.of(List.of(random.nextInt(number)))
                    : Optional.empty();
            return new Place(
                    "place " + (char) ('a' + random.nextInt(26)) + number + contents.get(0),
                    kind,
                    inPlace,
                    under,
                    OptionalDouble.empty(),
                    contents.stream().map(Content::piece).toList());
        }

        private static <T> T any(T[] values, Random random) {
            return values[random.nextInt(values.length)];
        }

        List<Asked> some(Random random) {
            Set<Asked> chosen = new HashSet<>();
            int wanted = random.nextInt(3) == 0 ? 1 : 1 + random.nextInt(tasks.size());
            for (int i = 0; i < wanted; i++) {
                chosen.add(tasks.get(random.nextInt(tasks.size())));
            }
            return tasks.stream().filter(chosen::contains).collect(Collectors.toList());
        }

        Situation served(List<Asked> asked, Random random) {
            double[] tanks = {38, 120, 400};
            Practice practice = new Practice(
                    any(RinseWater.values(), random),
                    any(Thoroughness.values(), random),
                    any(TapWater.values(), random),
                    any(BacteriaHome.values(), random),
                    random.nextBoolean(),
                    random.nextBoolean() ? Set.of() : Set.of(any(Animals.values(), random)));
            return new Situation(
                    "Weir",
                    passport,
                    practice,
                    new Tubs.Means(8, tanks[random.nextInt(tanks.length)], 0.25),
                    path,
                    new Work(asked, Set.of(), tasks));
        }
    }
}
