package app.chervil.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;

/** Shares out the visits of a day: each to one person, what only a keeper may do to a keeper, the rest to whoever has most time left. */
public final class Rota {
    private Rota() {}

    /**
     * A person on a day.
     *
     * @param minutes they have, zero or more
     * @param hands whether they may do everything
     */
    public record Person(long id, int minutes, Chain.Hands hands) {}

    /**
     * Work to be shared out.
     *
     * @param hands {@link Chain.Hands#KEEPER} if any of it is for keepers alone
     */
    public record Load(int minutes, Chain.Hands hands) {}

    /**
     * Who does what.
     *
     * @param loads in any order
     * @return a person for each load, in the same order; empty where nobody that may do it has time that day
     */
    public static List<OptionalLong> share(List<Load> loads, List<Person> people) {
        Map<Long, Integer> left = new HashMap<>();
        people.forEach(person -> left.put(person.id(), person.minutes()));
        List<OptionalLong> shared = new ArrayList<>();
        loads.forEach(load -> shared.add(OptionalLong.empty()));
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < loads.size(); i++) {
            order.add(i);
        }
        order.sort(Comparator.comparing((Integer i) -> loads.get(i).hands())
                .thenComparing(i -> -loads.get(i).minutes())
                .thenComparing(i -> i));
        for (int i : order) {
            people.stream()
                    .filter(person -> person.minutes() > 0
                            && (loads.get(i).hands() == Chain.Hands.ANYONE || person.hands() == Chain.Hands.KEEPER))
                    .max(Comparator.comparing((Person person) -> left.getOrDefault(person.id(), 0))
                            .thenComparing(person -> -person.id()))
                    .ifPresent(person -> {
                        left.merge(person.id(), -loads.get(i).minutes(), Integer::sum);
                        shared.set(i, OptionalLong.of(person.id()));
                    });
        }
        return shared;
    }
}
