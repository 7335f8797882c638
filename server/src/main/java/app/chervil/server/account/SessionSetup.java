package app.chervil.server.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;

/** Sessions lie in the database, so that any server knows them; each ends when it was not used for thirty days. */
@Configuration(proxyBeanMethods = false)
@EnableJdbcHttpSession(maxInactiveIntervalInSeconds = SessionSetup.KEPT_SECONDS)
class SessionSetup {
    static final int KEPT_SECONDS = 30 * 24 * 60 * 60;

    @Bean
    @Primary
    FindByIndexNameSessionRepository<? extends Session> sparingSessions(
            FindByIndexNameSessionRepository<? extends Session> sessionRepository) {
        return new SparingSessions<>(sessionRepository);
    }
}
