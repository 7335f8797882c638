package app.chervil.server.future;

import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Material;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.future.FutureRuns.Run;
import app.chervil.server.future.FutureView.Measure;
import app.chervil.server.future.FutureView.SpreadView;
import app.chervil.server.future.FutureView.State;
import app.chervil.server.future.FutureView.WayView;
import app.chervil.server.interval.CareBook;
import app.chervil.server.interval.CareBook.TaskForecast;
import app.chervil.server.interval.ForecastOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.stock.PartPrices;
import app.chervil.server.stock.StockOperations;
import app.chervil.server.tank.TankInput;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.tank.TankView;
import app.chervil.server.water.HusbandryOperations;
import app.chervil.server.water.TankWaterOperations;
import app.chervil.server.water.TankWaterOperations.WaterView;
import app.chervil.sim.future.Outcome;
import app.chervil.sim.future.TankToday;
import app.chervil.sim.future.TankToday.AgedTask;
import app.chervil.sim.future.TankToday.GradedTask;
import app.chervil.sim.future.TankToday.Water;
import app.chervil.sim.future.TankToday.Work;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Compares ways of working over the coming year. */
@Service
public class FutureOperations {
    private static final int VALUES = 20;
    private static final double USUAL_CHANGE = 0.2;
    private static final double USUAL_NITRATE_A_WEEK = 4;
    private static final double MOST_CHANGE = 0.9;
    private static final Duration CHANGES_OVER = Duration.ofDays(56);

    private final FutureRuns runs;
    private final TankOperations tanks;
    private final ForecastOperations forecasts;
    private final TankWaterOperations waters;
    private final HusbandryOperations husbandry;
    private final StockOperations stores;
    private final Clock clock;

    FutureOperations(
            FutureRuns runs,
            TankOperations tanks,
            ForecastOperations forecasts,
            TankWaterOperations waters,
            HusbandryOperations husbandry,
            StockOperations stores,
            Clock clock) {
        this.runs = runs;
        this.tanks = tanks;
        this.forecasts = forecasts;
        this.waters = waters;
        this.husbandry = husbandry;
        this.stores = stores;
        this.clock = clock;
    }

    /**
     * Begins a comparison in the background.
     *
     * @throws Rejected if a way is named twice, or there is no filter to look at
     */
    @Transactional(readOnly = true)
    public FutureView begin(SignedIn who, FutureInput asked) {
        List<TankView> looked = asked.tankId() == null ? tanks.list(who) : List.of(tanks.find(who, asked.tankId()));
        PartPrices prices = stores.prices(who);
        List<TankToday> today = looked.stream()
                .map(tank -> today(who, tank, asked.partPrice(), prices))
                .filter(FutureOperations::worthIt)
                .toList();
        new Rejected.Gatherer()
                .check(
                        asked.ways().stream().distinct().count() == asked.ways().size(),
                        "ways",
                        "named-twice",
                        "Choose each way once.")
                .check(!today.isEmpty(), "tankId", "nothing-to-look-at", "There is no filter with care here yet.")
                .done();
        return view(runs.begin(who.siteId(), asked, today));
    }

    /** How far a comparison is, with its result once it is done. */
    public FutureView find(SignedIn who, UUID id) {
        return view(run(who, id));
    }

    /** Stops a comparison; what it lived is thrown away. */
    public FutureView cancel(SignedIn who, UUID id) {
        Run run = run(who, id);
        runs.cancel(run);
        return view(run);
    }

    private Run run(SignedIn who, UUID id) {
        return runs.find(who.siteId(), id).orElseThrow(() -> new NotFound("comparison"));
    }

    private static boolean worthIt(TankToday tank) {
        return !tank.graded().isEmpty() || !tank.byAge().isEmpty();
    }

    private TankToday today(SignedIn who, TankView tank, double otherwise, PartPrices prices) {
        ToDoubleFunction<CareRule> cost = rule -> cost(rule, otherwise, prices);
        LocalDate today = tanks.today();
        List<GradedTask> graded = new ArrayList<>();
        List<AgedTask> aged = new ArrayList<>();
        for (CareBook book : forecasts.books(who, tank.id(), service -> true)) {
            for (TaskForecast task : book.forecasts(today)) {
                if (!task.rule().graded()) {
                    aged.add(new AgedTask(
                            task.intervalDays(), work(task.rule(), tank.tank(), cost.applyAsDouble(task.rule()))));
                } else if (task.forecast().basis() != Basis.WITH_OPENING) {
                    graded.add(graded(book, task, today, tank.tank(), cost));
                }
            }
        }
        return new TankToday(today, graded, aged, water(who, tank));
    }

    /** An opening takes along what goes with it. */
    private static GradedTask graded(
            CareBook book, TaskForecast task, LocalDate today, TankInput tank, ToDoubleFunction<CareRule> cost) {
        List<CareRule> along = task.task().stageId() == null ? book.goingWithOpening() : List.of();
        double money = along.stream().mapToDouble(cost).sum() + cost.applyAsDouble(task.rule());
        int minutes = along.stream().mapToInt(rule -> rule.effort().minutes()).sum();
        Work own = work(task.rule(), tank, money);
        return new GradedTask(
                task.rule(),
                book.course(task.task().id(), today),
                task.forecast().since(),
                book.behindPrefilter(task.task().id()),
                new Work(own.minutes() + minutes, own.money(), own.disturbance()));
    }

    private static Work work(CareRule rule, TankInput tank, double money) {
        return new Work(
                rule.effort().minutes() + rule.effort().setUpMinutes(),
                money,
                rule.effort().disturbanceOf(tank.setting().bacteriaHome()));
    }

    /** What is thrown away, at the prices of the stores or else at the one that was asked for. */
    private static double cost(CareRule rule, double otherwise, PartPrices prices) {
        return rule.effort().carry().stream()
                .filter(material -> material.use() == Material.Use.SPENT)
                .mapToDouble(material -> prices.of(material).orElse(otherwise))
                .sum();
    }

    /** What the water is known to do, else what such a tank usually does. */
    private Water water(SignedIn who, TankView tank) {
        WaterView water = waters.find(who, tank.id());
        TankInput.Setting setting = tank.tank().setting();
        double usual = USUAL_NITRATE_A_WEEK
                * setting.stocking().multiplier()
                * setting.feeding().multiplier();
        double made = water.production().stream()
                .filter(one -> one.parameter().equals(Parameter.NITRATE.name()) && one.perWeek() > 0)
                .mapToDouble(TankWaterOperations.ProductionView::perWeek)
                .findFirst()
                .orElse(usual);
        double nitrate = water.last().stream()
                .filter(reading -> reading.parameter().equals(Parameter.NITRATE.name()))
                .mapToDouble(reading -> reading.amount())
                .findFirst()
                .orElse(made / USUAL_CHANGE);
        double weeks = CHANGES_OVER.toDays() / 7.0;
        double changed = husbandry.changes(who, tank.id(), clock.instant().minus(CHANGES_OVER)).stream()
                        .mapToDouble(HusbandryOperations.ChangeView::share)
                        .sum()
                / weeks;
        return new Water(made, nitrate, changed > 0 ? Math.min(changed, MOST_CHANGE) : USUAL_CHANGE);
    }

    private static FutureView view(Run run) {
        FutureInput asked = run.asked();
        List<WayView> ways = run.state() == State.DONE
                ? asked.ways().stream()
                        .map(way -> new WayView(
                                way,
                                way.words(),
                                measures(Objects.requireNonNull(run.outcomes().get(way)))))
                        .toList()
                : List.of();
        return new FutureView(run.id(), run.state(), run.done(), asked.ways().size() * asked.futures(), ways);
    }

    private static List<SpreadView> measures(List<Outcome> outcomes) {
        return Stream.of(
                        spread(Measure.SERVICES, outcomes, Outcome::services),
                        spread(Measure.HOURS, outcomes, Outcome::hours),
                        spread(Measure.MONEY, outcomes, Outcome::money),
                        spread(Measure.OVERLOADS, outcomes, Outcome::overloads),
                        spread(Measure.WORST_NITRATE, outcomes, Outcome::worstNitrate),
                        spread(Measure.WORST_AMMONIA, outcomes, Outcome::worstAmmonia))
                .toList();
    }

    private static SpreadView spread(Measure measure, List<Outcome> outcomes, ToDoubleFunction<Outcome> of) {
        double[] sorted = outcomes.stream().mapToDouble(of).sorted().toArray();
        List<Double> values = IntStream.range(0, VALUES)
                .mapToObj(i -> at(sorted, (i + 0.5) / VALUES))
                .toList();
        return new SpreadView(measure, at(sorted, 0.1), at(sorted, 0.5), at(sorted, 0.9), values);
    }

    private static double at(double[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1L, (long) (share * sorted.length))];
    }
}
