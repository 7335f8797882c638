package app.chervil.server.account;

import app.chervil.server.problem.Rejected;
import app.chervil.server.problem.Rejected.Violation;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Holds up who guesses. What is guessed elsewhere never keeps a person out where they have been before, and nothing is
 * held for longer than a quarter of an hour after the last guess that was listened to.
 */
@Component
class Throttle {
    static final int MOST_OF_PAIR = 5;
    static final int MOST_OF_LOGIN = 50;
    static final int MOST_FROM_ADDRESS = 30;
    static final Duration HOLD = Duration.ofMinutes(15);
    static final Duration KNOWN_FOR = Duration.ofDays(90);

    /** Stands for codes, which belong to no name. */
    static final String CODES = "";

    private final SignInMapper mapper;
    private final Clock clock;

    Throttle(SignInMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * Lets a try pass.
     *
     * @throws Rejected after too many that failed
     */
    void check(String field, String login, String address) {
        Instant now = clock.instant();
        Instant since = now.minus(HOLD);
        boolean held = mapper.findFailuresOfPair(login, address, since) >= MOST_OF_PAIR;
        if (!held && !mapper.findKnown(login, address, now.minus(KNOWN_FOR))) {
            held = mapper.findFailuresFrom(address, since) >= MOST_FROM_ADDRESS
                    || (!login.equals(CODES) && mapper.findFailuresOf(login, since) >= MOST_OF_LOGIN);
        }
        if (held) {
            throw new Rejected(
                    HttpStatus.TOO_MANY_REQUESTS,
                    List.of(new Violation(
                            field,
                            "too-many-attempts",
                            "Too many attempts. Wait a quarter of an hour, then try again.")));
        }
    }

    void failed(String login, String address) {
        mapper.insertFailure(login, address, clock.instant());
    }

    /** Forgets the failures from there, and all that are over. */
    void passed(String login, String address) {
        Instant now = clock.instant();
        mapper.deleteFailures(login, address, now.minus(HOLD));
        mapper.saveKnown(login, address, now);
    }
}
