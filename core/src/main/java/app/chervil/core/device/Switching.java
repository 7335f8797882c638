package app.chervil.core.device;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * When a plug may be switched. Off at once, by anybody who may work here. On only when a person at the tank says that nothing
 * speaks against it, and never while somebody may have a hand in the water.
 */
public final class Switching {
    /** A word given longer ago than this says nothing of now. */
    public static final Duration WORD_HOLDS = Duration.ofMinutes(1);

    private Switching() {}

    /** Why a plug stays off. */
    public enum Refusal {
        NOT_CONFIRMED("Say first that no hand is in the water, the pump is under water and its valves are open."),
        SERVICE_RUNNING("A service is in progress on this tank. Finish it first: a hand may be in the water."),
        WATER_OUTSIDE("A leak sensor of this tank is wet. Find the water first.");

        private final String words;

        Refusal(String words) {
            this.words = words;
        }

        /** What a keeper reads. */
        public String words() {
            return words;
        }
    }

    /**
     * How things are at a tank.
     *
     * @param serviceRunning whether a service of the tank is in progress, however long ago it was last touched
     * @param wet whether a leak sensor of the tank is wet
     * @param confirmed when a person said that nothing speaks against it; empty if nobody did
     */
    public record State(boolean serviceRunning, boolean wet, Optional<Instant> confirmed) {}

    /** Why it may not be switched on; empty if it may. */
    public static Optional<Refusal> on(State state, Instant now) {
        if (state.serviceRunning()) {
            return Optional.of(Refusal.SERVICE_RUNNING);
        }
        if (state.wet()) {
            return Optional.of(Refusal.WATER_OUTSIDE);
        }
        boolean fresh = state.confirmed()
                .map(at -> !at.isAfter(now) && !now.isAfter(at.plus(WORD_HOLDS)))
                .orElse(false);
        return fresh ? Optional.empty() : Optional.of(Refusal.NOT_CONFIRMED);
    }
}
