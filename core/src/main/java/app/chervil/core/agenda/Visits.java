package app.chervil.core.agenda;

import app.chervil.core.agenda.BookedVisit.Wanted;
import app.chervil.core.plan.Audit;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Plan.Visit;
import app.chervil.core.plan.Rota;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

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
        Match match = new Match(wanted(), told);
        match.unmoved();
        match.pair(match.sharingOccurrences());
        match.pair(match.sharingOpenChains(agenda));
        return match.booked(now);
    }

    private record Place(long tank, LocalDate on) {}

    /** A visit that is wanted and one that was told, by their places, with how much they have in common. */
    private record Pair(int want, int had, long common) {}

    /**
     * Finds which of the visits told each wanted one is. Both are known by their places in the lists: a site has thousands of
     * them, and nearly all stay as they are.
     */
    private static final class Match {
        private static final int NONE = -1;

        private final List<Wanted> wanted;
        private final List<BookedVisit> told;
        private final int[] same;
        private final BitSet taken;

        Match(List<Wanted> wanted, List<BookedVisit> told) {
            this.wanted = wanted;
            this.told = told;
            this.same = new int[wanted.size()];
            Arrays.fill(same, NONE);
            this.taken = new BitSet(told.size());
        }

        /** Joins those of the very same work on the same day; no other could have more in common. */
        void unmoved() {
            Map<Place, Integer> there = new HashMap<>();
            for (int had = 0; had < told.size(); had++) {
                there.put(new Place(told.get(had).tank(), told.get(had).on()), had);
            }
            for (int want = 0; want < wanted.size(); want++) {
                Wanted one = wanted.get(want);
                int had = there.getOrDefault(new Place(one.tank(), one.on()), NONE);
                if (had != NONE && told.get(had).work().equals(one.work())) {
                    join(want, had);
                }
            }
        }

        private void join(int want, int had) {
            same[want] = had;
            taken.set(had);
        }

        private IntStream left() {
            return IntStream.range(0, wanted.size()).filter(want -> same[want] == NONE);
        }

        private IntStream free() {
            return IntStream.range(0, told.size()).filter(had -> !taken.get(had));
        }

        /** Joins what is wanted to what was told, most in common first. */
        void pair(List<Pair> pairs) {
            List<Pair> closest = new ArrayList<>(pairs);
            closest.sort(Comparator.comparingLong((Pair pair) -> -pair.common())
                    .thenComparingLong(pair -> apart(pair.want(), pair.had()))
                    .thenComparing(pair -> told.get(pair.had()).id()));
            for (Pair pair : closest) {
                if (same[pair.want()] == NONE && !taken.get(pair.had())) {
                    join(pair.want(), pair.had());
                }
            }
        }

        /** By occurrences that are the very same: of one chain, counted from one service, as many later. */
        List<Pair> sharingOccurrences() {
            Map<String, List<Integer>> having = new HashMap<>();
            free().forEach(had -> told.get(had).work().forEach(one -> having.computeIfAbsent(
                            one, key -> new ArrayList<>())
                    .add(had)));
            List<Pair> pairs = new ArrayList<>();
            left().forEach(want -> wanted.get(want).work().stream()
                    .flatMap(one -> having.getOrDefault(one, List.of()).stream())
                    .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()))
                    .forEach((had, count) -> pairs.add(new Pair(want, had, count))));
            return pairs;
        }

        /** By chains that were not done since the told visit was planned for, if the two lie near each other. */
        List<Pair> sharingOpenChains(Agenda agenda) {
            Map<Long, List<Integer>> byTank = free().boxed()
                    .collect(Collectors.groupingBy(had -> told.get(had).tank()));
            return left().boxed()
                    .flatMap(want -> byTank.getOrDefault(wanted.get(want).tank(), List.of()).stream()
                            .filter(had -> apart(want, had) <= SAME_WITHIN_DAYS)
                            .map(had -> new Pair(want, had, sharedOpenChains(wanted.get(want), told.get(had), agenda))))
                    .filter(pair -> pair.common() > 0)
                    .toList();
        }

        private static long sharedOpenChains(Wanted want, BookedVisit had, Agenda agenda) {
            Set<ChainId> chains = want.chains();
            return had.chains().stream()
                    .filter(chain -> chains.contains(chain)
                            && agenda.find(chain)
                                    .filter(work -> work.since().isBefore(had.on()))
                                    .isPresent())
                    .count();
        }

        private long apart(int want, int had) {
            return Math.abs(
                    ChronoUnit.DAYS.between(wanted.get(want).on(), told.get(had).on()));
        }

        /** The wanted visits under the names of those they are joined to, all others under new ones. */
        List<BookedVisit> booked(Instant now) {
            Set<UUID> names =
                    taken.stream().mapToObj(had -> told.get(had).id()).collect(Collectors.toCollection(HashSet::new));
            return IntStream.range(0, wanted.size())
                    .mapToObj(want -> same[want] == NONE
                            ? wanted.get(want).fresh(name(wanted.get(want), names), now)
                            : told.get(same[want]).movedTo(wanted.get(want), now))
                    .toList();
        }
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

    private List<Wanted> wanted() {
        List<Wanted> wanted = new ArrayList<>();
        for (int day = 0; day < audit.instance().publishedDays(); day++) {
            addWanted(agenda.today().plusDays(day), audit.visits(day), wanted);
        }
        return wanted;
    }

    private void addWanted(LocalDate on, List<Visit> visits, List<Wanted> wanted) {
        List<Rota.Load> loads = new ArrayList<>();
        for (Visit visit : visits) {
            loads.add(new Rota.Load(audit.minutes(visit), hands(visit)));
        }
        List<OptionalLong> people = Rota.share(loads, agenda.people().on(on));
        for (int i = 0; i < visits.size(); i++) {
            Visit visit = visits.get(i);
            OptionalLong person = people.get(i);
            Optional<Long> account = person.isPresent() ? Optional.of(person.getAsLong()) : Optional.empty();
            wanted.add(new Wanted(visit.tank(), on, account, loads.get(i).minutes(), work(visit)));
        }
    }

    private List<String> work(Visit visit) {
        List<String> work = new ArrayList<>();
        for (Occurrence one : visit.occurrences()) {
            ChainId chain = one.chain().id();
            work.add(BookedVisit.occurrence(chain, one.k(), agenda.of(chain).since()));
        }
        return work;
    }

    private static Hands hands(Visit visit) {
        for (Occurrence one : visit.occurrences()) {
            if (one.chain().work().hands() == Hands.KEEPER) {
                return Hands.KEEPER;
            }
        }
        return Hands.ANYONE;
    }
}
