package app.chervil.core.trouble;

import app.chervil.core.filter.FilterKind;
import java.util.List;
import java.util.Set;

/**
 * What a keeper notices.
 *
 * @param perils ids of dangers asked about first, in order
 */
public record Complaint(String id, String words, Set<FilterKind> kinds, List<String> perils) {
    public Complaint {
        kinds = Set.copyOf(kinds);
        perils = List.copyOf(perils);
    }
}
