package app.chervil.server.archive;

import app.chervil.server.archive.ArchiveMapper.Numbered;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * Rows of an archive by the numbers they have where they came from: here, if they were handed on from here, or at a third site
 * from which this one may have them already.
 *
 * @param site that the archive is brought to
 * @param mark of that site
 * @param rows as the archive tells them
 */
record OtherNumbers(ArchiveMapper mapper, long site, UUID mark, List<OtherNumber> rows) {
    /** Numbers here, of those rows that are known here by another of their numbers. */
    Map<OtherNumber, Long> here() {
        Map<OtherNumber, Long> here = new HashMap<>();
        rows.stream().collect(Collectors.groupingBy(OtherNumber::origin)).forEach((origin, there) -> {
            if (origin.equals(mark)) {
                there.forEach(row -> here.put(row, row.theirs()));
            } else {
                Map<String, Long> known = byName(mapper.listNumbers(site, origin));
                there.stream()
                        .filter(row -> known.containsKey(row.relation() + row.theirs()))
                        .forEach(
                                row -> here.put(row, Objects.requireNonNull(known.get(row.relation() + row.theirs()))));
            }
        });
        return here;
    }

    /** Keeps the numbers that rows have elsewhere, for those that were given one here. */
    void remember(List<Numbered> drawn) {
        Map<String, Long> fresh = byName(drawn);
        rows.stream()
                .filter(row -> !row.origin().equals(mark) && fresh.containsKey(row.relation() + row.ours()))
                .collect(Collectors.groupingBy(
                        OtherNumber::origin,
                        Collectors.mapping(
                                row -> new Numbered(
                                        row.relation(),
                                        row.theirs(),
                                        Objects.requireNonNull(fresh.get(row.relation() + row.ours()))),
                                Collectors.toList())))
                .forEach((origin, numbers) -> mapper.saveNumbers(site, origin, new NumberedRows(numbers)));
    }

    private static Map<String, Long> byName(List<Numbered> numbers) {
        return numbers.stream()
                .collect(Collectors.toMap(one -> one.relation() + one.theirs(), Numbered::ours, (one, other) -> one));
    }
}
