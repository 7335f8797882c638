package app.chervil.sim.bench;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Start;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.visit.BookedTask;
import app.chervil.core.visit.BookedTask.StagePart;
import app.chervil.core.visit.FilterBook;
import app.chervil.core.visit.FilterBook.Around;
import app.chervil.core.visit.FilterBook.Device;
import app.chervil.core.visit.LoggedService;
import app.chervil.sim.truth.Eye;
import app.chervil.sim.truth.HiddenStage;
import app.chervil.sim.truth.Randomness;
import app.chervil.sim.truth.World;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.SplittableRandom;

/**
 * A canister with a coarse foam and a pre-filter, and a keeper whose log is as logs are: findings are missing, some services are
 * logged twice, late, on a wrong day or graded by a slip, some slips are taken back, and some filters were old when they were entered.
 * The log goes through {@link FilterBook}, as the application's does (docs/sources.md#messy-benchmark).
 */
final class MessyLife {
    private static final int DAYS = 3 * 365;
    private static final int BEFORE = 365;
    private static final LocalDate BEGIN = LocalDate.of(2020, 1, 1);
    /** Nothing is stocked or fed otherwise on the way: only the log is at fault. */
    private static final World WORLD = new World(World.BASE.scoring(), World.BASE.driftSd(), 0, World.BASE.keeping());

    private static final double FAULTS = 0.03;
    private static final double UNSEEN = 0.12;
    private static final double ADOPTED = 0.25;
    private static final double FELL_UNPROVOKED = 0.65;
    private static final double FELL_CLEAN = 0.8;
    /** One step in so many is tried with more dirt as well. */
    static final int TRIED_DIRTIER = 5;

    private static final double OFF = 1.5;
    private static final double FAR_OFF = 2;
    private static final int LAST_YEAR = 365;
    private static final Schools SCHOOLS = new Schools(OpeningSchool.CONDITION_LED, SockSchool.CLARITY);
    private static final Around ALONE = new Around(new Surroundings(Stocking.NORMAL, Feeding.NORMAL, 0, 0), List.of());

    private final SplittableRandom chance;
    private final Eye eye;
    private final Map<Kind, HiddenStage> truth = new EnumMap<>(Kind.class);
    private final Map<Kind, Integer> served = new EnumMap<>(Kind.class);
    private final Start start;
    private final List<LoggedService> log = new ArrayList<>();
    private final List<LoggedService> clean = new ArrayList<>();
    private final List<LoggedService> late = new ArrayList<>();
    private final Map<Anomaly, Integer> counted = new EnumMap<>(Anomaly.class);
    private int steps;

    /** What is served: by the stage whose finding tells. */
    enum Kind {
        OPENING(1, 2, 4),
        PREFILTER(3, 3, 1);

        private final long task;
        private final long stage;
        private final int model;

        Kind(long task, long stage, int model) {
            this.task = task;
            this.stage = stage;
            this.model = model;
        }
    }

    /** What no log should do to a date. */
    enum Anomaly {
        ORDER("depends on the order of entry"),
        TRACE("a deleted entry leaves a trace"),
        MORE_DIRT("longer after more dirt"),
        SHIFT("depends on the calendar"),
        UNSEEN_LONGER("longer after no finding"),
        FELL_UNPROVOKED("fell over 35 % after unseen, clean, light or moderate"),
        FELL_CLEAN("fell over 20 % after clean or light"),
        OFF_ITS_CLEAN_LOG("interval over 1.5 times off that of its own clean log"),
        FAR_FROM_TRUTH("T wrong by more than 2 times at the end");

        private final String words;

        Anomaly(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    /** What one life came to. */
    record Outcome(int steps, Map<Anomaly, Integer> counted) {}

    private MessyLife(long seed) {
        chance = Randomness.of(seed, "messy");
        eye = Eye.draw(World.BASE, chance);
        boolean adopted = chance.nextDouble() < ADOPTED;
        for (Kind kind : Kind.values()) {
            truth.put(
                    kind,
                    HiddenStage.draw(
                            Kinds.ALL.get(kind.model),
                            WORLD,
                            BEGIN.minusDays(BEFORE),
                            BEFORE + 2 * DAYS,
                            Randomness.of(seed, kind.name())));
            served.put(kind, adopted ? BEFORE - age(kind) : BEFORE);
        }
        start = adopted ? Start.unknown(BEGIN) : Start.exact(BEGIN);
    }

    private int age(Kind kind) {
        return (int) (Kinds.ALL.get(kind.model).rule().startDays() * 1.5 * chance.nextDouble());
    }

    static Outcome of(long seed) {
        return new MessyLife(seed).live();
    }

    private Outcome live() {
        int today = BEFORE;
        while (true) {
            Kind kind = Kind.OPENING;
            int next = Integer.MAX_VALUE;
            for (Kind one : Kind.values()) {
                int due = Math.max(
                        today + 1, day(forecast(log, one, today).window().ideal()));
                if (due < next) {
                    next = due;
                    kind = one;
                }
            }
            today = Math.max(today + 1, today + (int) Math.round((next - today) * slip()));
            if (today > BEFORE + DAYS) {
                break;
            }
            service(kind, today);
        }
        log.addAll(late);
        atTheEnd(BEFORE + DAYS);
        return new Outcome(steps, counted);
    }

    private double slip() {
        double kind = chance.nextDouble();
        return kind < 0.08 ? 0.5 + 0.4 * chance.nextDouble() : kind < 0.14 ? 1.1 + 0.4 * chance.nextDouble() : 1;
    }

    private void service(Kind kind, int today) {
        Finding found = eye.grade(stage(kind).loading(from(kind), today), chance);
        Optional<Finding> finding = chance.nextDouble() < UNSEEN ? Optional.empty() : Optional.of(found);
        LoggedService entry = entry(kind, today, finding);
        clean.add(entry);
        log.addAll(late);
        late.clear();
        served.put(kind, today);
        double fault = chance.nextDouble() / FAULTS;
        if (fault > 1) {
            enter(kind, entry, finding, today);
        } else if (fault > 0.8) {
            late.add(entry);
        } else if (fault > 0.65) {
            enter(kind, entry, finding, today);
            enter(kind, entry, finding, today);
        } else if (fault > 0.5) {
            int wrong = Math.max(BEFORE, today - 1 - chance.nextInt(10));
            enter(kind, entry(kind, wrong, finding), finding, today);
        } else if (fault > 0.35) {
            enter(kind, entry, finding, today);
            enter(kind, entry(kind, today + 1, Optional.of(Finding.CLEAN)), Optional.of(Finding.CLEAN), today + 1);
        } else if (fault > 0.2) {
            Optional<Finding> slipped = Optional.of(Finding.ofGrade(chance.nextInt(5)));
            enter(kind, entry(kind, today, slipped), slipped, today);
        } else {
            takenBack(kind, today);
            enter(kind, entry, finding, today);
        }
    }

    private void takenBack(Kind kind, int today) {
        Forecast before = forecast(log, kind, today);
        LoggedService slip = entry(kind, today, Optional.of(Finding.CLOGGED));
        log.add(slip);
        forecast(log, kind, today);
        log.remove(log.size() - 1);
        count(Anomaly.TRACE, !before.equals(forecast(log, kind, today)));
    }

    private void enter(Kind kind, LoggedService entry, Optional<Finding> finding, int today) {
        Forecast was = forecast(log, kind, today);
        log.add(entry);
        double after = interval(forecast(log, kind, today));
        steps++;
        int grade = finding.map(Finding::grade).orElse(-1);
        if (was.basis() != Forecast.Basis.TAKEN_ON) { // the weeks of a first look are no interval
            double before = interval(was);
            count(Anomaly.UNSEEN_LONGER, grade < 0 && after > before);
            count(Anomaly.FELL_UNPROVOKED, grade <= Finding.MODERATE.grade() && after < FELL_UNPROVOKED * before);
            count(Anomaly.FELL_CLEAN, grade >= 0 && grade <= Finding.LIGHT.grade() && after < FELL_CLEAN * before);
        }
        if (grade >= 0 && grade < Finding.CLOGGED.grade() && steps % TRIED_DIRTIER == 0) {
            List<LoggedService> dirtier = new ArrayList<>(log.subList(0, log.size() - 1));
            dirtier.add(entry(kind, day(entry.on()), Optional.of(Finding.ofGrade(grade + 1))));
            count(Anomaly.MORE_DIRT, interval(forecast(dirtier, kind, today)) > after);
        }
    }

    private void atTheEnd(int today) {
        List<LoggedService> shuffled = new ArrayList<>(log);
        Collections.shuffle(shuffled, new Random(chance.nextLong()));
        for (Kind kind : Kind.values()) {
            Forecast own = forecast(log, kind, today);
            count(Anomaly.ORDER, !own.equals(forecast(shuffled, kind, today)));
            count(Anomaly.SHIFT, interval(shifted(kind, today)) != interval(own));
            double ratio = interval(own) / interval(forecast(clean, kind, today));
            count(Anomaly.OFF_ITS_CLEAN_LOG, ratio > OFF || ratio < 1 / OFF);
            double believed = Math.exp(book(log, start)
                    .course(kind.task, BEGIN.plusDays(today - BEFORE))
                    .orElseThrow()
                    .get()
                    .belief()
                    .mean());
            double filling = LAST_YEAR / stage(kind).filled(today - LAST_YEAR, today);
            count(Anomaly.FAR_FROM_TRUTH, believed > FAR_OFF * filling || believed < filling / FAR_OFF);
        }
    }

    /** The same life four weeks later. */
    private Forecast shifted(Kind kind, int today) {
        List<LoggedService> moved = log.stream()
                .map(one -> new LoggedService(
                        one.on().plusDays(28), one.done(), one.flowBefore(), one.flowAfter(), one.manner()))
                .toList();
        Start later = new Start(start.on().plusDays(28), start.sureness(), start.share());
        return Objects.requireNonNull(book(moved, later)
                .forecasts(BEGIN.plusDays(today - BEFORE + 28L))
                .get(kind.task));
    }

    private void count(Anomaly anomaly, boolean happened) {
        counted.merge(anomaly, happened ? 1 : 0, Integer::sum);
    }

    private HiddenStage stage(Kind kind) {
        return Objects.requireNonNull(truth.get(kind));
    }

    private int from(Kind kind) {
        return Objects.requireNonNull(served.get(kind));
    }

    private static int day(LocalDate on) {
        return BEFORE + (int) ChronoUnit.DAYS.between(BEGIN, on);
    }

    private static double interval(Forecast forecast) {
        return ChronoUnit.DAYS.between(forecast.since(), forecast.window().ideal());
    }

    private Forecast forecast(List<LoggedService> services, Kind kind, int today) {
        return Objects.requireNonNull(
                book(services, start).forecasts(BEGIN.plusDays(today - BEFORE)).get(kind.task));
    }

    private static LoggedService entry(Kind kind, int day, Optional<Finding> finding) {
        Map<Long, Optional<Finding>> done = kind == Kind.OPENING
                ? Map.of(kind.task, Optional.empty(), kind.stage, finding)
                : Map.of(kind.task, finding);
        return new LoggedService(BEGIN.plusDays(day - BEFORE), done, Optional.empty(), Optional.empty());
    }

    private static FilterBook book(List<LoggedService> services, Start start) {
        BookedTask opening = new BookedTask(
                Kind.OPENING.task,
                Optional.empty(),
                start,
                CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, SCHOOLS)
                        .orElseThrow(),
                new Learned());
        return new FilterBook(
                new Device("Weir", FilterKind.CANISTER),
                List.of(
                        rinsed(Kind.PREFILTER.stage, StageKind.PREFILTER_SPONGE, start),
                        opening,
                        rinsed(Kind.OPENING.stage, StageKind.COARSE_FOAM, start)),
                services,
                ALONE);
    }

    private static BookedTask rinsed(long id, StageKind kind, Start start) {
        return new BookedTask(
                id,
                Optional.of(new StagePart(id, kind, Optional.empty(), Endurance.UNKNOWN, List.of())),
                start,
                CareCatalogue.find(Stage.washable(kind), CareAction.RINSE, SCHOOLS)
                        .orElseThrow(),
                new Learned());
    }
}
