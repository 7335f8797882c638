package app.chervil.core.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
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
import java.util.Set;

/** Filters whose services are read aloud. */
abstract class ReadAloud {
    static final Practice TANK_WATER =
            new Practice(RinseWater.TANK_WATER, Thoroughness.LIGHT, TapWater.CHLORAMINE, BacteriaHome.MEDIA);

    static final long COARSE = 1;
    static final long PAD = 2;
    static final long BIO = 3;

    /** Water runs from coarse foam at the bottom to bio media on top; a hand meets them the other way round. */
    static final List<PathStage> PATH = List.of(
            new PathStage(COARSE, "coarse foam", Stage.washable(StageKind.COARSE_FOAM)),
            new PathStage(PAD, "fine pad", Stage.disposable(StageKind.FINE_PAD)),
            new PathStage(BIO, "bio media", Stage.washable(StageKind.BIO_MEDIA)));

    static final Asked OPEN = new Asked(10, CareAction.OPEN, Optional.empty());
    static final Asked RINSE = new Asked(11, CareAction.RINSE, Optional.of(COARSE));
    static final Asked REPLACE = new Asked(12, CareAction.REPLACE, Optional.of(COARSE));
    static final Asked CHANGE = new Asked(13, CareAction.CHANGE, Optional.of(PAD));
    static final Asked DIP = new Asked(14, CareAction.DIP, Optional.of(BIO));
    static final List<Asked> ALL = List.of(OPEN, RINSE, REPLACE, CHANGE, DIP);

    static Procedure canister(FlowDirection direction, Practice practice, double litres, Asked... asked) {
        return assemble(
                Build.usual(FilterKind.CANISTER, Optional.of(direction)),
                practice,
                litres,
                PATH,
                List.of(asked),
                Set.of());
    }

    static Procedure assemble(
            Build build, Practice practice, double litres, List<PathStage> path, List<Asked> asked, Set<Chore> chores) {
        List<Asked> available = new ArrayList<>(path.equals(PATH) ? ALL : asked);
        Tubs.Means means = new Tubs.Means(Tubs.Means.USUAL_BUCKET_L, litres, Tubs.Means.USUAL_SHARE);
        return Procedure.assemble(
                new Situation("Weir", build, practice, means, path, new Work(asked, chores, available)));
    }

    static String text(Procedure procedure, String id) {
        return procedure.steps().stream()
                .filter(step -> step.id().equals(id))
                .map(step -> step.what().text())
                .findFirst()
                .orElseThrow();
    }

    static List<String> ids(Procedure procedure) {
        return procedure.steps().stream().map(Step::id).toList();
    }
}
