package app.chervil.server.media;

import app.chervil.core.sums.BioMedium;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * An exchange of bio media in portions.
 *
 * @param stage what it exchanges, in words: "bio media of Weir"
 * @param grams of old media that go in all
 * @param freshGrams of new media that take their place in all
 * @param done how many portions are done
 * @param endedOn when the last was done, or it was stopped; absent while it runs
 * @param verdictOn from when on its readings tell whether it did harm or good; absent while it runs
 * @param verdict how the tank took it, as sentences; absent before that day
 */
record ExchangeView(
        UUID id,
        long stageId,
        String stage,
        double grams,
        double freshGrams,
        @Nullable BioMedium oldKind,
        @Nullable BioMedium newKind,
        List<PortionView> portions,
        int done,
        @Nullable LocalDate endedOn,
        @Nullable LocalDate verdictOn,
        @Nullable String verdict) {
    /**
     * A portion.
     *
     * @param grams of old media that go
     * @param freshGrams of new media that take their place
     */
    record PortionView(LocalDate on, double grams, double freshGrams) {}

    /**
     * An exchange before it begins.
     *
     * @param told what is to be known of it, as sentences
     */
    record ExchangePlan(List<PortionView> portions, List<String> told) {}
}
