package app.chervil.server.future;

import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Material;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.stock.PartPrices;
import app.chervil.server.stock.ShelfOperations;
import app.chervil.server.water.HusbandryOperations;
import app.chervil.server.water.TankWaterOperations;
import app.chervil.server.water.TankWaterOperations.WaterView;
import app.chervil.sim.future.TankToday;
import app.chervil.sim.future.TankToday.AgedTask;
import app.chervil.sim.future.TankToday.GradedTask;
import app.chervil.sim.future.TankToday.Water;
import app.chervil.sim.future.TankToday.Work;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.springframework.stereotype.Component;

/** How tanks stand today, as comparisons begin: their work, what it costs, and their water. */
@Component
class TanksToday {
    private static final double USUAL_CHANGE = 0.2;
    private static final double USUAL_NITRATE_A_WEEK = 4;
    private static final double MOST_CHANGE = 0.9;
    private static final Duration CHANGES_OVER = Duration.ofDays(56);

    private final SiteBooks books;
    private final TankWaterOperations waters;
    private final HusbandryOperations husbandry;
    private final ShelfOperations stores;
    private final Clock clock;

    TanksToday(
            SiteBooks books,
            TankWaterOperations waters,
            HusbandryOperations husbandry,
            ShelfOperations stores,
            Clock clock) {
        this.books = books;
        this.waters = waters;
        this.husbandry = husbandry;
        this.stores = stores;
        this.clock = clock;
    }

    /** The tanks that a comparison looks at. */
    List<TankBook> looked(SignedIn who, FutureInput asked) {
        return asked.tankId() == null ? books.site(who).tanks() : List.of(books.tank(who, asked.tankId()));
    }

    /** Those of them on which anything can differ. */
    List<TankToday> of(SignedIn who, FutureInput asked) {
        PartPrices prices = stores.prices(who);
        return looked(who, asked).stream()
                .map(tank -> today(who, tank, asked.partPrice(), prices))
                .filter(TanksToday::worthIt)
                .toList();
    }

    private static boolean worthIt(TankToday tank) {
        return !tank.graded().isEmpty() || !tank.byAge().isEmpty();
    }

    private TankToday today(SignedIn who, TankBook book, double otherwise, PartPrices prices) {
        ToDoubleFunction<CareRule> cost = rule -> cost(rule, otherwise, prices);
        Tank tank = book.tank();
        List<GradedTask> graded = new ArrayList<>();
        List<AgedTask> aged = new ArrayList<>();
        for (CareBook care : book.filters()) {
            for (TaskForecast task : care.forecasts()) {
                if (!task.rule().graded()) {
                    aged.add(new AgedTask(
                            task.intervalDays(), work(task.rule(), tank, cost.applyAsDouble(task.rule()))));
                } else if (task.forecast().basis() != Basis.WITH_OPENING) {
                    graded.add(graded(care, task, cost));
                }
            }
        }
        return new TankToday(books.site(who).today(), graded, aged, water(who, tank));
    }

    /** An opening takes along what goes with it. */
    private static GradedTask graded(CareBook book, TaskForecast task, ToDoubleFunction<CareRule> cost) {
        List<CareRule> along = task.task().stageId().isEmpty() ? book.goingWithOpening() : List.of();
        double money = along.stream().mapToDouble(cost).sum() + cost.applyAsDouble(task.rule());
        int minutes = along.stream().mapToInt(rule -> rule.effort().minutes()).sum();
        Work own = work(task.rule(), book.tank(), money);
        return new GradedTask(
                task.rule(),
                book.course(task.task().id()),
                task.forecast().since(),
                book.behindPrefilter(task.task().id()),
                new Work(own.minutes() + minutes, own.money(), own.disturbance()));
    }

    private static Work work(CareRule rule, Tank tank, double money) {
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
    private Water water(SignedIn who, Tank tank) {
        WaterView water = waters.find(who, tank.id());
        Tank.Setting setting = tank.setting();
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
}
