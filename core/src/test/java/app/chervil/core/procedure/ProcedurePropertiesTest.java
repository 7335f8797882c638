package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.Fill;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.procedure.Situation.Practice;
import app.chervil.core.procedure.Situation.Work;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * What must hold for every filter kind × practice × build × subset of tasks, in tanks from 5 to 400 L. A path too long for
 * all its subsets is sampled, always with the empty set, each task alone and all together. Where a kind has many builds,
 * each practice meets every twelfth of them, drawn so that every build meets every value of a practice;
 * {@code -Dchervil.thorough=true} lets all meet all.
 */
class ProcedurePropertiesTest {
    private static final int ALL_SUBSETS_UP_TO = 6;
    private static final int SAMPLES = 8;
    private static final int MANY_BUILDS = 12;
    private static final int EVERY = Boolean.getBoolean("chervil.thorough") ? 1 : 12;
    private static final double[] TANKS = {5, 20, 38, 120, 400};

    @ParameterizedTest
    @EnumSource(FilterKind.class)
    void holds_for_every_combination(FilterKind kind) {
        int[] count = {0};
        eachSituation(kind, situation -> {
            Procedure procedure = Procedure.assemble(situation);
            ProcedureInvariants.hold(situation, procedure);
            count[0]++;
        });
        System.out.println("Procedures checked for " + kind.words() + ": " + count[0]);
        assertThat(count[0]).isGreaterThan(400);
    }

    private static void eachSituation(FilterKind kind, Consumer<Situation> check) {
        List<PathStage> path = path(kind);
        List<Asked> tasks = Catalogued.tasks(kind, path);
        List<Build> builds = builds(kind);
        Random random = new Random(kind.ordinal());
        int practices = 0;
        for (RinseWater rinse : RinseWater.values()) {
            for (TapWater tap : TapWater.values()) {
                for (BacteriaHome home : BacteriaHome.values()) {
                    for (Thoroughness clean : Thoroughness.values()) {
                        Practice practice = new Practice(rinse, clean, tap, home);
                        practices++;
                        for (Build build : met(builds, practices)) {
                            for (List<Asked> subset : subsets(tasks, random)) {
                                check.accept(situation(build, practice, path, subset, tasks, random));
                            }
                        }
                    }
                }
            }
        }
    }

    private static List<Build> met(List<Build> builds, int practice) {
        if (builds.size() <= MANY_BUILDS) {
            return builds;
        }
        return IntStream.range(0, builds.size())
                .filter(build -> (build + practice + practice / EVERY) % EVERY == 0)
                .mapToObj(builds::get)
                .toList();
    }

    private static Situation situation(
            Build build, Practice practice, List<PathStage> path, List<Asked> subset, List<Asked> all, Random random) {
        Set<Chore> chores =
                switch (random.nextInt(4)) {
                    case 0 -> Set.of(Chore.values());
                    case 1 -> Set.of(Chore.SUBSTRATE_VACUUM);
                    default -> Set.of();
                };
        double tank = TANKS[random.nextInt(TANKS.length)];
        double bucket = random.nextInt(3) == 0 ? 12 : 8;
        Tubs.Means means = new Tubs.Means(bucket, tank, random.nextInt(5) == 0 ? 0.1 : 0.25);
        return new Situation("Weir", build, practice, means, path, new Work(subset, chores, all));
    }

    private static List<Build> builds(FilterKind kind) {
        List<Build> builds = new ArrayList<>();
        List<Optional<FlowDirection>> directions = kind == FilterKind.CANISTER
                ? List.of(
                        Optional.of(FlowDirection.BOTTOM_UP),
                        Optional.of(FlowDirection.TOP_DOWN),
                        Optional.of(FlowDirection.SIDE_THEN_TRAYS))
                : List.of(Optional.empty());
        for (Optional<FlowDirection> direction : directions) {
            for (ShutOff valves : kind == FilterKind.CANISTER || kind == FilterKind.UV_UNIT
                    ? ShutOff.values()
                    : new ShutOff[] {ShutOff.NONE}) {
                for (Fill fill : kind == FilterKind.CANISTER ? Fill.values() : new Fill[] {Fill.SELF}) {
                    builds.add(Build.usual(kind, direction, valves, fill));
                }
            }
        }
        return builds;
    }

    private static List<List<Asked>> subsets(List<Asked> tasks, Random random) {
        List<List<Asked>> subsets = new ArrayList<>();
        boolean all = tasks.size() <= ALL_SUBSETS_UP_TO;
        for (int i = 0, n = all ? 1 << tasks.size() : SAMPLES; i < n; i++) {
            int mask = all ? i : random.nextInt(1 << tasks.size());
            subsets.add(chosen(tasks, mask));
        }
        tasks.forEach(task -> subsets.add(List.of(task)));
        subsets.add(tasks);
        subsets.add(List.of());
        return subsets;
    }

    private static List<Asked> chosen(List<Asked> tasks, int mask) {
        List<Asked> subset = new ArrayList<>();
        for (int bit = 0; bit < tasks.size(); bit++) {
            if ((mask >> bit & 1) == 1) {
                subset.add(tasks.get(bit));
            }
        }
        return subset;
    }

    /** The template's path, and after it every kind of stage that such a filter may also hold. */
    private static List<PathStage> path(FilterKind kind) {
        List<Stage> stages = new ArrayList<>(FilterTemplates.waterPath(kind));
        if (kind == FilterKind.HANG_ON_BACK) {
            stages.add(Stage.washable(StageKind.CARTRIDGE));
        }
        if (kind == FilterKind.CANISTER || kind == FilterKind.SUMP) {
            stages.add(Stage.washable(StageKind.CARBON));
            stages.add(Stage.washable(StageKind.RESIN));
            stages.add(Stage.washable(StageKind.UV_SLEEVE));
            stages.add(Stage.disposable(StageKind.UV_LAMP));
        }
        if (kind == FilterKind.CANISTER) {
            stages.add(7, Stage.washable(StageKind.FINE_PAD));
        }
        List<PathStage> path = new ArrayList<>();
        for (Stage stage : stages) {
            String name = stage.kind().words() + (path.size() + 1);
            path.add(new PathStage(path.size() + 1, name, stage));
        }
        return path;
    }
}
