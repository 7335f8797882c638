package app.chervil.core.trial;

import app.chervil.core.water.Production;
import app.chervil.core.water.Production.Tried;
import java.util.List;
import java.util.Optional;

/**
 * What the readings of one tank say of the ways it has had. A tank that keeps one way tells how it does with that one and no
 * more: whether tank or way makes a difference to another tank cannot be told.
 *
 * @param ways places of the ways that it had, in their order
 * @param of how many there are in all
 * @param tried of these alone; empty while the readings are too few
 */
public record Heard(List<Integer> ways, int of, Optional<Tried> tried) {
    public Heard {
        ways = List.copyOf(ways);
    }

    /** A week's rise of a way; empty while that is not told. */
    public Optional<Production> rise(int way) {
        int place = ways.indexOf(way);
        return place < 0 ? Optional.empty() : tried.map(told -> told.rises().get(place));
    }

    /** All ways against each other; empty while the tank has not had them all. */
    public Optional<Tried> compared() {
        return ways.size() == of ? tried : Optional.empty();
    }
}
