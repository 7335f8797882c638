package app.chervil.core.agenda;

import app.chervil.core.plan.Audit;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Plan;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Plan.Visit;
import app.chervil.core.plan.Rota;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.ToLongBiFunction;
import java.util.stream.Collectors;

/** Gives each visit its person and its identity: a visit that moves stays the same one in people's calendars. */
final class Visits {
    /** A visit further off than this is another one. */
    private static final int SAME_WITHIN_DAYS = 21;

    private final Agenda agenda;
    private final Instance instance;
    private final Plan plan;

    Visits(Agenda agenda, Instance instance, Plan plan) {
        this.agenda = agenda;
        this.instance = instance;
        this.plan = plan;
    }

    /** Visits as they are now: those told before unchanged, or moved with a higher sequence. */
    List<BookedVisit> booked(List<BookedVisit> told, Instant now) {
        List<BookedVisit> wanted = wanted(now);
        Map<UUID, BookedVisit> same = new HashMap<>();
        Set<UUID> taken = new HashSet<>();
        pair(wanted, told, Visits::sharedOccurrences, same, taken);
        pair(wanted, told, this::sharedOpenChains, same, taken);
        Set<UUID> names = new HashSet<>(taken);
        return wanted.stream()
                .map(visit -> Optional.ofNullable(same.get(visit.id()))
                        .map(was -> was.movedTo(visit))
                        .orElseGet(() -> fresh(visit, names)))
                .toList();
    }

    /** A new visit; one that was first planned like this, and has moved since, keeps the name. */
    private static BookedVisit fresh(BookedVisit visit, Set<UUID> names) {
        UUID name = visit.id();
        while (!names.add(name)) {
            name = UUID.nameUUIDFromBytes((name + " again").getBytes(StandardCharsets.UTF_8));
        }
        return visit.named(name);
    }

    /** Pairs what is wanted with what was told, most in common first. */
    private static void pair(
            List<BookedVisit> wanted,
            List<BookedVisit> told,
            ToLongBiFunction<BookedVisit, BookedVisit> common,
            Map<UUID, BookedVisit> same,
            Set<UUID> taken) {
        record Pair(BookedVisit want, BookedVisit had, long common) {}
        List<Pair> pairs = new ArrayList<>();
        Map<Long, List<BookedVisit>> byTank = told.stream().collect(Collectors.groupingBy(BookedVisit::tank));
        for (BookedVisit want : wanted) {
            for (BookedVisit had : byTank.getOrDefault(want.tank(), List.of())) {
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
    private static long sharedOccurrences(BookedVisit want, BookedVisit had) {
        return want.work().stream().filter(had.work()::contains).count();
    }

    /** Chains in common that were not done since the told visit was planned for, if the two lie near each other. */
    private long sharedOpenChains(BookedVisit want, BookedVisit had) {
        if (apart(want, had) > SAME_WITHIN_DAYS) {
            return 0;
        }
        Set<Long> chains = want.chains();
        return had.chains().stream()
                .filter(chain -> chains.contains(chain)
                        && agenda.find(chain)
                                .filter(work -> work.since().isBefore(had.on()))
                                .isPresent())
                .count();
    }

    private static long apart(BookedVisit one, BookedVisit other) {
        return Math.abs(ChronoUnit.DAYS.between(one.on(), other.on()));
    }

    private List<BookedVisit> wanted(Instant now) {
        Map<Integer, List<Visit>> byDay = plan.visits(instance).stream()
                .collect(Collectors.groupingBy(Visit::day, TreeMap::new, Collectors.toList()));
        Audit audit = new Audit(instance, plan);
        List<BookedVisit> wanted = new ArrayList<>();
        byDay.forEach((day, visits) -> {
            LocalDate on = agenda.today().plusDays(day);
            List<Rota.Load> loads = visits.stream()
                    .map(visit -> new Rota.Load(audit.minutes(visit), hands(visit)))
                    .toList();
            List<OptionalLong> people = Rota.share(loads, agenda.people().on(on));
            for (int i = 0; i < visits.size(); i++) {
                wanted.add(wanted(visits.get(i), on, people.get(i), audit, now));
            }
        });
        return wanted;
    }

    private BookedVisit wanted(Visit visit, LocalDate on, OptionalLong person, Audit audit, Instant now) {
        List<String> work = visit.occurrences().stream().map(this::occurrence).toList();
        return new BookedVisit(
                idOf(visit.tank(), on, work),
                visit.tank(),
                on,
                person.isPresent() ? Optional.of(person.getAsLong()) : Optional.empty(),
                audit.minutes(visit),
                work,
                0,
                now);
    }

    /** The same visit has the same id on whichever server it is first planned. */
    private static UUID idOf(long tank, LocalDate on, List<String> work) {
        return UUID.nameUUIDFromBytes((tank + " " + on + " " + work).getBytes(StandardCharsets.UTF_8));
    }

    private String occurrence(Occurrence one) {
        long chain = one.chain().id();
        return BookedVisit.occurrence(chain, one.k(), agenda.of(chain).since());
    }

    private static Hands hands(Visit visit) {
        return visit.occurrences().stream().anyMatch(one -> one.chain().work().hands() == Hands.KEEPER)
                ? Hands.KEEPER
                : Hands.ANYONE;
    }
}
