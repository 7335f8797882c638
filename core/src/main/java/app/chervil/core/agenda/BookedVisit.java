package app.chervil.core.agenda;

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

    static String occurrence(long chain, int k, LocalDate since) {
        return chain + "/" + k + "/" + since;
    }

    BookedVisit named(UUID other) {
        return new BookedVisit(other, tank, on, account, minutes, work, sequence, changedAt);
    }

    Set<Long> chains() {
        return work.stream()
                .map(one -> Long.valueOf(one.substring(0, one.indexOf('/'))))
                .collect(Collectors.toSet());
    }

    /** This visit where another one is wanted now: unchanged, or moved with a higher sequence. */
    BookedVisit movedTo(BookedVisit wanted) {
        boolean same = on.equals(wanted.on)
                && minutes == wanted.minutes
                && chains().equals(wanted.chains())
                && account.equals(wanted.account);
        return new BookedVisit(
                id,
                wanted.tank,
                wanted.on,
                wanted.account,
                wanted.minutes,
                wanted.work,
                same ? sequence : sequence + 1,
                same ? changedAt : wanted.changedAt);
    }
}
