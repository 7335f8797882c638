package app.chervil.core.plan;

import java.util.Collections;
import java.util.HashMap;
import java.util.Map;

/** Maps by the ids of chains. */
final class ByChain {
    private ByChain() {}

    /**
     * A copy that does not change. {@link Map#copyOf} has no buckets and looks on from place to place: where some ids are those of
     * others below zero, which have the same hash but for one, it looks through thousands.
     */
    static <T> Map<Long, T> copy(Map<Long, T> byChain) {
        return Collections.unmodifiableMap(new HashMap<>(byChain));
    }
}
