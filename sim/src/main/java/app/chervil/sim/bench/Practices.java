package app.chervil.sim.bench;

import app.chervil.core.interval.CalibratedEye;
import app.chervil.core.interval.ContextEffect;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Metered;
import app.chervil.core.interval.Serviced;
import app.chervil.core.interval.Window;
import app.chervil.core.tank.ContextChange;
import app.chervil.sim.truth.HiddenStage;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** The practices that are compared, each by the name the table prints. */
final class Practices {
    /** Ours, without and with flow. */
    static final String OURS = "ours";

    static final String OURS_WITH_FLOW = "ours with flow";
    /** With flow, by a keeper who graded the twelve pictures. */
    static final String OURS_WITH_PICTURES = "ours, twelve pictures";

    static final String RULE_OF_THUMB = "rule of thumb";
    static final String MULTIPLIED = "school and multipliers";

    private static final double MAKERS_SHARE = 1.0 / 3;
    private static final double[] THUMB = {1.33, 1.33, 1, 0.67, 0.67};
    /** Least mean cost of a grid of 162 ladders on seeds 1 to 120. */
    private static final double[] LADDER = {1.8, 1.3, 1.2, 1.0, 0.7};

    private static final int BASELINE_DAYS = 3;
    private static final int LATELY_DAYS = 3;

    private Practices() {}

    /**
     * All that plan without seeing the truth, in the order of the table.
     *
     * @param pictured what graded pictures tell of the keeper's eye
     */
    static Map<String, Practice.Beginning> all(CalibratedEye pictured) {
        Map<String, Practice.Beginning> all = new LinkedHashMap<>();
        all.put("informed", Oracle::informed);
        all.put(
                "maker's calendar",
                stage -> fixed(MAKERS_SHARE * stage.model().rule().startDays()));
        all.put("school", stage -> fixed(stage.model().rule().startDays()));
        all.put(MULTIPLIED, Multiplied::new);
        all.put(RULE_OF_THUMB, stage -> new Ladder(stage, THUMB));
        all.put("tuned ladder", stage -> new Ladder(stage, LADDER));
        all.put(OURS, stage -> new Learned(stage, false, CalibratedEye.UNTESTED));
        all.put(OURS_WITH_FLOW, stage -> new Learned(stage, true, CalibratedEye.UNTESTED));
        all.put(OURS_WITH_PICTURES, stage -> new Learned(stage, true, pictured));
        return all;
    }

    /** The interval engine, with flow as far as it was measured if that is wanted. */
    static Practice learned(HiddenStage stage, boolean withFlow, CalibratedEye eye) {
        return new Learned(stage, withFlow, eye);
    }

    /** The interval engine with a flow meter. */
    static Practice metered(HiddenStage stage) {
        return new Watching(stage);
    }

    /** The same days whatever is found. */
    private static Practice fixed(double days) {
        return () -> days;
    }

    /** The usual interval over the tank's dirt rate, as far as it was written down. */
    private static final class Multiplied implements Practice {
        private double days;

        Multiplied(HiddenStage stage) {
            days = stage.model().rule().startDays() / stage.start().load().rate();
        }

        @Override
        public double interval() {
            return days;
        }

        @Override
        public void changed(ContextChange change) {
            days *= Math.exp(-ContextEffect.of(change).logRate());
        }
    }

    /** Longer after a light finding, shorter after a heavy one, by fixed factors. */
    private static final class Ladder implements Practice {
        private final double[] factors;
        private double days;

        Ladder(HiddenStage stage, double[] factors) {
            this.factors = factors.clone();
            this.days = stage.model().rule().startDays() / stage.start().load().rate();
        }

        @Override
        public double interval() {
            return days;
        }

        @Override
        public void served(int day, Finding finding, OptionalDouble flow) {
            days *= factors[finding.grade()];
        }
    }

    /** The interval engine. */
    private static final class Learned implements Practice {
        private final LocalDate origin;
        private final boolean withFlow;
        private final CalibratedEye eye;
        private final Course course;
        private LocalDate last;
        private int services;

        Learned(HiddenStage stage, boolean withFlow, CalibratedEye eye) {
            this.eye = eye;
            this.origin = stage.start().on();
            this.last = origin;
            this.withFlow = withFlow;
            this.course =
                    Course.begin(stage.model().rule(), origin, stage.start().load());
        }

        @Override
        public double interval() {
            return ChronoUnit.DAYS.between(last, course.window().ideal());
        }

        @Override
        public void changed(ContextChange change) {
            course.change(change);
        }

        @Override
        public void served(int day, Finding finding, OptionalDouble flow) {
            last = origin.plusDays(day);
            services++;
            course.serve(
                    new Serviced(last, Optional.of(finding), withFlow ? flow : OptionalDouble.empty(), eye, false));
        }

        @Override
        public Optional<Calibration.Belief> belief(int servedDay) {
            Window window = course.window();
            return Optional.of(new Calibration.Belief(
                    services,
                    course.belief(),
                    course.exposureOn(last.plusDays(1)),
                    servedDay + (int) ChronoUnit.DAYS.between(last, window.latest())));
        }
    }

    /** The interval engine, told every day what a flow meter says. */
    private static final class Watching implements Practice {
        private final LocalDate origin;
        private final Course course;
        private final List<Double> readings = new ArrayList<>();
        private double clean;
        private LocalDate last;

        Watching(HiddenStage stage) {
            this.origin = stage.start().on();
            this.last = origin;
            this.course =
                    Course.begin(stage.model().rule(), origin, stage.start().load());
        }

        @Override
        public boolean watches() {
            return true;
        }

        @Override
        public double interval() {
            return ChronoUnit.DAYS.between(last, course.window().ideal());
        }

        @Override
        public void changed(ContextChange change) {
            course.change(change);
        }

        @Override
        public void read(int day, double flow) {
            readings.add(flow);
            if (readings.size() <= BASELINE_DAYS) {
                clean = mean(readings);
            } else {
                course.meter(new Metered(origin.plusDays(day), lately() / clean));
            }
        }

        private double lately() {
            return mean(readings.subList(Math.max(0, readings.size() - LATELY_DAYS), readings.size()));
        }

        private static double mean(List<Double> values) {
            return values.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        }

        @Override
        public void served(int day, Finding finding, OptionalDouble flow) {
            last = origin.plusDays(day);
            OptionalDouble share =
                    readings.size() > BASELINE_DAYS ? OptionalDouble.of(lately() / clean) : OptionalDouble.empty();
            course.serve(new Serviced(last, Optional.of(finding), share, CalibratedEye.UNTESTED, false));
            readings.clear();
        }
    }
}
