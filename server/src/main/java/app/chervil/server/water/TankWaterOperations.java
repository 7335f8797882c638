package app.chervil.server.water;

import app.chervil.core.water.BestMoment;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Production;
import app.chervil.core.water.Reading;
import app.chervil.core.water.RiseQuestion.Tap;
import app.chervil.core.water.ToxicAmmonia;
import app.chervil.core.water.WaterChange;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.TapOperations.TapView;
import app.chervil.server.water.WatchOperations.DueReading;
import app.chervil.server.water.WaterRows.ReadingRow;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a tank's water is now: last readings, holds, readings due, what they mean and when to read next. */
@Service
public class TankWaterOperations {
    static final Duration PRODUCTION_OVER = Duration.ofDays(56);
    private static final Duration BESIDE = Duration.ofDays(7);

    /** How long a reading of ammonia says anything of now. */
    private static final Duration FRESH = Duration.ofDays(3);

    private final TankOperations tanks;
    private final ReadingMapper readings;
    private final HusbandryOperations husbandry;
    private final WatchOperations watches;
    private final MethodOperations methods;
    private final WaterBooks books;
    private final SiteBooks site;
    private final TapOperations taps;
    private final Clock clock;

    TankWaterOperations(
            TankOperations tanks,
            ReadingMapper readings,
            HusbandryOperations husbandry,
            WatchOperations watches,
            MethodOperations methods,
            WaterBooks books,
            SiteBooks site,
            TapOperations taps,
            Clock clock) {
        this.tanks = tanks;
        this.readings = readings;
        this.husbandry = husbandry;
        this.watches = watches;
        this.methods = methods;
        this.books = books;
        this.site = site;
        this.taps = taps;
        this.clock = clock;
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
            double milligramsPerLitre, double percent, ToxicAmmonia.Band band, String words, boolean atMost) {}

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
            List<LocalDate> unlogged) {}

    /** When a parameter is best read. */
    public record BestView(String parameter, LocalDate day, String why) {}

    /** The water of one tank. */
    @Transactional(readOnly = true)
    public WaterView find(SignedIn who, long tank) {
        tanks.find(who, tank);
        LocalDate today = tanks.today();
        List<ReadingRow> latest = readings.listLatest(who.siteId(), tank);
        Instant since = clock.instant().minus(PRODUCTION_OVER);
        List<WaterChange> changes = changes(who, tank, since);
        List<Reading> recent = books.core(
                readings.listBetween(who.siteId(), tank, since, clock.instant().plusSeconds(600)));
        return new WaterView(
                inOrder(who, latest),
                site.tank(who, tank).holds(),
                watches.due(who, tank),
                toxic(latest, clock.instant()),
                Stream.of(Parameter.NITRATE, Parameter.PHOSPHATE)
                        .flatMap(parameter ->
                                production(parameter, recent, changes, taps.tap(who, tank, parameter)).stream())
                        .toList(),
                Stream.of(Parameter.NITRATE, Parameter.PHOSPHATE)
                        .flatMap(parameter -> BestMoment.of(parameter, changes, today)
                                .map(best -> new BestView(parameter.name(), best.day(), best.why()))
                                .stream())
                        .toList(),
                taps.list(who, tank));
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
        LocalDate from = turns.phases().get(0).from().toLocalDate();
        return Production.compare(
                read(who, tank, parameter, from, until),
                changes(who, tank, from.atStartOfDay(clock.getZone()).toInstant()),
                taps.tap(who, tank, parameter),
                turns);
    }

    /** Readings of a parameter from one day up to another, that day left out; oldest first. */
    @Transactional(readOnly = true)
    public List<Reading> read(SignedIn who, long tank, Parameter parameter, LocalDate from, LocalDate until) {
        Instant since = from.atStartOfDay(clock.getZone()).toInstant();
        Instant end = until.atStartOfDay(clock.getZone()).toInstant();
        return books.core(readings.listBetween(who.siteId(), tank, since, end)).stream()
                .filter(one -> one.parameter() == parameter)
                .toList();
    }

    private List<WaterChange> changes(SignedIn who, long tank, Instant since) {
        return husbandry.changes(who, tank, since).stream()
                .map(change ->
                        new WaterChange(LocalDateTime.ofInstant(change.changedAt(), clock.getZone()), change.share()))
                .toList();
    }

    private List<ReadingView> inOrder(SignedIn who, List<ReadingRow> latest) {
        List<String> codes =
                methods.parameters(who).stream().map(ParameterView::code).toList();
        return latest.stream()
                .sorted(Comparator.comparing(row -> codes.indexOf(row.parameter())))
                .map(ReadingRow::view)
                .toList();
    }

    private static Optional<ProductionView> production(
            Parameter parameter, List<Reading> recent, List<WaterChange> changes, Tap tap) {
        List<Reading> ofIt =
                recent.stream().filter(one -> one.parameter() == parameter).toList();
        return Production.fit(ofIt, changes, tap)
                .map(fit -> new ProductionView(
                        parameter.name(),
                        fit.perWeek(),
                        fit.low(),
                        fit.high(),
                        fit.readings(),
                        ofIt.get(0).at().toLocalDate(),
                        fit.coarse(),
                        fit.unlogged()));
    }

    /**
     * What is toxic now. Old readings decide nothing; ammonia read too early is at least that much.
     *
     * <p>Salt shifts the balance towards the harmless; without a reading of it, fresh water is taken, which errs safely.
     */
    private static @Nullable ToxicView toxic(List<ReadingRow> latest, Instant now) {
        Map<String, ReadingRow> by = latest.stream()
                .filter(row -> !row.early()
                        || (row.parameter().equals(Parameter.AMMONIA.name()) && row.amount() > row.noise()))
                .collect(Collectors.toMap(ReadingRow::parameter, Function.identity()));
        @Nullable ReadingRow total = by.get(Parameter.AMMONIA.name());
        @Nullable ReadingRow ph = by.get(Parameter.PH.name());
        @Nullable ReadingRow celsius = by.get(Parameter.TEMPERATURE.name());
        @Nullable ReadingRow salt = by.get(Parameter.SALINITY.name());
        if (total != null && Duration.between(total.takenAt(), now).compareTo(FRESH) > 0) {
            return null;
        }
        if (total == null || ph == null || celsius == null || !beside(total, ph) || !beside(total, celsius)) {
            return null;
        }
        if (ph.amount() < 4 || ph.amount() > 11 || celsius.amount() < -2 || celsius.amount() > 40) {
            return null;
        }
        double share = ToxicAmmonia.share(
                ph.amount(), celsius.amount(), salt == null ? 0 : Math.min(45, Math.max(0, salt.amount())));
        double toxic = total.amount() * share;
        ToxicAmmonia.Band band = ToxicAmmonia.Band.of(toxic);
        return new ToxicView(toxic, 100 * share, band, band.words(), total.belowDetection());
    }

    private static boolean beside(ReadingRow one, ReadingRow other) {
        return Duration.between(one.takenAt(), other.takenAt()).abs().compareTo(BESIDE) <= 0;
    }
}
