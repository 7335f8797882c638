package app.chervil.server;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;

/** A clock that stands still. */
@TestConfiguration(proxyBeanMethods = false)
public class TestClock {
    @Bean
    @Primary
    Clock still() {
        return Clock.fixed(Instant.parse("2026-06-01T12:00:00Z"), ZoneOffset.UTC);
    }
}
