package app.chervil.server.account;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/** Sessions whose latest use is noted once a minute, not with every question: a question then writes nothing at all. */
final class SparingSessions<S extends Session> implements FindByIndexNameSessionRepository<SparingSessions.Sparing<S>> {
    static final Duration NOTED_EVERY = Duration.ofMinutes(1);

    private final FindByIndexNameSessionRepository<S> stored;

    SparingSessions(FindByIndexNameSessionRepository<S> stored) {
        this.stored = stored;
    }

    @Override
    public Sparing<S> createSession() {
        return new Sparing<>(stored.createSession());
    }

    @Override
    public void save(Sparing<S> session) {
        stored.save(session.stored);
    }

    @Override
    public @Nullable Sparing<S> findById(String id) {
        S found = stored.findById(id);
        return found == null ? null : new Sparing<>(found);
    }

    @Override
    public void deleteById(String id) {
        stored.deleteById(id);
    }

    @Override
    public Map<String, Sparing<S>> findByIndexNameAndIndexValue(String index, String value) {
        return stored.findByIndexNameAndIndexValue(index, value).values().stream()
                .collect(Collectors.toMap(Session::getId, Sparing::new));
    }

    /** A session that may say that it was last used up to a minute earlier than it was. */
    static final class Sparing<S extends Session> implements Session {
        private final S stored;

        Sparing(S stored) {
            this.stored = stored;
        }

        @Override
        public void setLastAccessedTime(Instant at) {
            if (!at.isBefore(stored.getLastAccessedTime().plus(NOTED_EVERY))) {
                stored.setLastAccessedTime(at);
            }
        }

        @Override
        public Instant getLastAccessedTime() {
            return stored.getLastAccessedTime();
        }

        @Override
        public String getId() {
            return stored.getId();
        }

        @Override
        public String changeSessionId() {
            return stored.changeSessionId();
        }

        @Override
        @SuppressWarnings("TypeParameterUnusedInFormals") // as it is declared
        public <T> @Nullable T getAttribute(String name) {
            return stored.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return stored.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            stored.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            stored.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return stored.getCreationTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            stored.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return stored.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return stored.isExpired();
        }
    }
}
