package app.chervil.core.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.tank.Thoroughness;
import java.util.List;
import java.util.function.Predicate;

/**
 * How far a service goes.
 *
 * @param stops whether the filter is stopped
 * @param opened whether a canister is opened
 * @param hosesOff whether its hoses come off
 * @param bayOpened whether a lamp bay is opened
 * @param emptied whether nothing is left inside the opened canister
 * @param vacuumLitres drained by the vacuum, zero without one
 * @param waterLeaves whether water leaves the tank
 * @param dry whether all of it is done with dry hands while the pump runs
 */
record Extent(
        boolean stops,
        boolean opened,
        boolean hosesOff,
        boolean bayOpened,
        boolean emptied,
        boolean housing,
        Tubs tubs,
        double vacuumLitres,
        boolean waterLeaves,
        boolean tap,
        boolean dry) {
    static Extent of(Situation situation, Handled hands) {
        List<Asked> tasks = situation.work().tasks();
        Build build = situation.build();
        boolean opened = build.is(FilterKind.CANISTER)
                && (situation.does(CareAction.OPEN)
                        || situation.work().chores().contains(Chore.BIO_PART_REPLACED)
                        || anyStage(situation, situation::isInside));
        boolean bay = any(situation, kind -> StepCatalogue.isInBay(kind, build));
        boolean hoses = any(situation, kind -> isOnHoses(kind, build)) || (opened && takesHosesOff(build));
        boolean vacuumed = situation.work().chores().contains(Chore.SUBSTRATE_VACUUM);
        boolean dry = isDrySwap(situation);
        boolean handsIn = any(situation, kind -> !kind.isBeside())
                || situation.work().chores().contains(Chore.BIO_PART_REPLACED);
        boolean whole = situation.doesOnWhole(CareAction.TEST) || situation.deepCleans();
        boolean stops = !dry && (handsIn || whole || opened || (vacuumed && build.is(FilterKind.SUMP)));
        Tubs.Means means = situation.means();
        Turn.Wanted wanted = wanted(situation, hands).and(situation.turn().wanted());
        Tubs tubs = Tubs.of(wanted.rinses(), wanted.bio(), vacuumed ? means.sharing(means.share() / 2) : means);
        double vacuum = vacuumed ? means.share() * means.tankL() - tubs.litres() : 0;
        boolean full = opened
                && hands.reach().emptied()
                && situation.practice().thoroughness() == Thoroughness.FULL
                && !tasks.isEmpty();
        return new Extent(
                stops,
                opened,
                hoses,
                bay,
                opened && hands.reach().emptied(),
                full,
                tubs,
                vacuum,
                stops || vacuumed || (situation.turn().first() && tubs.count() > 0),
                situation.practice().tapAllowed(),
                dry);
    }

    /** Tubs that a filter wants for itself. */
    static Turn.Wanted wanted(Situation situation, Handled hands) {
        return new Turn.Wanted(rinses(situation), hands.reach().bioOut());
    }

    /** The same with the filter stopped, and a canister opened with nothing taken out. */
    Extent looking(Build build) {
        boolean canister = build.is(FilterKind.CANISTER);
        return new Extent(
                true,
                canister,
                hosesOff || (canister && takesHosesOff(build)),
                false,
                false,
                false,
                tubs,
                vacuumLitres,
                true,
                tap,
                false);
    }

    /** Whether a hand or a tub goes into the tank's water, so that its heater is off. */
    boolean touchesWater() {
        return stops || waterLeaves;
    }

    /** What comes off with the hoses: pulled off full ones, an outlet lets the tank run out, and a valve is seen to off its port. */
    private static boolean isOnHoses(StageKind kind, Build build) {
        return kind == StageKind.HOSES
                || ((kind == StageKind.OUTLET || kind == StageKind.VALVES) && build.hangsOnHoses());
    }

    /** Hoses on the body stay on while it is opened where it stands. */
    private static boolean takesHosesOff(Build build) {
        return build.housing().ports() == Build.Ports.LID || isCarried(build);
    }

    static boolean isCarried(Build build) {
        return build.is(FilterKind.CANISTER) && !build.housing().opensWhereItStands();
    }

    /** A sock that is swapped by its dry ring, with the pump running and nothing else to do. */
    private static boolean isDrySwap(Situation situation) {
        return situation.build().is(FilterKind.SUMP)
                && situation.build().current().dryGripSock()
                && situation.work().chores().isEmpty()
                && !situation.work().tasks().isEmpty()
                && situation.work().tasks().stream().allMatch(task -> situation
                        .stageOf(task)
                        .filter(stage -> stage.kind() == StageKind.SOCK)
                        .isPresent());
    }

    private static boolean any(Situation situation, Predicate<StageKind> fits) {
        return anyStage(situation, stage -> fits.test(stage.kind()));
    }

    private static boolean anyStage(Situation situation, Predicate<PathStage> fits) {
        return situation.work().tasks().stream()
                .flatMap(task -> situation.stageOf(task).stream())
                .anyMatch(fits);
    }

    /** Two tubs for foam and sponges, one for a pre-filter, a washable pad or a cartridge; none under the tap. */
    private static int rinses(Situation situation) {
        return situation.practice().tapAllowed()
                ? 0
                : situation.work().tasks().stream()
                        .mapToInt(task -> situation
                                .stageOf(task)
                                .map(stage -> StepCatalogue.tubs(stage.kind(), task.action()))
                                .orElse(0))
                        .max()
                        .orElse(0);
    }
}
