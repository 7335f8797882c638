package app.chervil.core.agenda;

import app.chervil.core.agenda.BookedVisit.Wanted;
import app.chervil.core.plan.Audit;
import app.chervil.core.plan.Chain.Hands;
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
import java.util.function.Function;
import java.util.stream.Collectors;

/** Gives each visit its person and its identity: a visit that moves stays the same one in people's calendars. */
final class Visits {
    /** A visit further off than this is another one. */
    private static final int SAME_WITHIN_DAYS = 21;

    private final Agenda agenda;
    private final Audit audit;

    Visits(Agenda agenda, Audit audit) {
        this.agenda = agenda;
        this.audit = audit;
    }

    /** Visits as they are now: those told before unchanged, or moved with a higher sequence. */
    List<BookedVisit> booked(List<BookedVisit> told, Instant now) {
        List<Wanted> wanted = wanted();
        Map<Wanted, BookedVisit> same = unmoved(wanted, told);
        pair(sharingOccurrences(left(wanted, same), free(told, same)), same);
        pair(sharingOpenChains(left(wanted, same), free(told, same)), same);
        Set<UUID> names = ids(same);
        return wanted.stream()
                .map(visit -> Optional.ofNullable(same.get(visit))
                        .map(was -> was.movedTo(visit, now))
                        .orElseGet(() -> visit.fresh(name(visit, names), now)))
                .toList();
    }

    /** A visit that is wanted and one that was told, with how much they have in common. */
    private record Pair(Wanted want, BookedVisit had, long common) {}

    private record Place(long tank, LocalDate on) {}

    /** Those of the very same work on the same day; no other could have more in common. */
    private static Map<Wanted, BookedVisit> unmoved(List<Wanted> wanted, List<BookedVisit> told) {
        Map<Place, BookedVisit> there = new HashMap<>();
        told.forEach(visit -> there.put(new Place(visit.tank(), visit.on()), visit));
        Map<Wanted, BookedVisit> same = new HashMap<>();
        for (Wanted want : wanted) {
            Optional.ofNullable(there.get(new Place(want.tank(), want.on())))
                    .filter(had -> had.work().equals(want.work()))
                    .ifPresent(had -> same.put(want, had));
        }
        return same;
    }

    private static List<Wanted> left(List<Wanted> wanted, Map<Wanted, BookedVisit> same) {
        return wanted.stream().filter(visit -> !same.containsKey(visit)).toList();
    }

    private static List<BookedVisit> free(List<BookedVisit> told, Map<Wanted, BookedVisit> same) {
        Set<UUID> taken = ids(same);
        return told.stream().filter(visit -> !taken.contains(visit.id())).toList();
    }

    private static Set<UUID> ids(Map<Wanted, BookedVisit> same) {
        return same.values().stream().map(BookedVisit::id).collect(Collectors.toCollection(HashSet::new));
    }

    /** The name of a new visit, the same on whichever server it is first planned; again if it was given before. */
    private static UUID name(Wanted visit, Set<UUID> names) {
        UUID name = named(visit.tank() + " " + visit.on() + " " + visit.work());
        while (!names.add(name)) {
            name = named(name + " again");
        }
        return name;
    }

    private static UUID named(String text) {
        return UUID.nameUUIDFromBytes(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Joins what is wanted to what was told, most in common first. */
    private static void pair(List<Pair> pairs, Map<Wanted, BookedVisit> same) {
        List<Pair> closest = new ArrayList<>(pairs);
        closest.sort(Comparator.comparingLong((Pair pair) -> -pair.common())
                .thenComparingLong(pair -> apart(pair.want(), pair.had()))
                .thenComparing(pair -> pair.had().id()));
        Set<UUID> taken = ids(same);
        for (Pair pair : closest) {
            if (!same.containsKey(pair.want()) && taken.add(pair.had().id())) {
                same.put(pair.want(), pair.had());
            }
        }
    }

    /** By occurrences that are the very same: of one chain, counted from one service, as many later. */
    private static List<Pair> sharingOccurrences(List<Wanted> wanted, List<BookedVisit> told) {
        Map<String, List<BookedVisit>> having = new HashMap<>();
        told.forEach(visit -> visit.work().forEach(one -> having.computeIfAbsent(one, key -> new ArrayList<>())
                .add(visit)));
        List<Pair> pairs = new ArrayList<>();
        for (Wanted want : wanted) {
            Map<BookedVisit, Long> common = want.work().stream()
                    .flatMap(one -> having.getOrDefault(one, List.of()).stream())
                    .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
            common.forEach((had, count) -> pairs.add(new Pair(want, had, count)));
        }
        return pairs;
    }

    /** By chains that were not done since the told visit was planned for, if the two lie near each other. */
    private List<Pair> sharingOpenChains(List<Wanted> wanted, List<BookedVisit> told) {
        Map<Long, List<BookedVisit>> byTank = told.stream().collect(Collectors.groupingBy(BookedVisit::tank));
        return wanted.stream()
                .flatMap(want -> byTank.getOrDefault(want.tank(), List.of()).stream()
                        .filter(had -> apart(want, had) <= SAME_WITHIN_DAYS)
                        .map(had -> new Pair(want, had, sharedOpenChains(want, had))))
                .filter(pair -> pair.common() > 0)
                .toList();
    }

    private long sharedOpenChains(Wanted want, BookedVisit had) {
        Set<Long> chains = want.chains();
        return had.chains().stream()
                .filter(chain -> chains.contains(chain)
                        && agenda.find(chain)
                                .filter(work -> work.since().isBefore(had.on()))
                                .isPresent())
                .count();
    }

    private static long apart(Wanted one, BookedVisit other) {
        return Math.abs(ChronoUnit.DAYS.between(one.on(), other.on()));
    }

    private List<Wanted> wanted() {
        Map<Integer, List<Visit>> byDay =
                audit.visits().stream().collect(Collectors.groupingBy(Visit::day, TreeMap::new, Collectors.toList()));
        List<Wanted> wanted = new ArrayList<>();
        byDay.forEach((day, visits) -> {
            LocalDate on = agenda.today().plusDays(day);
            List<Rota.Load> loads = visits.stream()
                    .map(visit -> new Rota.Load(audit.minutes(visit), hands(visit)))
                    .toList();
            List<OptionalLong> people = Rota.share(loads, agenda.people().on(on));
            for (int i = 0; i < visits.size(); i++) {
                Visit visit = visits.get(i);
                wanted.add(new Wanted(
                        visit.tank(),
                        on,
                        people.get(i).stream().boxed().findFirst(),
                        loads.get(i).minutes(),
                        visit.occurrences().stream().map(this::occurrence).toList()));
            }
        });
        return wanted;
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
