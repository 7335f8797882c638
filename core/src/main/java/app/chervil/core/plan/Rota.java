package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Hands;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalLong;

/** Shares out the visits of a day: each to one person, what only a keeper may do to a keeper, the rest to whoever has most time left. */
public final class Rota {
    private static final int NOBODY = -1;

    private Rota() {}

    /**
     * A person on a day.
     *
     * @param minutes they have, zero or more
     * @param hands whether they may do everything
     */
    public record Person(long id, int minutes, Hands hands) {}

    /**
     * Work to be shared out.
     *
     * @param hands {@link Chain.Hands#KEEPER} if any of it is for keepers alone
     */
    public record Load(int minutes, Hands hands) {}

    /**
     * Who does what.
     *
     * @param loads in any order
     * @return a person for each load, in the same order; empty where nobody that may do it has time that day
     */
    public static List<OptionalLong> share(List<Load> loads, List<Person> people) {
        int[] left = people.stream().mapToInt(Person::minutes).toArray();
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
            Load load = loads.get(i);
            int who = mostLeft(load, people, left);
            if (who != NOBODY) {
                left[who] -= load.minutes();
                shared.set(i, OptionalLong.of(people.get(who).id()));
            }
        }
        return shared;
    }

    /** The person with most time left of those that may do it; of equals the one with the lowest id. */
    private static int mostLeft(Load load, List<Person> people, int[] left) {
        int most = NOBODY;
        for (int i = 0; i < people.size(); i++) {
            Person one = people.get(i);
            boolean may = one.minutes() > 0 && (load.hands() == Hands.ANYONE || one.hands() == Hands.KEEPER);
            boolean more = most == NOBODY
                    || left[i] > left[most]
                    || (left[i] == left[most] && one.id() < people.get(most).id());
            most = may && more ? i : most;
        }
        return most;
    }
}
