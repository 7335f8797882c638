package app.chervil.core.trouble;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import java.util.Set;

/**
 * Where something can be.
 *
 * @param needs one of which must be there; empty where nothing is needed
 */
public record Fits(Set<FilterKind> kinds, Set<StageKind> needs) {
    public Fits {
        kinds = Set.copyOf(kinds);
        needs = Set.copyOf(needs);
    }

    /** Whether it can be on a filter. */
    public boolean fits(FilterHistory history) {
        return kinds.contains(history.kind())
                && (needs.isEmpty() || needs.stream().anyMatch(history.stages()::contains));
    }
}
