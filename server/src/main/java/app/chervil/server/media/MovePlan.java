package app.chervil.server.media;

import app.chervil.core.media.Piece;
import app.chervil.core.media.Transfer;
import app.chervil.core.site.Filter;
import app.chervil.core.sums.BioMedium;
import app.chervil.server.water.MediaOperations.MediaVerdict;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A move thought through.
 *
 * @param grams that go
 * @param source stage of its tank's own media that it is taken from; empty if from none
 * @param verdict of the share rule on that
 * @param leaves filter in use that it leaves
 */
record MovePlan(
        Piece piece,
        double grams,
        Transfer transfer,
        Optional<Source> source,
        Optional<MediaVerdict> verdict,
        Optional<Filter> leaves) {
    /** A stage of bio media and its tank. */
    record Source(long tank, long stage) {}

    /** Whether it is part of what a filter's bio media weighs; foam is a stage of its own, and weighs next to nothing. */
    static boolean weighed(Piece piece) {
        return piece.kind() != BioMedium.FOAM;
    }

    /** What is left to do where it was. */
    Optional<String> gap() {
        return leaves.flatMap(filter -> transfer.gap(filter.name()));
    }

    /** Reasons to wait: of the tanks, then of the share that may be new at once. */
    List<String> holds() {
        return Stream.concat(
                        transfer.holds().stream(),
                        verdict.stream()
                                .filter(one -> one.leftGrams() != null && !one.within())
                                .map(MediaVerdict::told))
                .toList();
    }
}
