package app.chervil.sim.bench;

import app.chervil.core.interval.Finding;
import app.chervil.sim.truth.HiddenStage;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** Keepers who see the truth, with hands as unpunctual as anyone's. */
final class Oracle {
    private static final int LEAST_PERCENT = 50;
    private static final int MOST_PERCENT = 100;
    private static final int STEP_PERCENT = 5;
    private static final double INFORMED_AIM = 0.85;

    private Oracle() {}

    /** Least cost of planning each service for the day a loading is reached, the loading chosen with hindsight. */
    static double cost(Life life, HiddenStage stage) {
        return IntStream.iterate(LEAST_PERCENT, percent -> percent <= MOST_PERCENT, percent -> percent + STEP_PERCENT)
                .mapToDouble(percent -> life.with(new Clairvoyant(stage, percent / 100.0), 1, new Calibration())
                        .cost())
                .min()
                .orElseThrow();
    }

    /** Knows how fast the stage fills on the day of each service, and nothing of what will change. */
    static Practice informed(HiddenStage stage) {
        return new Informed(stage);
    }

    /** Plans for the day on which a loading will be reached. */
    private static final class Clairvoyant implements Practice {
        private final HiddenStage stage;
        private final double aim;
        private int last;

        Clairvoyant(HiddenStage stage, double aim) {
            this.stage = stage;
            this.aim = aim;
        }

        @Override
        public double interval() {
            int day = last + 1;
            while (day < stage.days() && stage.loading(last, day + 1) <= aim) {
                day++;
            }
            return (double) day - last;
        }

        @Override
        public void served(int day, Finding finding, OptionalDouble flow) {
            last = day;
        }
    }

    private static final class Informed implements Practice {
        private final HiddenStage stage;
        private int last;

        Informed(HiddenStage stage) {
            this.stage = stage;
        }

        @Override
        public double interval() {
            return INFORMED_AIM / stage.filled(last, last + 1);
        }

        @Override
        public void served(int day, Finding finding, OptionalDouble flow) {
            last = day;
        }
    }
}
