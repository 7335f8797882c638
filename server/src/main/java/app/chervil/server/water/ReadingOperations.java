package app.chervil.server.water;

import app.chervil.core.water.Parameter;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.ReadingSet.Value;
import app.chervil.server.water.WaterRows.ReadingRow;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps readings, and questions odd ones without refusing them. */
@Service
public class ReadingOperations {
    static final int MOST_LISTED = 200;
    private static final Instant OLDEST =
            LocalDate.of(1950, 1, 1).atStartOfDay().toInstant(ZoneOffset.UTC);
    /** Clocks of phones run a little ahead. */
    private static final Duration CLOCKS_DIFFER = Duration.ofMinutes(5);

    private final ReadingMapper mapper;
    private final MethodOperations methods;
    private final TankOperations tanks;
    private final Clock clock;

    ReadingOperations(ReadingMapper mapper, MethodOperations methods, TankOperations tanks, Clock clock) {
        this.mapper = mapper;
        this.methods = methods;
        this.tanks = tanks;
        this.clock = clock;
    }

    /**
     * A question about a value.
     *
     * @param parameter code of its parameter
     */
    public record Doubt(String parameter, String question) {}

    /**
     * What is odd about some values; empty if nothing is. They may be kept all the same.
     *
     * @throws NotFound if the tank or a parameter is not there
     */
    @Transactional(readOnly = true)
    public List<Doubt> doubts(SignedIn who, long tank, ReadingSet set) {
        check(who, tank, set);
        Map<String, ReadingRow> last = mapper.listLatest(who.siteId(), tank).stream()
                .collect(Collectors.toMap(ReadingRow::parameter, Function.identity()));
        return set.values().stream()
                .filter(value -> !value.belowDetection())
                .flatMap(value -> WaterRows.known(value.parameter())
                        .flatMap(known -> known.doubt(
                                value.amount(),
                                Optional.ofNullable(last.get(value.parameter()))
                                        .filter(row -> !row.belowDetection())
                                        .map(ReadingRow::amount)))
                        .map(question -> new Doubt(value.parameter(), question))
                        .stream())
                .toList();
    }

    /**
     * Keeps values, each once under the id its client made.
     *
     * @throws NotFound if the tank or a parameter is not there
     * @throws Rejected if a value cannot be, the time lies ahead, or something is odd that nobody stands by
     */
    @Transactional
    public void keep(SignedIn who, long tank, ReadingSet set) {
        Map<String, String> odd =
                doubts(who, tank, set).stream().collect(Collectors.toMap(Doubt::parameter, Doubt::question));
        if (!Boolean.TRUE.equals(set.confirmed())) {
            askAbout(set, odd);
        }
        Map<String, ParameterView> parameters =
                methods.parameters(who).stream().collect(Collectors.toMap(ParameterView::code, Function.identity()));
        for (Value value : set.values()) {
            @Nullable ParameterView parameter = parameters.get(value.parameter());
            if (parameter != null) {
                keep(who, row(who, tank, set, value, parameter), odd.get(value.parameter()));
            }
        }
    }

    private void keep(SignedIn who, ReadingRow row, @Nullable String odd) {
        boolean fresh = mapper.insert(who.siteId(), row, odd) == 1;
        if (!fresh && !mapper.findKept(who.siteId(), row.id()).filter(row::same).isPresent()) {
            throw Rejected.taken();
        }
    }

    private static void askAbout(ReadingSet set, Map<String, String> odd) {
        Rejected.Gatherer gatherer = new Rejected.Gatherer();
        for (int i = 0; i < set.values().size(); i++) {
            @Nullable String question = odd.get(set.values().get(i).parameter());
            gatherer.check(question == null, "values[" + i + "].amount", "asked", String.valueOf(question));
        }
        gatherer.done();
    }

    private ReadingRow row(SignedIn who, long tank, ReadingSet set, Value value, ParameterView parameter) {
        double noise =
                Math.max(methods.noise(who, parameter, value.method()), value.belowDetection() ? value.amount() : 0);
        return new ReadingRow(
                value.id(),
                tank,
                value.parameter(),
                value.amount(),
                value.belowDetection(),
                noise,
                set.takenAt(),
                value.early(),
                value.method().strip(),
                set.moment(),
                who.name());
    }

    /** The last value of a parameter that was read in its time. */
    Optional<Double> latest(SignedIn who, long tank, Parameter parameter) {
        return mapper.listLatest(who.siteId(), tank).stream()
                .filter(row -> row.parameter().equals(parameter.name()) && !row.early())
                .map(ReadingRow::amount)
                .findFirst();
    }

    /** A tank's readings, latest first. */
    @Transactional(readOnly = true)
    public List<ReadingView> list(SignedIn who, long tank, int skip, int limit) {
        tanks.find(who, tank);
        int held = Math.min(Math.max(limit, 1), MOST_LISTED);
        return mapper.listPage(who.siteId(), tank, Math.max(skip, 0), held).stream()
                .map(ReadingRow::view)
                .toList();
    }

    /** Takes a reading out; it can be put back. */
    @Transactional
    public void remove(SignedIn who, UUID id) {
        if (mapper.delete(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("reading");
        }
    }

    @Transactional
    public void restore(SignedIn who, UUID id) {
        if (mapper.restore(who.siteId(), id) == 0) {
            throw new NotFound("reading");
        }
    }

    private void check(SignedIn who, long tank, ReadingSet set) {
        tanks.find(who, tank);
        Set<String> codes =
                methods.parameters(who).stream().map(ParameterView::code).collect(Collectors.toSet());
        if (!set.values().stream().allMatch(value -> codes.contains(value.parameter()))) {
            throw new NotFound("parameter");
        }
        Rejected.Gatherer gatherer = new Rejected.Gatherer();
        checkTime(gatherer, "takenAt", set.takenAt());
        Set<String> seen = new HashSet<>();
        for (int i = 0; i < set.values().size(); i++) {
            Value value = set.values().get(i);
            String field = "values[" + i + "]";
            gatherer.check(possible(value), field + ".amount", "impossible", "This value cannot be.")
                    .check(
                            !value.belowDetection() || value.amount() > 0,
                            field + ".amount",
                            "limit-needed",
                            "Below which value? A limit is above zero.")
                    .check(seen.add(value.parameter()), field + ".parameter", "twice", "The same is listed twice.");
        }
        gatherer.done();
    }

    private static boolean possible(Value value) {
        return WaterRows.known(value.parameter())
                .map(known -> known.possible(value.amount()))
                .orElse(Double.isFinite(value.amount()));
    }

    /** Refuses a time that has not come, or lies before 1950. */
    void checkTime(Rejected.Gatherer gatherer, String field, Instant at) {
        gatherer.check(
                        !at.isAfter(clock.instant().plus(CLOCKS_DIFFER)),
                        field,
                        "in-the-future",
                        "This time has not come yet.")
                .check(!at.isBefore(OLDEST), field, "too-long-ago", "This day is too long ago.");
    }
}
