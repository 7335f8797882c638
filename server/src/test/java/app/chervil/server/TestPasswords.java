package app.chervil.server;

import java.util.Map;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** Hashes passwords as the server does, at the least cost: each test has a keeper of its own, and what makes guessing dear made them dear. */
@TestConfiguration(proxyBeanMethods = false)
public class TestPasswords {
    private static final String BCRYPT = "bcrypt";
    private static final int LEAST = 4;

    @Bean
    @Primary
    PasswordEncoder quick() {
        return new DelegatingPasswordEncoder(BCRYPT, Map.of(BCRYPT, new BCryptPasswordEncoder(LEAST)));
    }
}
