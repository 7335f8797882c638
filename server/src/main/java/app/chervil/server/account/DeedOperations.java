package app.chervil.server.account;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What people did on a site; {@link PersonalTransactions} writes it down. */
@Service
public class DeedOperations {
    static final int A_PAGE = 100;
    private static final Map<String, Right> BY_KEY =
            RightsTable.ALL.stream().collect(Collectors.toUnmodifiableMap(Right::key, Function.identity()));

    private final DeedMapper mapper;

    DeedOperations(DeedMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * A page of deeds, the latest first.
     *
     * @param before line from which on all were seen
     */
    @Transactional(readOnly = true)
    public List<DeedDone> list(SignedIn who, long before) {
        who.mustBeKeeper();
        return mapper.list(who.siteId(), before, A_PAGE).stream()
                .map(row -> new DeedDone(
                        row.id(), row.didAt(), row.name(), words(row.act()), thing(row.act()), row.subject()))
                .toList();
    }

    private static String words(String act) {
        Right right = BY_KEY.get(act);
        return right == null ? act : right.deed();
    }

    /** What the subject is: the name of the last variable in the path; empty if it has none. */
    private static String thing(String act) {
        int from = act.lastIndexOf('{');
        return from < 0 ? "" : act.substring(from + 1, act.indexOf('}', from));
    }

    /**
     * Something that was done.
     *
     * @param name of who did it
     * @param words what it was, to be read after the name
     * @param thing what the subject is the id of, as "tank"; empty if there is none
     */
    public record DeedDone(long id, Instant didAt, String name, String words, String thing, String subject) {}
}
