package app.chervil.server.stock;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What doing a task once uses up, in the site's currency.
 *
 * @param byTask empty where a thing it takes has no price; tasks that take nothing are not in it
 */
public record TaskCosts(Map<Long, OptionalDouble> byTask) {
    private static final OptionalDouble NOTHING = OptionalDouble.of(0);

    /**
     * Adds up what tasks take.
     *
     * @param price of one use of a thing, by its name in lower case; empty if nobody said
     */
    static TaskCosts of(Wants wants, Function<String, Optional<Double>> price) {
        return new TaskCosts(wants.byTask().entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, entry -> sum(entry.getValue(), price))));
    }

    private static OptionalDouble sum(List<Wants.Want> wants, Function<String, Optional<Double>> price) {
        double sum = 0;
        for (Wants.Want want : wants) {
            Optional<Double> each = price.apply(Wants.key(want.supply().name()));
            if (each.isEmpty()) {
                return OptionalDouble.empty();
            }
            sum += want.quantity() * each.get();
        }
        return OptionalDouble.of(sum);
    }

    /** What one task uses up each time; empty if a price is missing. */
    public OptionalDouble of(long task) {
        return byTask.getOrDefault(task, NOTHING);
    }
}
