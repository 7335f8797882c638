package app.chervil.server.water;

import app.chervil.core.water.Hold;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Production;
import app.chervil.core.water.Reading;
import app.chervil.core.water.ToxicAmmonia;
import app.chervil.core.water.ToxicNow;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.water.TapOperations.TapView;
import app.chervil.server.water.WatchOperations.DueReading;
import app.chervil.server.water.WaterRows.ReadingRow;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a tank's water is now: last readings, holds, readings due, what they mean and when to read next. */
@Service
public class TankWaterOperations {
    private final ReadingMapper readings;
    private final MethodOperations methods;
    private final WatchOperations watches;
    private final WaterMeaning meaning;
    private final SiteBooks site;

    TankWaterOperations(
            ReadingMapper readings,
            MethodOperations methods,
            WatchOperations watches,
            WaterMeaning meaning,
            SiteBooks site) {
        this.readings = readings;
        this.methods = methods;
        this.watches = watches;
        this.meaning = meaning;
        this.site = site;
    }

    /**
     * A tank's water.
     *
     * @param last latest reading of each parameter
     * @param due readings asked for today
     * @param toxic absent without ammonia, pH and temperature within a week of each other
     */
    public record WaterView(
            List<ReadingView> last,
            List<Hold> holds,
            List<DueReading> due,
            @Nullable ToxicView toxic,
            List<ProductionView> production,
            List<BestView> best,
            List<TapView> tap) {}

    /**
     * Un-ionised ammonia.
     *
     * @param milligramsPerLitre the most there can be, if the total was below detection
     * @param percent of the total
     */
    public record ToxicView(
            double milligramsPerLitre, double percent, ToxicAmmonia.Band band, String words, boolean atMost) {
        static ToxicView of(ToxicNow toxic) {
            return new ToxicView(
                    toxic.milligramsPerLitre(),
                    toxic.percent(),
                    toxic.band(),
                    toxic.band().words(),
                    toxic.atMost());
        }
    }

    /**
     * Production a week with its band, in the parameter's unit.
     *
     * @param coarse whether a colour card, or a limit, hides slow changes
     * @param unlogged days about which water may have been changed without being logged
     */
    public record ProductionView(
            String parameter,
            double perWeek,
            double low,
            double high,
            int readings,
            LocalDate since,
            boolean coarse,
            List<LocalDate> unlogged) {
        static ProductionView of(Parameter parameter, Production fit, LocalDate since) {
            return new ProductionView(
                    parameter.name(),
                    fit.perWeek(),
                    fit.low(),
                    fit.high(),
                    fit.readings(),
                    since,
                    fit.coarse(),
                    fit.unlogged());
        }
    }

    /** When a parameter is best read. */
    public record BestView(String parameter, LocalDate day, String why) {}

    /** The water of one tank. */
    @Transactional(readOnly = true)
    public WaterView find(SignedIn who, long tank) {
        List<Hold> holds = site.tank(who, tank).holds();
        List<ReadingRow> latest = readings.listLatest(who.siteId(), tank);
        WaterMeaning.Lately lately = meaning.lately(who, tank);
        return new WaterView(
                inOrder(who, latest),
                holds,
                watches.due(who, tank),
                meaning.toxic(latest).map(ToxicView::of).orElse(null),
                lately.production(),
                lately.best(),
                lately.tap());
    }

    /**
     * What the tank makes of a parameter each way it was kept in turns.
     *
     * @param until the day after the last that counts
     * @return empty while the readings cannot tell them apart
     */
    @Transactional(readOnly = true)
    public Optional<Production.Tried> compare(
            SignedIn who, long tank, Parameter parameter, Production.Turns turns, LocalDate until) {
        return meaning.compare(who, tank, parameter, turns, until);
    }

    /** Readings of a parameter from one day up to another, that day left out; oldest first. */
    @Transactional(readOnly = true)
    public List<Reading> read(SignedIn who, long tank, Parameter parameter, LocalDate from, LocalDate until) {
        return meaning.read(who, tank, parameter, from, until);
    }

    private List<ReadingView> inOrder(SignedIn who, List<ReadingRow> latest) {
        List<String> codes =
                methods.parameters(who).stream().map(ParameterView::code).toList();
        return latest.stream()
                .sorted(Comparator.comparing(row -> codes.indexOf(row.parameter())))
                .map(ReadingRow::view)
                .toList();
    }
}
