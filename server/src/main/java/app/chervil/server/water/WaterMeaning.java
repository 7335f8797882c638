package app.chervil.server.water;

import app.chervil.core.water.BestMoment;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Production;
import app.chervil.core.water.Reading;
import app.chervil.core.water.RiseQuestion.Tap;
import app.chervil.core.water.ToxicNow;
import app.chervil.core.water.WaterChange;
import app.chervil.server.account.SignedIn;
import app.chervil.server.water.TankWaterOperations.BestView;
import app.chervil.server.water.TankWaterOperations.ProductionView;
import app.chervil.server.water.TapOperations.TapView;
import app.chervil.server.water.WaterRows.ReadingRow;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What readings of a tank mean: what its ammonia does now, what it makes in a week, when it is best read. */
@Component
class WaterMeaning {
    static final Duration PRODUCTION_OVER = Duration.ofDays(56);

    /** What feeding adds to, and new water takes away. */
    private static final List<Parameter> MADE = List.of(Parameter.NITRATE, Parameter.PHOSPHATE);

    private final ReadingMapper readings;
    private final HusbandryOperations husbandry;
    private final TapOperations taps;
    private final WaterBooks books;
    private final Clock clock;

    WaterMeaning(
            ReadingMapper readings, HusbandryOperations husbandry, TapOperations taps, WaterBooks books, Clock clock) {
        this.readings = readings;
        this.husbandry = husbandry;
        this.taps = taps;
        this.books = books;
        this.clock = clock;
    }

    /** What the last weeks come to. */
    record Lately(List<ProductionView> production, List<BestView> best, List<TapView> tap) {}

    Optional<ToxicNow> toxic(List<ReadingRow> latest) {
        return ToxicNow.of(books.core(latest), LocalDateTime.now(clock));
    }

    Lately lately(SignedIn who, long tank) {
        Instant since = clock.instant().minus(PRODUCTION_OVER);
        List<WaterChange> changes = changes(who, tank, since);
        List<Reading> recent = books.core(
                readings.listBetween(who.siteId(), tank, since, clock.instant().plusSeconds(600)));
        return new Lately(
                MADE.stream()
                        .flatMap(parameter ->
                                production(parameter, recent, changes, taps.tap(who, tank, parameter)).stream())
                        .toList(),
                MADE.stream()
                        .flatMap(parameter -> BestMoment.of(parameter, changes, LocalDate.now(clock))
                                .map(best -> new BestView(parameter.name(), best.day(), best.why()))
                                .stream())
                        .toList(),
                taps.list(who, tank));
    }

    private static Optional<ProductionView> production(
            Parameter parameter, List<Reading> recent, List<WaterChange> changes, Tap tap) {
        List<Reading> ofIt =
                recent.stream().filter(one -> one.parameter() == parameter).toList();
        return Production.fit(ofIt, changes, tap)
                .map(fit -> ProductionView.of(parameter, fit, ofIt.get(0).on()));
    }

    Optional<Production.Tried> compare(
            SignedIn who, long tank, Parameter parameter, Production.Turns turns, LocalDate until) {
        LocalDate from = turns.phases().get(0).from().toLocalDate();
        return Production.compare(
                read(who, tank, parameter, from, until),
                changes(who, tank, beginning(from)),
                taps.tap(who, tank, parameter),
                turns);
    }

    List<Reading> read(SignedIn who, long tank, Parameter parameter, LocalDate from, LocalDate until) {
        return books.core(readings.listBetween(who.siteId(), tank, beginning(from), beginning(until))).stream()
                .filter(one -> one.parameter() == parameter)
                .toList();
    }

    private Instant beginning(LocalDate day) {
        return day.atStartOfDay(clock.getZone()).toInstant();
    }

    private List<WaterChange> changes(SignedIn who, long tank, Instant since) {
        return husbandry.changes(who, tank, since).stream()
                .map(change ->
                        new WaterChange(LocalDateTime.ofInstant(change.changedAt(), clock.getZone()), change.share()))
                .toList();
    }
}
