package app.chervil.server.account;

import java.time.Duration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.CsrfConfigurer;
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

    @Bean
    SecurityFilterChain guard(HttpSecurity http, SecurityContextRepository contexts, Rights rights) {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers("/api/**")
                        .access(rights)
                        .anyRequest()
                        .permitAll())
                .securityContext(context -> context.securityContextRepository(contexts))
                .csrf(CsrfConfigurer::spa)
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(policy -> policy.policy("geolocation=(), microphone=(), payment=()")))
                .exceptionHandling(refusals ->
                        refusals.authenticationEntryPoint(Refusals::nobody).accessDeniedHandler(Refusals::denied))
                .requestCache(cache -> cache.disable())
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .build();
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

    /** Sign-in goes through AccountOperations; nothing else may authenticate. */
    @Bean
    AuthenticationManager nobodyElse() {
        return authentication -> {
            throw new BadCredentialsException("Sign in through /api/session");
        };
    }
}
