package app.chervil.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.spy;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.server.account.SparingSessions.Sparing;
import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.MapSession;

/** A session that was last used at noon. */
class SparingSessionsTest {
    private static final Instant NOON = Instant.parse("2026-06-01T12:00:00Z");

    @SuppressWarnings("unchecked")
    private final FindByIndexNameSessionRepository<MapSession> stored = mock(FindByIndexNameSessionRepository.class);

    private final MapSession session = spy(new MapSession("one"));
    private final SparingSessions<MapSession> sessions = new SparingSessions<>(stored);

    @BeforeEach
    void used_at_noon() {
        session.setCreationTime(NOON.minusSeconds(3600));
        session.setLastAccessedTime(NOON);
        when(stored.findById("one")).thenReturn(session);
        clearInvocations(session);
    }

    private Sparing<MapSession> found() {
        Sparing<MapSession> found = sessions.findById("one");
        assertThat(found).isNotNull();
        return found;
    }

    @ParameterizedTest
    @ValueSource(longs = {-5, 0, 1, 59})
    void used_again_within_a_minute_it_is_left_as_it_is(long seconds) {
        found().setLastAccessedTime(NOON.plusSeconds(seconds));

        verify(session, never()).setLastAccessedTime(any());
        assertThat(found().getLastAccessedTime()).isEqualTo(NOON);
    }

    @ParameterizedTest
    @ValueSource(longs = {60, 61, 86_400})
    void used_later_that_is_noted(long seconds) {
        found().setLastAccessedTime(NOON.plusSeconds(seconds));

        assertThat(found().getLastAccessedTime()).isEqualTo(NOON.plusSeconds(seconds));
    }

    @Test
    void everything_else_is_the_stored_sessions_own() {
        Sparing<MapSession> found = found();
        found.setAttribute("device", "a phone");
        found.setAttribute("address", "127.0.0.1");
        found.removeAttribute("address");
        found.setMaxInactiveInterval(Duration.ofHours(1));

        assertThat(session.getAttributeNames()).containsExactly("device").isEqualTo(found.getAttributeNames());
        assertThat(found.<String>getAttribute("device")).isEqualTo("a phone");
        assertThat(session.getMaxInactiveInterval())
                .isEqualTo(Duration.ofHours(1))
                .isEqualTo(found.getMaxInactiveInterval());
        assertThat(found.getCreationTime()).isEqualTo(NOON.minusSeconds(3600));
        assertThat(found.isExpired()).isEqualTo(session.isExpired());
        assertThat(found.changeSessionId()).isEqualTo(session.getId()).isNotEqualTo("one");
        assertThat(found.getId()).isEqualTo(session.getId());
    }

    @Test
    void it_is_kept_found_and_ended_where_it_is_stored() {
        when(stored.createSession()).thenReturn(session);
        when(stored.findByIndexNameAndIndexValue("who", "7")).thenReturn(Map.of("one", session));

        sessions.save(sessions.createSession());
        sessions.deleteById("one");

        verify(stored).save(session);
        verify(stored).deleteById("one");
        assertThat(sessions.findByIndexNameAndIndexValue("who", "7")).containsOnlyKeys("one");
        assertThat(sessions.findById("another")).isNull();
    }
}
