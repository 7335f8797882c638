package app.chervil.core.agenda;

import app.chervil.core.filter.CareAction;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Hours;
import app.chervil.core.plan.Rota;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The people of a site, the time they have, and what is not for everyone.
 *
 * @param assumed whether nobody has said anything yet, so that a usual week is taken
 * @param keeperOnly names of actions and chores that only a keeper may do
 */
public record People(List<Person> all, boolean assumed, List<UnusualDays> exceptions, Set<String> keeperOnly) {
    /** Minutes of a keeper's day while nobody said anything: our judgement, docs/sources.md#planning. */
    public static final int USUAL_MINUTES = 60;

    /** Electrical openings and chemicals stay with the keeper until said otherwise. */
    public static final Set<String> USUALLY_KEEPER =
            Set.of(CareAction.OPEN.name(), CareAction.REGENERATE.name(), CareAction.DESCALE.name());

    public People {
        all = List.copyOf(all);
        exceptions = List.copyOf(exceptions);
        keeperOnly = Set.copyOf(keeperOnly);
    }

    /**
     * A person with their week.
     *
     * @param minutes Monday to Sunday
     */
    public record Person(long account, String name, Hands hands, List<Integer> minutes) {
        public Person {
            minutes = List.copyOf(minutes);
        }
    }

    /**
     * Exceptions, both ends included.
     *
     * @param account empty for everyone
     * @param minutes on each of these days, zero for away
     */
    public record UnusualDays(
            long id, Optional<Long> account, LocalDate firstDay, LocalDate lastDay, int minutes, String note) {
        boolean concern(Person person, LocalDate day) {
            boolean then = !day.isBefore(firstDay) && !day.isAfter(lastDay);
            return then && account.map(id -> id == person.account()).orElse(true);
        }
    }

    /** Who may do a kind of work. */
    Hands handsFor(String work) {
        return keeperOnly.contains(work) ? Hands.KEEPER : Hands.ANYONE;
    }

    /** The people of a day with their minutes. */
    List<Rota.Person> on(LocalDate day) {
        return all.stream()
                .map(person -> new Rota.Person(person.account(), minutes(person, day), person.hands()))
                .toList();
    }

    /** The minutes of some days, from the first on. */
    Hours hours(LocalDate first, int days) {
        List<Hours.Day> hours = new ArrayList<>();
        for (int day = 0; day < days; day++) {
            int keeper = 0;
            int helpers = 0;
            for (Rota.Person person : on(first.plusDays(day))) {
                keeper += person.hands() == Hands.KEEPER ? person.minutes() : 0;
                helpers += person.hands() == Hands.KEEPER ? 0 : person.minutes();
            }
            hours.add(new Hours.Day(keeper, helpers));
        }
        return new Hours(hours);
    }

    /** A person's own exception weighs before one for everyone, a later one before an earlier. */
    private int minutes(Person person, LocalDate day) {
        return exceptions.stream()
                .filter(one -> one.concern(person, day))
                .max(Comparator.comparing((UnusualDays one) -> one.account().isPresent())
                        .thenComparing(UnusualDays::id))
                .map(UnusualDays::minutes)
                .orElseGet(() -> person.minutes().get(day.getDayOfWeek().getValue() - 1));
    }

    /** Names by account. */
    public Map<Long, String> names() {
        return all.stream().collect(Collectors.toMap(Person::account, Person::name));
    }
}
