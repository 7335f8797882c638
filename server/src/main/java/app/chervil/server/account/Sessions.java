package app.chervil.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where people are signed in. A session is known outside by a mark of its id, never by the id. */
@Component
class Sessions {
    private static final String DEVICE = "chervil.device";
    private static final String ADDRESS = "chervil.address";

    private final FindByIndexNameSessionRepository<? extends Session> repository;

    Sessions(FindByIndexNameSessionRepository<? extends Session> repository) {
        this.repository = repository;
    }

    /** Notes from where a session began. */
    static void note(HttpServletRequest request) {
        request.getSession().setAttribute(DEVICE, device(String.valueOf(request.getHeader("User-Agent"))));
        request.getSession().setAttribute(ADDRESS, String.valueOf(request.getRemoteAddr()));
    }

    private static String device(String agent) {
        if (agent.matches("(?i).*(tablet|ipad).*")) {
            return "a tablet";
        }
        return agent.contains("Mobi") ? "a phone" : "a computer";
    }

    /**
     * Sessions of a person, the latest used first.
     *
     * @param accounts of the person, on all their sites
     * @param current id of the session that asks
     */
    List<OpenSession> list(Collection<Long> accounts, String current) {
        return all(accounts)
                .map(session -> new OpenSession(
                        mark(session.getId()),
                        String.valueOf((Object) session.getAttributeOrDefault(DEVICE, "a computer")),
                        String.valueOf((Object) session.getAttributeOrDefault(ADDRESS, "")),
                        session.getCreationTime(),
                        session.getLastAccessedTime(),
                        session.getId().equals(current)))
                .sorted(Comparator.comparing(OpenSession::lastUsedAt).reversed())
                .toList();
    }

    /** Ends sessions of a person by their mark; answers whether there was one. */
    boolean end(Collection<Long> accounts, String mark) {
        return end(accounts, session -> mark(session.getId()).equals(mark));
    }

    void endOthers(Collection<Long> accounts, String current) {
        end(accounts, session -> !session.getId().equals(current));
    }

    void endAll(long account) {
        end(List.of(account), session -> true);
    }

    private boolean end(Collection<Long> accounts, Predicate<Session> which) {
        List<String> ending = all(accounts).filter(which).map(Session::getId).toList();
        ending.forEach(repository::deleteById);
        return !ending.isEmpty();
    }

    private Stream<? extends Session> all(Collection<Long> accounts) {
        return accounts.stream()
                .flatMap(account -> repository.findByPrincipalName(Long.toString(account)).values().stream());
    }

    private static String mark(String id) {
        return OneTimeCode.markOf(id.getBytes(StandardCharsets.UTF_8)).substring(0, 16);
    }

    /**
     * A place where a person is signed in.
     *
     * @param mark by which it can be ended
     * @param device what it seems to be, with its article
     * @param here whether it is the one that asks
     */
    record OpenSession(String mark, String device, String address, Instant begunAt, Instant lastUsedAt, boolean here) {}
}
