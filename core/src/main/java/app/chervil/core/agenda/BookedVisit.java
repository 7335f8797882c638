package app.chervil.core.agenda;

import app.chervil.core.plan.ChainId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * A visit that people were told of. It stays the same one when it moves.
 *
 * @param account who is to go; empty while nobody has time
 * @param work its occurrences, each as its chain, which time it is, and the service from which that is counted
 * @param sequence raised with every move
 */
public record BookedVisit(
        UUID id,
        long tank,
        LocalDate on,
        Optional<Long> account,
        int minutes,
        List<String> work,
        int sequence,
        Instant changedAt) {
    public BookedVisit {
        work = List.copyOf(work);
    }

    static String occurrence(ChainId chain, int k, LocalDate since) {
        return chain + "/" + k + "/" + since;
    }

    /** A visit as a plan wants it, whichever one that people were told of it may be. */
    record Wanted(long tank, LocalDate on, Optional<Long> account, int minutes, List<String> work) {
        /** As a visit that nobody was told of before. */
        BookedVisit fresh(UUID id, Instant now) {
            return new BookedVisit(id, tank, on, account, minutes, work, 0, now);
        }

        Set<ChainId> chains() {
            return chainsOf(work);
        }
    }

    Set<ChainId> chains() {
        return chainsOf(work);
    }

    private static Set<ChainId> chainsOf(List<String> work) {
        return work.stream()
                .map(one -> ChainId.valueOf(one.substring(0, one.indexOf('/'))))
                .collect(Collectors.toSet());
    }

    /** This visit where it is wanted now: unchanged, or moved with a higher sequence. */
    BookedVisit movedTo(Wanted wanted, Instant now) {
        boolean same = on.equals(wanted.on)
                && minutes == wanted.minutes
                && (work.equals(wanted.work) || chains().equals(wanted.chains()))
                && account.equals(wanted.account);
        if (same && work.equals(wanted.work)) {
            return this;
        }
        return new BookedVisit(
                id,
                wanted.tank,
                wanted.on,
                wanted.account,
                wanted.minutes,
                wanted.work,
                same ? sequence : sequence + 1,
                same ? changedAt : now);
    }
}
