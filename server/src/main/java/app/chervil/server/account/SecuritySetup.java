package app.chervil.server.account;

import jakarta.servlet.DispatcherType;
import java.time.Duration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** Who may ask for what, and the headers every answer carries. */
@Configuration(proxyBeanMethods = false)
class SecuritySetup {
    private static final String CONTENT_POLICY = "default-src 'self'; img-src 'self' data: blob:; object-src 'none'; "
            + "base-uri 'self'; form-action 'self'; frame-ancestors 'none'";

    /** Where devices come in by their own token, which no page of another site can know. */
    private static final String BY_TOKEN = "/api/device-readings";

    /** Questions to the API, each held against the table of rights. */
    @Bean
    @Order(1)
    SecurityFilterChain guard(HttpSecurity http, SecurityContextRepository contexts, Rights rights) {
        return headers(http)
                .securityMatcher("/api/**")
                .authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(DispatcherType.ASYNC)
                        .permitAll()
                        .anyRequest()
                        .access(rights))
                .securityContext(context -> context.securityContextRepository(contexts))
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers(BY_TOKEN))
                .exceptionHandling(refusals ->
                        refusals.authenticationEntryPoint(Refusals::nobody).accessDeniedHandler(Refusals::denied))
                .build();
    }

    /** Pages, their scripts and calendars: open to everybody, and without a look at any session, not even for a stranger’s. */
    @Bean
    @Order(3)
    SecurityFilterChain pages(HttpSecurity http) {
        return headers(http)
                .securityMatcher("/**")
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(csrf -> csrf.disable())
                .sessionManagement(sessions -> sessions.disable())
                .anonymous(strangers -> strangers.disable())
                .build();
    }

    /** Not the one that makes a browser insist on encryption: it would hold for everything else by this machine’s name. */
    private static HttpSecurity headers(HttpSecurity http) {
        return http.headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(policy -> policy.policy("geolocation=(), microphone=(), payment=()"))
                        .httpStrictTransportSecurity(strict -> strict.disable()))
                .requestCache(cache -> cache.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable());
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    /** Kept for thirty days, out of reach of scripts, never sent along from another site. */
    @Bean
    CookieSerializer sessionCookie() {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName("chervil_session");
        cookie.setUseHttpOnlyCookie(true);
        cookie.setSameSite("Strict");
        cookie.setCookieMaxAge((int) Duration.ofDays(30).toSeconds());
        return cookie;
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    /** Sign-in goes through SignInOperations; nothing else may authenticate. */
    @Bean
    AuthenticationManager nobodyElse() {
        return authentication -> {
            throw new BadCredentialsException("Sign in through /api/session");
        };
    }
}
