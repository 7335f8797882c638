package app.chervil.core.device;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.device.Switching.Refusal;
import app.chervil.core.device.Switching.State;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SwitchingTest {
    private static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");

    /** Every way things can be: service or none, wet or dry, no word, a fresh one, the last that holds, a stale one, one of tomorrow. */
    static Stream<State> states() {
        return Stream.of(true, false).flatMap(running -> Stream.of(true, false).flatMap(wet -> Stream.of(
                        Optional.<Instant>empty(),
                        Optional.of(NOW),
                        Optional.of(NOW.minus(Switching.WORD_HOLDS)),
                        Optional.of(NOW.minus(Switching.WORD_HOLDS).minusMillis(1)),
                        Optional.of(NOW.minus(Duration.ofDays(400))),
                        Optional.of(NOW.plusMillis(1)))
                .map(word -> new State(running, wet, word))));
    }

    @ParameterizedTest
    @MethodSource("states")
    void A_plug_goes_on_only_with_no_service_no_water_outside_and_a_fresh_word(State state) {
        boolean fresh = state.confirmed()
                .map(at -> !at.isAfter(NOW) && Duration.between(at, NOW).compareTo(Switching.WORD_HOLDS) <= 0)
                .orElse(false);

        assertThat(Switching.on(state, NOW).isEmpty()).isEqualTo(!state.serviceRunning() && !state.wet() && fresh);
    }

    @ParameterizedTest
    @MethodSource("states")
    void During_a_service_it_never_goes_on(State state) {
        State working = new State(true, state.wet(), state.confirmed());

        assertThat(Switching.on(working, NOW)).contains(Refusal.SERVICE_RUNNING);
    }

    @Test
    void The_refusal_says_what_to_do() {
        assertThat(Refusal.values())
                .allSatisfy(refusal -> assertThat(refusal.words()).endsWith("."));
    }
}
