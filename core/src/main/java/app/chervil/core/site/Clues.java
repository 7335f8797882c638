package app.chervil.core.site;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.passport.Build;
import app.chervil.core.site.PastService.Flows;
import app.chervil.core.tank.TankChore;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.trouble.Feature;
import app.chervil.core.trouble.FilterHistory;
import app.chervil.core.trouble.FilterHistory.Readings;
import app.chervil.core.trouble.Touch;
import app.chervil.core.water.Parameter;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What the books tell of a filter before anybody looks (docs/sources.md#trouble); what they do not tell is left out. */
final class Clues {
    private static final Set<StageKind> FOAMS = Set.of(StageKind.COARSE_FOAM, StageKind.MEDIUM_FOAM);
    private static final Set<StageKind> PADS = Set.of(StageKind.FINE_PAD, StageKind.FLOSS, StageKind.CARTRIDGE);
    private static final Set<StageKind> SOCKS = Set.of(StageKind.SOCK, StageKind.FLEECE_ROLL);
    private static final Set<StageKind> PUMPS = Set.of(StageKind.IMPELLER, StageKind.RETURN_PUMP);
    private static final Set<CareAction> NEW = Set.of(CareAction.REPLACE, CareAction.CHANGE, CareAction.REBUILD);
    private static final int LATELY_DAYS = 30;
    private static final int STOOD_WITHIN_DAYS = 3;
    private static final double DUE_SHARE_OF_LAMP = 0.95;
    private static final double HARD_DEGREES = 15;

    private final TankBook tank;
    private final CareBook book;
    private final Filter filter;
    private final LocalDateTime now;
    private final LocalDate today;
    private final Map<Feature, Double> features = new EnumMap<>(Feature.class);
    private final Map<Touch, Double> touched = new EnumMap<>(Touch.class);

    Clues(TankBook tank, CareBook book, LocalDateTime now) {
        this.tank = tank;
        this.book = book;
        this.filter = book.filter();
        this.now = now;
        this.today = now.toLocalDate();
    }

    FilterHistory history() {
        loadings();
        grades();
        care();
        ages();
        water();
        build();
        hands();
        return new FilterHistory(filter.kind(), Set.copyOf(filter.path()), touched, features, readings());
    }

    private void put(Feature feature, OptionalDouble value) {
        value.ifPresent(known -> features.put(feature, known));
    }

    private void putDays(Feature feature, Optional<LocalDate> since) {
        since.filter(day -> !day.isAfter(today))
                .ifPresent(day -> features.put(feature, (double) ChronoUnit.DAYS.between(day, today)));
    }

    private void loadings() {
        put(Feature.PREFILTER_LOADING, loading(of(Set.of(StageKind.PREFILTER_SPONGE))));
        put(Feature.FOAM_LOADING, orOpening(loading(of(FOAMS)), FOAMS));
        put(Feature.PAD_LOADING, orOpening(loading(of(PADS)), PADS));
        put(Feature.SOCK_LOADING, loading(of(SOCKS)));
        put(Feature.SPONGE_LOADING, loading(of(Set.of(StageKind.SPONGE))));
    }

    /** Foams and pads inside a canister fill as its opening says. */
    private OptionalDouble orOpening(OptionalDouble own, Set<StageKind> kinds) {
        boolean has = kinds.stream().anyMatch(filter::has);
        return own.isPresent() || !has ? own : loading(task -> task.action() == CareAction.OPEN);
    }

    private OptionalDouble loading(Predicate<FilterTask> which) {
        return book.forecasts().stream()
                .filter(one -> which.test(one.task()))
                .flatMap(one -> one.forecast().loading().stream())
                .mapToDouble(loading -> loading.likely() / loading.servicePoint())
                .max();
    }

    private Predicate<FilterTask> of(Set<StageKind> kinds) {
        return task -> filter.stageOf(task)
                .filter(stage -> kinds.contains(stage.kind()))
                .isPresent();
    }

    private static Predicate<FilterTask> doing(CareAction... actions) {
        Set<CareAction> wanted = Set.of(actions);
        return task -> wanted.contains(task.action());
    }

    private void grades() {
        put(Feature.PREFILTER_LAST_GRADE, grade(of(Set.of(StageKind.PREFILTER_SPONGE))));
        put(Feature.FOAM_LAST_GRADE, grade(of(FOAMS)));
        put(Feature.PAD_LAST_GRADE, grade(of(PADS)));
    }

    private OptionalDouble grade(Predicate<FilterTask> which) {
        return book.services().stream()
                .filter(service -> !service.manner().again())
                .sorted(Comparator.comparing(PastService::doneOn).reversed())
                .map(service -> fullest(service, which))
                .filter(OptionalDouble::isPresent)
                .findFirst()
                .orElseGet(OptionalDouble::empty);
    }

    private OptionalDouble fullest(PastService service, Predicate<FilterTask> which) {
        return filter.tasks().stream()
                .filter(which)
                .flatMap(task -> Stream.ofNullable(service.done().get(task.id())))
                .flatMap(Optional::stream)
                .mapToDouble(Finding::ordinal)
                .max();
    }

    private void care() {
        putDays(Feature.DAYS_SINCE_STRAINER, last(of(Set.of(StageKind.STRAINER))));
        putDays(Feature.DAYS_SINCE_HOSES, last(of(Set.of(StageKind.HOSES))));
        putDays(Feature.DAYS_SINCE_IMPELLER, last(of(PUMPS)));
        putDays(Feature.DAYS_SINCE_SEALS, last(of(Set.of(StageKind.SEALS))));
        putDays(Feature.DAYS_SINCE_AIR_LINE, last(of(Set.of(StageKind.AIR_LINE))));
        putDays(Feature.DAYS_SINCE_SLEEVE, last(of(Set.of(StageKind.UV_SLEEVE))));
        putDays(Feature.CARBON_DAYS, renewed(Set.of(StageKind.CARBON)));
        putDays(Feature.REMOVER_DAYS, renewed(Set.of(StageKind.PHOSPHATE_REMOVER, StageKind.RESIN)));
    }

    /** When any such task was last done, or where it was not, from when its care is counted; empty if nobody knows. */
    private Optional<LocalDate> last(Predicate<FilterTask> which) {
        return logged(which).or(() -> filter.tasks().stream()
                .filter(which)
                .filter(task -> task.cleaned().known())
                .map(task -> task.cleaned().on())
                .max(Comparator.naturalOrder()));
    }

    private Optional<LocalDate> logged(Predicate<FilterTask> which) {
        Set<Long> ids =
                filter.tasks().stream().filter(which).map(FilterTask::id).collect(Collectors.toSet());
        return book.services().stream()
                .filter(service -> service.done().keySet().stream().anyMatch(ids::contains))
                .map(PastService::doneOn)
                .filter(day -> !day.isAfter(today))
                .max(Comparator.naturalOrder());
    }

    private Optional<LocalDate> fitted(Set<StageKind> kinds) {
        return filter.stages().stream()
                .filter(stage -> kinds.contains(stage.kind()))
                .flatMap(stage -> stage.fittedOn().stream())
                .max(Comparator.naturalOrder());
    }

    private Optional<LocalDate> renewed(Set<StageKind> kinds) {
        Predicate<FilterTask> renewing =
                of(kinds).and(doing(CareAction.REPLACE, CareAction.CHANGE, CareAction.REGENERATE, CareAction.REBUILD));
        return Stream.concat(logged(renewing).stream(), fitted(kinds).stream()).max(Comparator.naturalOrder());
    }

    private void ages() {
        putDays(Feature.FOAM_AGE_DAYS, renewed(FOAMS));
        putDays(Feature.PUMP_AGE_DAYS, renewed(Set.of(StageKind.RETURN_PUMP)).or(filter::fittedOn));
        putDays(Feature.TANK_AGE_DAYS, Optional.of(tank.tank().establishedOn()));
        put(
                Feature.LAMP_HOURS_SHARE,
                book.forecasts().stream()
                        .filter(one -> of(Set.of(StageKind.UV_LAMP)).test(one.task()))
                        .filter(one -> renewed(Set.of(StageKind.UV_LAMP)).isPresent())
                        .mapToDouble(this::burnt)
                        .max());
        put(Feature.FILTER_OFF_HOURS, stoodHours());
    }

    private double burnt(TaskForecast lamp) {
        LocalDate since = lamp.forecast().since();
        double life = Math.max(
                1, ChronoUnit.DAYS.between(since, lamp.forecast().window().ideal()));
        return Math.max(0, DUE_SHARE_OF_LAMP * ChronoUnit.DAYS.between(since, today) / life);
    }

    private OptionalDouble stoodHours() {
        LocalDate from = today.minusDays(STOOD_WITHIN_DAYS);
        Stream<Double> atServices = book.services().stream()
                .filter(service -> !service.doneOn().isBefore(from) && works(service))
                .filter(service -> service.filterOffMinutes().isPresent())
                .map(service -> service.filterOffMinutes().getAsInt() / 60.0);
        Stream<Double> paused = tank.records().pauses().stream()
                .filter(pause -> pause.reaches(filter.id()) && pause.what().share() == 0)
                .map(pause -> hoursSince(from, pause))
                .filter(hours -> hours > 0);
        return Stream.concat(atServices, paused).mapToDouble(hours -> hours).max();
    }

    private double hoursSince(LocalDate from, Pause pause) {
        LocalDate begun = pause.what().startInclusive();
        LocalDate end =
                pause.what().endExclusive().filter(day -> day.isBefore(today)).orElse(today);
        return 24.0 * ChronoUnit.DAYS.between(begun.isBefore(from) ? from : begun, end);
    }

    private boolean works(PastService service) {
        return filter.tasks().stream().anyMatch(task -> service.done().containsKey(task.id()));
    }

    private void water() {
        Optional<LocalDate> changed = tank.records().waterChanged();
        putDays(Feature.DAYS_SINCE_WATER_CHANGE, changed);
        putDays(
                Feature.DAYS_SINCE_TOP_UP,
                Stream.concat(changed.stream(), done(TankChore.TOP_OFF).stream())
                        .max(Comparator.naturalOrder()));
        putDays(Feature.DAYS_SINCE_VACUUM, done(TankChore.SUBSTRATE_VACUUM));
        WaterKind kind = tank.tank().setting().water();
        if (kind == WaterKind.MARINE || kind == WaterKind.BRACKISH) {
            features.put(Feature.HARD_OR_MARINE, 1.0);
        } else {
            tank.records()
                    .water()
                    .latest(Parameter.GH, now.minusYears(1))
                    .ifPresent(degrees -> features.put(Feature.HARD_OR_MARINE, degrees >= HARD_DEGREES ? 1.0 : 0.0));
        }
    }

    private Optional<LocalDate> done(TankChore chore) {
        return tank.records().chores().stream()
                .filter(one -> one.kind() == chore)
                .flatMap(one -> one.done().stream())
                .filter(day -> !day.isAfter(today))
                .max(Comparator.naturalOrder());
    }

    /** Only a passport that was stated says what is there and what is not. */
    private void build() {
        if (filter.passport().stated()) {
            features.put(Feature.SMALL_MEDIA_AT_PUMP, filter.doubts().looseBesideThePump() ? 1.0 : 0.0);
            features.put(Feature.PURGES_BY_DESIGN, filter.build().water().purge() == Build.Purge.NONE ? 0.0 : 1.0);
        } else if (filter.build().water().purge() != Build.Purge.NONE) {
            features.put(Feature.PURGES_BY_DESIGN, 1.0);
        }
    }

    private void hands() {
        boolean canister = filter.kind() == FilterKind.CANISTER;
        Predicate<FilterTask> any = task -> true;
        Predicate<FilterTask> lid = this::opens;
        boolean hosesComeOff = canister && filter.build().housing().ports() == Build.Ports.LID;
        touch(Touch.ANY, any);
        touch(Touch.LID, lid);
        touch(Touch.HOSES, hosesComeOff ? lid.or(of(Set.of(StageKind.HOSES))) : of(Set.of(StageKind.HOSES)));
        touch(
                Touch.MEDIA,
                task -> task.action() == CareAction.OPEN
                        || ofKind(StageKind::lies).test(task));
        touch(Touch.NEW_MEDIA, ofKind(StageKind::lies).and(task -> NEW.contains(task.action())));
        touch(Touch.IMPELLER, of(PUMPS));
        touch(Touch.BIO, task -> tank.homes().disturbs(List.of(book.touched(task))));
        touch(Touch.LAMP, of(Set.of(StageKind.UV_LAMP, StageKind.UV_SLEEVE)));
        ago(Touch.ROCK, done(TankChore.ROCK_BLOW_OFF));
        ago(Touch.VACUUM, done(TankChore.SUBSTRATE_VACUUM));
    }

    private Predicate<FilterTask> ofKind(Predicate<StageKind> kinds) {
        return task -> filter.stageOf(task).map(FilterStage::kind).filter(kinds).isPresent();
    }

    /** Whether a task takes the lid off. */
    private boolean opens(FilterTask task) {
        return task.action() == CareAction.OPEN
                || filter.stageOf(task)
                        .filter(stage -> stage.kind().insideCanister()
                                && stage.kind() != StageKind.AIR_LINE
                                && !filter.isErrand(stage))
                        .isPresent();
    }

    private void touch(Touch tag, Predicate<FilterTask> which) {
        ago(tag, logged(which));
    }

    private void ago(Touch tag, Optional<LocalDate> day) {
        day.map(on -> ChronoUnit.DAYS.between(on, today))
                .filter(days -> days <= LATELY_DAYS)
                .ifPresent(days -> touched.put(tag, (double) days));
    }

    /** What was read within the last day. */
    private Readings readings() {
        LocalDateTime since = now.minusDays(1);
        return new Readings(
                flowShare(), Optional.empty(), tank.records().water().latest(Parameter.AMMONIA, since));
    }

    private OptionalDouble flowShare() {
        Optional<FlowRate> clean = book.cleanFlow();
        Optional<FlowRate> measured = book.services().stream()
                .filter(service -> !service.doneOn().isBefore(today.minusDays(1))
                        && !service.doneOn().isAfter(today))
                .sorted(Comparator.comparing(PastService::doneOn).reversed())
                .map(service -> service.flows().getOrDefault(filter.id(), Flows.NONE))
                .flatMap(flows -> flows.after().or(flows::before).stream())
                .findFirst();
        return clean.isPresent() && measured.isPresent()
                ? OptionalDouble.of(measured.get().litresPerHour() / clean.get().litresPerHour())
                : OptionalDouble.empty();
    }
}
