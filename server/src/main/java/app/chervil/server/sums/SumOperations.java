package app.chervil.server.sums;

import app.chervil.core.procedure.Tubs;
import app.chervil.core.sums.Field;
import app.chervil.core.sums.KeptRules;
import app.chervil.core.sums.Outcome;
import app.chervil.core.sums.Refused;
import app.chervil.core.sums.RuleBook;
import app.chervil.core.sums.Solved;
import app.chervil.core.sums.Sum;
import app.chervil.core.sums.Sums;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.sums.SumMapper.KeptRow;
import app.chervil.server.sums.SumMapper.RuleRow;
import app.chervil.server.sums.SumMapper.VesselRow;
import app.chervil.server.sums.SumView.RuleView;
import app.chervil.server.sums.SumView.SumAnswer;
import app.chervil.server.tank.TankOperations;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Sums of the bench, by the site's own rules of thumb. */
@Service
public class SumOperations {
    private static final int MOST_VESSELS = 40;
    private static final int LONGEST_KEPT = 20_000;
    private static final GivenHandler STORED = new GivenHandler();

    private final SumMapper mapper;
    private final TankOperations tanks;
    private final Clock clock;

    SumOperations(SumMapper mapper, TankOperations tanks, Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.clock = clock;
    }

    /** Every sum and what it asks for. */
    @Transactional(readOnly = true)
    List<SumView> list(SignedIn who) {
        KeptRules rules = rules(who);
        return Sums.all().stream().map(sum -> SumView.of(sum, rules)).toList();
    }

    /**
     * Works one out.
     *
     * @throws NotFound if there is no such sum
     * @throws Rejected at the first field at fault
     */
    @Transactional(readOnly = true)
    SumAnswer solve(SignedIn who, String name, Map<String, @Nullable Object> values) {
        Sum sum = sum(name);
        checkKnown("", sum.fields(), values);
        Outcome outcome = sum.of(values, rules(who));
        if (outcome instanceof Refused refused) {
            throw Rejected.field(
                    refused.field(), refused.code().name().toLowerCase(Locale.ROOT), RefusalWords.of(sum, refused));
        }
        return SumAnswer.of((Solved) outcome);
    }

    private static Sum sum(String name) {
        return Sums.named(name).orElseThrow(() -> new NotFound("sum"));
    }

    /** That nothing was misspelt and so left out without a word. */
    private static void checkKnown(String path, List<Field> fields, Map<?, ?> values) {
        Map<String, Field> byName = fields.stream().collect(Collectors.toMap(Field::name, field -> field));
        values.forEach((name, value) -> {
            Field field = byName.get(String.valueOf(name));
            if (field == null) {
                throw Rejected.field(path + name, "unknown", "This sum asks for nothing of this name.");
            }
            if (field.type() == Field.Type.ROWS && value instanceof List<?> rows) {
                for (int index = 0; index < rows.size(); index++) {
                    if (rows.get(index) instanceof Map<?, ?> row) {
                        checkKnown(path + name + "[" + index + "].", field.row(), row);
                    }
                }
            }
        });
    }

    private KeptRules rules(SignedIn who) {
        return new KeptRules(
                mapper.listRules(who.siteId()).stream().collect(Collectors.toMap(RuleRow::ruleKey, RuleRow::value)));
    }

    /** Every rule of thumb, with what the site keeps. */
    @Transactional(readOnly = true)
    List<RuleView> listRules(SignedIn who) {
        Map<String, Double> kept = rules(who).values();
        return RuleBook.entries().stream()
                .map(rule -> new RuleView(
                        rule.key(), rule.measure(), rule.ours(), rule.least(), rule.most(), kept.get(rule.key())))
                .toList();
    }

    /**
     * Keeps a rule of the site's own.
     *
     * @throws NotFound if there is no such rule
     * @throws Rejected if it is out of range
     */
    @Transactional
    void keepRule(SignedIn who, String key, double value) {
        RuleBook.Entry rule = RuleBook.entries().stream()
                .filter(one -> one.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new NotFound("rule"));
        new Rejected.Gatherer()
                .check(
                        value >= rule.least() && value <= rule.most(),
                        "value",
                        "out-of-range",
                        RefusalWords.between(rule.measure(), rule.least(), rule.most()))
                .done();
        mapper.saveRule(who.siteId(), new RuleRow(key, value));
    }

    /** Goes back to our rule. */
    @Transactional
    void forgetRule(SignedIn who, String key) {
        mapper.deleteRule(who.siteId(), key);
    }

    /**
     * What was given when a sum of a tank was last kept.
     *
     * @param sum its name
     * @param given by the names of the fields
     */
    record KeptView(String sum, Map<String, @Nullable Object> given, Instant keptAt) {}

    /** What was last kept of each sum for a tank, latest first. */
    @Transactional(readOnly = true)
    List<KeptView> kept(SignedIn who, long tank) {
        tanks.find(who, tank);
        return mapper.listKept(who.siteId(), tank).stream()
                .map(row -> new KeptView(row.sumName(), row.given().byField(), row.keptAt()))
                .toList();
    }

    /**
     * Keeps what was given, so that the next time it stands there.
     *
     * @throws Rejected if the sum does not know it
     */
    @Transactional
    public void keep(SignedIn who, long tank, String name, Map<String, @Nullable Object> given) {
        tanks.find(who, tank);
        Sum sum = sum(name);
        checkKnown("", sum.fields(), given);
        Given kept = new Given(given);
        new Rejected.Gatherer()
                .check(
                        STORED.text(kept).length() <= LONGEST_KEPT,
                        "",
                        "too-long",
                        "That is more than we keep of one sum.")
                .done();
        mapper.saveKept(who.siteId(), tank, new KeptRow(sum.name(), kept, clock.instant()));
    }

    /** Something the keeper measures with. */
    record VesselView(UUID id, VesselInput.Kind kind, String name, double millilitres) {}

    /** Vessels of the site, tubs last, small ones first. */
    @Transactional(readOnly = true)
    List<VesselView> vessels(SignedIn who) {
        return mapper.listVessels(who.siteId()).stream()
                .map(row -> new VesselView(row.id(), row.kind(), row.name(), row.millilitres()))
                .toList();
    }

    /**
     * Adds or changes a vessel.
     *
     * @throws Rejected if there are too many
     */
    @Transactional
    public void saveVessel(SignedIn who, UUID id, VesselInput input) {
        List<VesselRow> there = mapper.listVessels(who.siteId());
        boolean isNew = there.stream().noneMatch(one -> one.id().equals(id));
        new Rejected.Gatherer()
                .check(!isNew || there.size() < MOST_VESSELS, "", "too-many", "Forty vessels are the most we keep.")
                .check(
                        input.kind() != VesselInput.Kind.TUB || input.millilitres() >= 1000 * Tubs.Vessel.LEAST_L,
                        "millilitres",
                        "out-of-range",
                        "A tub holds at least 0.5 L.")
                .done();
        mapper.saveVessel(
                who.siteId(), new VesselRow(id, input.kind(), input.name().strip(), input.millilitres()));
    }

    /** Forgets a vessel. */
    @Transactional
    void removeVessel(SignedIn who, UUID id) {
        if (mapper.deleteVessel(who.siteId(), id) == 0) {
            throw new NotFound("vessel");
        }
    }

    /** The site's tubs and buckets. */
    @Transactional(readOnly = true)
    public List<Tubs.Vessel> tubs(SignedIn who) {
        return mapper.listVessels(who.siteId()).stream()
                .filter(row -> row.kind() == VesselInput.Kind.TUB)
                .map(row -> new Tubs.Vessel(row.name(), row.millilitres() / 1000))
                .toList();
    }
}
