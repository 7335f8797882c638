package app.chervil.server.plan;

import app.chervil.core.plan.Audit;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Plan;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Plan.Visit;
import app.chervil.core.plan.Rota;
import app.chervil.server.plan.PlanMapper.VisitRow;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalLong;
import java.util.Set;
import java.util.UUID;
import java.util.function.ToLongBiFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Gives each visit its person and its identity: a visit that moves stays the same one in people's calendars. */
final class PlanVisits {
    private static final TypeReference<List<String>> WORK = new TypeReference<>() {};

    /** A visit further off than this is another one. */
    private static final int SAME_WITHIN_DAYS = 21;

    private final PlanInput input;
    private final Instance instance;
    private final Plan plan;
    private final JsonMapper json;

    PlanVisits(PlanInput input, Instance instance, Plan plan, JsonMapper json) {
        this.input = input;
        this.instance = instance;
        this.plan = plan;
        this.json = json;
    }

    /** Visits as they are to be stored: unchanged rows as they were, changed ones with a higher sequence. */
    List<VisitRow> rows(List<VisitRow> stored, Instant now) {
        List<VisitRow> wanted = wanted(now);
        Map<UUID, VisitRow> same = new HashMap<>();
        Set<UUID> taken = new HashSet<>();
        pair(wanted, stored, this::sharedOccurrences, same, taken);
        pair(wanted, stored, this::sharedOpenChains, same, taken);
        return wanted.stream()
                .map(row -> same.containsKey(row.id()) ? moved(Objects.requireNonNull(same.get(row.id())), row) : row)
                .toList();
    }

    /** Pairs what is wanted with what is stored, most in common first. */
    private void pair(
            List<VisitRow> wanted,
            List<VisitRow> stored,
            ToLongBiFunction<VisitRow, VisitRow> common,
            Map<UUID, VisitRow> same,
            Set<UUID> taken) {
        record Pair(VisitRow want, VisitRow had, long common) {}
        List<Pair> pairs = new ArrayList<>();
        Map<Long, List<VisitRow>> byTank = stored.stream().collect(Collectors.groupingBy(VisitRow::tankId));
        for (VisitRow want : wanted) {
            for (VisitRow had : byTank.getOrDefault(want.tankId(), List.of())) {
                if (!same.containsKey(want.id()) && !taken.contains(had.id()) && common.applyAsLong(want, had) > 0) {
                    pairs.add(new Pair(want, had, common.applyAsLong(want, had)));
                }
            }
        }
        pairs.sort(Comparator.comparingLong((Pair pair) -> -pair.common())
                .thenComparingLong(pair -> apart(pair.want(), pair.had()))
                .thenComparing(pair -> pair.had().id()));
        for (Pair pair : pairs) {
            if (!same.containsKey(pair.want().id()) && taken.add(pair.had().id())) {
                same.put(pair.want().id(), pair.had());
            }
        }
    }

    /** Occurrences that are the very same: of one chain, counted from one service, as many later. */
    private long sharedOccurrences(VisitRow want, VisitRow had) {
        List<String> work = work(had);
        return work(want).stream().filter(work::contains).count();
    }

    /** Chains in common that were not done since the stored visit was planned for, if the two lie near each other. */
    private long sharedOpenChains(VisitRow want, VisitRow had) {
        Set<Long> chains = chains(want);
        return apart(want, had) > SAME_WITHIN_DAYS
                ? 0
                : chains(had).stream()
                        .filter(chain -> chains.contains(chain)
                                && input.find(chain)
                                        .map(work -> work.since().isBefore(had.onDay()))
                                        .orElse(false))
                        .count();
    }

    private static long apart(VisitRow one, VisitRow other) {
        return Math.abs(ChronoUnit.DAYS.between(one.onDay(), other.onDay()));
    }

    private List<String> work(VisitRow row) {
        return json.readValue(row.work(), WORK);
    }

    private Set<Long> chains(VisitRow row) {
        return work(row).stream()
                .map(one -> Long.valueOf(one.substring(0, one.indexOf('/'))))
                .collect(Collectors.toSet());
    }

    private VisitRow moved(VisitRow was, VisitRow wanted) {
        boolean same = was.onDay().equals(wanted.onDay())
                && was.minutes() == wanted.minutes()
                && chains(was).equals(chains(wanted))
                && Objects.equals(was.accountId(), wanted.accountId());
        return new VisitRow(
                was.id(),
                wanted.tankId(),
                wanted.onDay(),
                wanted.accountId(),
                wanted.minutes(),
                wanted.work(),
                same ? was.sequence() : was.sequence() + 1,
                same ? was.changedAt() : wanted.changedAt());
    }

    /** An occurrence as it is stored: its chain, which time it is, and the service from which that is counted. */
    private String work(Occurrence one) {
        long chain = one.chain().id();
        return chain + "/" + one.k() + "/" + input.of(chain).since();
    }

    private List<VisitRow> wanted(Instant now) {
        Audit audit = new Audit(instance, plan);
        Map<Integer, List<Visit>> byDay = plan.visits(instance).stream()
                .collect(Collectors.groupingBy(Visit::day, java.util.TreeMap::new, Collectors.toList()));
        List<VisitRow> rows = new ArrayList<>();
        byDay.forEach((day, visits) -> {
            LocalDate on = input.today().plusDays(day);
            List<Rota.Load> loads = visits.stream()
                    .map(visit -> new Rota.Load(audit.minutes(visit), hands(visit)))
                    .toList();
            List<OptionalLong> people = Rota.share(loads, TimeOperations.on(input.time(), on));
            for (int i = 0; i < visits.size(); i++) {
                Visit visit = visits.get(i);
                @Nullable
                Long person = people.get(i).isPresent() ? people.get(i).getAsLong() : null;
                List<String> work = visit.occurrences().stream().map(this::work).toList();
                rows.add(new VisitRow(
                        UUID.randomUUID(),
                        visit.tank(),
                        on,
                        person,
                        audit.minutes(visit),
                        json.writeValueAsString(work),
                        0,
                        now));
            }
        });
        return rows;
    }

    private static Hands hands(Visit visit) {
        return visit.occurrences().stream().anyMatch(one -> one.chain().work().hands() == Hands.KEEPER)
                ? Hands.KEEPER
                : Hands.ANYONE;
    }
}
