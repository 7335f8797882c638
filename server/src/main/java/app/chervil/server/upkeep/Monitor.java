package app.chervil.server.upkeep;

import app.chervil.server.problem.Problems;
import app.chervil.server.web.Reached;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;

/** Who may read health and metrics: this machine, and whoever has the token. */
@Configuration(proxyBeanMethods = false)
class Monitor {
    @Bean
    @Order(2)
    SecurityFilterChain monitoring(HttpSecurity http, @Value("${chervil.monitor-token:}") String token) {
        return http.securityMatcher("/manage/**")
                .authorizeHttpRequests(requests -> requests.anyRequest()
                        .access((asking, context) -> new AuthorizationDecision(may(context.getRequest(), token))))
                .csrf(csrf -> csrf.disable())
                .requestCache(cache -> cache.disable())
                .logout(logout -> logout.disable())
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .exceptionHandling(
                        refusals -> refusals.authenticationEntryPoint((request, response, why) -> Problems.write(
                                response,
                                HttpStatus.UNAUTHORIZED,
                                "not-signed-in",
                                "This is for who looks after the server.")))
                .build();
    }

    static boolean may(HttpServletRequest request, String token) {
        return (!token.isEmpty() && told(request, token)) || fromHere(request);
    }

    private static boolean told(HttpServletRequest request, String token) {
        byte[] given = String.valueOf(request.getHeader("Authorization")).getBytes(StandardCharsets.UTF_8);
        return MessageDigest.isEqual(given, ("Bearer " + token).getBytes(StandardCharsets.UTF_8));
    }

    /** Asked on this machine and of this machine: what a proxy passes on was neither. */
    private static boolean fromHere(HttpServletRequest request) {
        boolean passedOn = request.getHeader("X-Forwarded-For") != null || request.getHeader("Forwarded") != null;
        return !passedOn && Reached.fromHere(request.getRemoteAddr()) && Reached.loopback(request.getServerName());
    }
}
