package app.chervil.sim.bench;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.CareRule.Bounds;
import app.chervil.core.filter.CareRule.Effort;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.sim.truth.StageModel;
import java.util.List;
import java.util.OptionalDouble;

/** The five kinds of the benchmark, with the engine's limits alone: a floor of a day and the ceiling of the kind. */
final class Kinds {
    static final List<StageModel> ALL = List.of(
            model("sock", 4, new Graded(1, OptionalDouble.empty(), 21), false),
            model("pre-filter sponge", 14, new Graded(1.5, OptionalDouble.of(0.45), 35), false),
            model("fine pad, floss", 21, new Graded(1.5, OptionalDouble.of(0.60), 105), true),
            model("coarse or medium foam", 60, new Graded(2, OptionalDouble.of(0.60), 300), true),
            model("canister opening", 90, new Graded(3, OptionalDouble.of(0.65), 365), true));

    private Kinds() {}

    private static StageModel model(String name, int startDays, Graded graded, boolean behind) {
        CareRule rule = new CareRule(
                CareAction.RINSE,
                startDays,
                new Bounds(1, graded.ceilingDays()),
                new Effort(5, 0, 0, List.of()),
                graded,
                name);
        return new StageModel(name, rule, 0.95, behind);
    }
}
