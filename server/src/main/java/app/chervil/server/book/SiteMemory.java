package app.chervil.server.book;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Answers that follow from what is stored of a site, kept until anything of it changes. The revision is read before
 * anything else at every question, so any number of servers on one database agree: what was read together with a later
 * commit is found to be old at the next question. Within a command nothing is remembered: it sees its own writes.
 */
@Component
public class SiteMemory {
    private static final int MOST_SITES = 1000;
    private static final Duration KEPT = Duration.ofHours(1);

    private final RevisionMapper revisions;
    private final Clock clock;
    private final Cache<Long, Page> pages = Caffeine.newBuilder()
            .maximumSize(MOST_SITES)
            .expireAfterAccess(KEPT)
            .build();

    SiteMemory(RevisionMapper revisions, Clock clock) {
        this.revisions = revisions;
        this.clock = clock;
    }

    /**
     * An answer from before.
     *
     * @param revision at which it was worked out
     */
    public record Earlier<T>(T answer, long revision) {}

    /** One answer, worked out by the first who asks; a failure is not kept. */
    private static final class Answer<T> {
        private volatile @Nullable T value;

        synchronized T get(Supplier<T> work) {
            @Nullable T known = value;
            if (known == null) {
                known = work.get();
                value = known;
            }
            return known;
        }

        Optional<T> known() {
            return Optional.ofNullable(value);
        }
    }

    /**
     * What is known of a site at a revision, on a day.
     *
     * @param carried what was known before and helps to find what is new
     */
    private record Page(
            long site, long revision, LocalDate day, Map<Object, Answer<?>> answers, Map<Object, Earlier<?>> carried) {
        Page(long site, long revision, LocalDate day) {
            this(site, revision, day, new ConcurrentHashMap<>(), new ConcurrentHashMap<>());
        }

        boolean is(long other, LocalDate on) {
            return revision == other && day.equals(on);
        }

        Page turned(long later, LocalDate on) {
            Page next = new Page(site, later, on);
            next.carried.putAll(carried);
            answers.forEach((question, answer) -> {
                if (question instanceof Renewed) {
                    answer.known().ifPresent(known -> next.carried.put(question, new Earlier<>(known, revision)));
                }
            });
            return next;
        }
    }

    /** A question whose earlier answer helps to find the new one. */
    public interface Renewed {}

    /**
     * The answer to a question about a site.
     *
     * @param question by which it is kept: equal questions have equal answers while nothing changes
     * @param work answers from what is stored
     */
    public <T> T recall(long site, Object question, Supplier<T> work) {
        return writing() ? work.get() : reading(site, page -> answer(page, question, work));
    }

    /** The same where an earlier answer helps. */
    public <T> T renew(long site, Renewed question, Function<Optional<Earlier<T>>, T> work) {
        return writing()
                ? work.apply(Optional.empty())
                : reading(
                        site, page -> answer(page, question, () -> work.apply(SiteMemory.<T>earlier(page, question))));
    }

    /** Whether a command is running that may have written already. */
    static boolean writing() {
        return TransactionSynchronizationManager.isActualTransactionActive()
                && !TransactionSynchronizationManager.isCurrentTransactionReadOnly();
    }

    /** Questions asked while one is answered, or in one transaction, read the same page. */
    private <T> T reading(long site, Function<Page, T> question) {
        @Nullable Page open = (Page) TransactionSynchronizationManager.getResource(this);
        if (open != null) {
            return question.apply(open.site == site ? open : page(site));
        }
        Page page = page(site);
        TransactionSynchronizationManager.bindResource(this, page);
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new Closing());
            return question.apply(page);
        }
        try {
            return question.apply(page);
        } finally {
            TransactionSynchronizationManager.unbindResource(this);
        }
    }

    /** Closes the page that a transaction read. */
    private final class Closing implements TransactionSynchronization {
        @Override
        public void afterCompletion(int status) {
            TransactionSynchronizationManager.unbindResourceIfPossible(SiteMemory.this);
        }
    }

    private Page page(long site) {
        long revision = revisions.find(site).orElse(0L);
        LocalDate day = LocalDate.now(clock);
        return pages.asMap()
                .compute(
                        site,
                        (id, known) -> known == null
                                ? new Page(site, revision, day)
                                : known.is(revision, day) ? known : known.turned(revision, day));
    }

    @SuppressWarnings("unchecked") // a question has answers of one type
    private static <T> T answer(Page page, Object question, Supplier<T> work) {
        return ((Answer<T>) page.answers.computeIfAbsent(question, key -> new Answer<T>())).get(work);
    }

    @SuppressWarnings("unchecked")
    private static <T> Optional<Earlier<T>> earlier(Page page, Renewed question) {
        return Optional.ofNullable((Earlier<T>) page.carried.remove(question));
    }
}
