package app.chervil.core.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Passport;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What a procedure is assembled from.
 *
 * @param filterName what the keeper calls it
 * @param passport how it is built and what sits where
 * @param means to draw rinse water with
 * @param path the stages in the order water meets them
 * @param work tasks to be done, and chores that go with them
 * @param turn where it stands among filters served one after the other
 */
public record Situation(
        String filterName,
        Passport passport,
        Practice practice,
        Tubs.Means means,
        List<PathStage> path,
        Work work,
        Turn turn) {
    public Situation {
        path = List.copyOf(path);
    }

    /** A filter that is served by itself. */
    public Situation(
            String filterName,
            Passport passport,
            Practice practice,
            Tubs.Means means,
            List<PathStage> path,
            Work work) {
        this(filterName, passport, practice, means, path, work, Turn.ALONE);
    }

    /** A filter of whose places nothing was told. */
    public Situation(
            String filterName, Build build, Practice practice, Tubs.Means means, List<PathStage> path, Work work) {
        this(filterName, Passport.usual(build, kinds(path)), practice, means, path, work);
    }

    private static List<StageKind> kinds(List<PathStage> path) {
        return path.stream().map(PathStage::kind).toList();
    }

    Build build() {
        return passport.build();
    }

    FilterKind kind() {
        return build().kind();
    }

    /** Whether any of the tank's animals is of this sort. */
    boolean keeps(Predicate<Animals> sort) {
        return practice.animals().stream().anyMatch(sort);
    }

    /** Kinds of stage in the order water meets them. */
    List<StageKind> kinds() {
        return kinds(path);
    }

    /** Whether a lamp burns in it, which is never lit while the water stands or a lid is off. */
    boolean hasLamp() {
        return kind() == FilterKind.UV_UNIT || kinds().contains(StageKind.UV_LAMP);
    }

    /** Whether a stage is reached only by opening what holds the water in. */
    boolean isInside(PathStage stage) {
        return passport.isInside(path.indexOf(stage), stage.kind());
    }

    /** The same with other tasks. */
    Situation doing(List<Asked> tasks) {
        Work other = new Work(tasks, work.chores(), work.mediaGrams(), work.available());
        return new Situation(filterName, passport, practice, means, path, other, turn);
    }

    /** The same at its turn among others. */
    Situation inTurn(Turn other) {
        return new Situation(filterName, passport, practice, means, path, work, other);
    }

    /**
     * A stage with its id and what the keeper calls it.
     *
     * @param quantity of the same that make it up, 1 or more
     */
    public record PathStage(long id, String name, Stage stage, int quantity) {
        /** A stage of one piece. */
        public PathStage(long id, String name, Stage stage) {
            this(id, name, stage, 1);
        }

        StageKind kind() {
            return stage.kind();
        }
    }

    /**
     * The schools and waters that change the steps.
     *
     * @param measuresFlow whether flow is asked for before and after
     * @param animals in the tank that ask for care of their own
     */
    public record Practice(
            RinseWater rinse,
            Thoroughness thoroughness,
            TapWater tap,
            BacteriaHome bacteria,
            boolean measuresFlow,
            Set<Animals> animals) {
        public Practice {
            animals = Set.copyOf(animals);
        }

        /** A practice for animals that ask for nothing of their own. */
        public Practice(
                RinseWater rinse,
                Thoroughness thoroughness,
                TapWater tap,
                BacteriaHome bacteria,
                boolean measuresFlow) {
            this(rinse, thoroughness, tap, bacteria, measuresFlow, Set.of());
        }

        /** A practice that measures flow. */
        public Practice(RinseWater rinse, Thoroughness thoroughness, TapWater tap, BacteriaHome bacteria) {
            this(rinse, thoroughness, tap, bacteria, true);
        }

        /** Whether kept media may meet tap water. */
        public boolean tapAllowed() {
            return rinse == RinseWater.TAP_WHERE_SAFE
                    && (tap == TapWater.NEITHER || bacteria == BacteriaHome.SUBSTRATE_AND_ROCK);
        }

        /** Why media is rinsed in what it is, for a keeper to read. */
        public String whyWater() {
            String holds = tap == TapWater.CHLORAMINE ? "chloramine" : "chlorine";
            if (tapAllowed()) {
                return tap == TapWater.NEITHER
                        ? "Tap water is fine: yours holds neither chlorine nor chloramine."
                        : "Tap water is fine: this tank's bacteria live in its substrate and rock, not here.";
            }
            if (tap == TapWater.NEITHER) {
                return "Tank water, as you chose for this tank.";
            }
            return bacteria == BacteriaHome.SUBSTRATE_AND_ROCK
                    ? "Tank water, as you chose for this tank; your tap carries " + holds + "."
                    : "Tank water only. Your tap carries " + holds + ", and this tank's bacteria live in its media.";
        }
    }

    /**
     * Tasks and chores asked for.
     *
     * @param mediaGrams bio media to be exchanged; empty if nobody said how much
     * @param available every task of the filter: what is lifted to reach others is washed as well
     */
    public record Work(List<Asked> tasks, Set<Chore> chores, OptionalDouble mediaGrams, List<Asked> available) {
        public Work(List<Asked> tasks, Set<Chore> chores, List<Asked> available) {
            this(tasks, chores, OptionalDouble.empty(), available);
        }

        public Work {
            tasks = List.copyOf(tasks);
            chores = Set.copyOf(chores);
            available = List.copyOf(available);
        }
    }

    /**
     * A task asked for.
     *
     * @param stage id of its stage; empty for the whole filter
     */
    public record Asked(long task, CareAction action, Optional<Long> stage) {}

    /** Work on the tank that touches its filters. */
    public enum Chore {
        ROCK_BLOW_OFF("Blow detritus off the rock", "Blew detritus off the rock.", 1, Effect.ROCK_BLOWN_OFF),
        SUBSTRATE_VACUUM("Vacuum the substrate", "Vacuumed the substrate.", 2, Effect.SUBSTRATE_VACUUMED),
        BIO_PART_REPLACED(
                "Replace part of the bio media", "Replaced part of the bio media.", 3, Effect.MEDIA_EXCHANGED);

        private final String words;
        private final String told;
        private final int disturbance;
        private final Effect work;

        Chore(String words, String told, int disturbance, Effect work) {
            this.words = words;
            this.told = told;
            this.disturbance = disturbance;
            this.work = work;
        }

        public String words() {
            return words;
        }

        /** What was done, in the past. */
        public String told() {
            return told;
        }

        /** What the step does that does its work. */
        public Effect work() {
            return work;
        }

        /** Of the bacteria, 0 none to 3 severe. */
        public int disturbance() {
            return disturbance;
        }
    }

    /** Whether a sump is cleaned through and through. */
    boolean deepCleans() {
        return kind() == FilterKind.SUMP && doesOnWhole(CareAction.CLEAN);
    }

    /** Whether this is done to the filter as a whole. */
    boolean doesOnWhole(CareAction action) {
        return work.tasks().stream()
                .anyMatch(asked -> asked.action() == action && asked.stage().isEmpty());
    }

    boolean does(CareAction action) {
        return work.tasks().stream().anyMatch(asked -> asked.action() == action);
    }

    Optional<PathStage> stageOf(Asked asked) {
        return asked.stage()
                .flatMap(id -> path.stream().filter(stage -> stage.id() == id).findFirst());
    }
}
