package app.chervil.server.plan;

import app.chervil.core.plan.Audit;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Plan;
import app.chervil.core.plan.Plan.Visit;
import app.chervil.core.plan.Rota;
import app.chervil.server.plan.PlanMapper.VisitRow;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Gives each visit its person and its identity: a visit that moves stays the same one in people's calendars. */
final class PlanVisits {
    private static final TypeReference<List<Long>> IDS = new TypeReference<>() {};

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

    static List<Long> chains(VisitRow row, JsonMapper json) {
        return json.readValue(row.work(), IDS);
    }

    /** Visits as they are to be stored: unchanged rows as they were, changed ones with a higher sequence. */
    List<VisitRow> rows(List<VisitRow> stored, Instant now) {
        Set<UUID> taken = new HashSet<>();
        Map<UUID, Set<Long>> open = stored.stream().collect(Collectors.toMap(VisitRow::id, this::notDone));
        List<VisitRow> made = new ArrayList<>();
        for (VisitRow wanted : wanted(now)) {
            Set<Long> chains = new HashSet<>(chains(wanted, json));
            Optional<VisitRow> same = stored.stream()
                    .filter(row -> row.tankId() == wanted.tankId() && !taken.contains(row.id()))
                    .filter(row -> apart(row, wanted) <= SAME_WITHIN_DAYS)
                    .filter(row ->
                            open.getOrDefault(row.id(), Set.of()).stream().anyMatch(chains::contains))
                    .min(Comparator.comparingLong((VisitRow row) -> apart(row, wanted))
                            .thenComparing(VisitRow::id));
            same.ifPresent(row -> taken.add(row.id()));
            made.add(same.map(row -> moved(row, wanted)).orElse(wanted));
        }
        return made;
    }

    private static long apart(VisitRow one, VisitRow other) {
        return Math.abs(ChronoUnit.DAYS.between(one.onDay(), other.onDay()));
    }

    /** Chains of a stored visit that were not done since it was planned for. */
    private Set<Long> notDone(VisitRow row) {
        return chains(row, json).stream()
                .filter(chain -> input.find(chain)
                        .map(work -> work.since().isBefore(row.onDay()))
                        .orElse(false))
                .collect(Collectors.toSet());
    }

    private static VisitRow moved(VisitRow was, VisitRow wanted) {
        boolean same = was.onDay().equals(wanted.onDay())
                && was.minutes() == wanted.minutes()
                && was.work().equals(wanted.work())
                && java.util.Objects.equals(was.accountId(), wanted.accountId());
        return same
                ? was
                : new VisitRow(
                        was.id(),
                        wanted.tankId(),
                        wanted.onDay(),
                        wanted.accountId(),
                        wanted.minutes(),
                        wanted.work(),
                        was.sequence() + 1,
                        wanted.changedAt());
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
                List<Long> chains = visit.occurrences().stream()
                        .map(one -> one.chain().id())
                        .toList();
                rows.add(new VisitRow(
                        UUID.randomUUID(),
                        visit.tank(),
                        on,
                        person,
                        audit.minutes(visit),
                        json.writeValueAsString(chains),
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
