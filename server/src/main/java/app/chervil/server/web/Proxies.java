package app.chervil.server.web;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.catalina.connector.Connector;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands before the server: proxies it trusts, and the plain port that gives out its certificate. */
@Configuration(proxyBeanMethods = false)
class Proxies {
    /** Takes the word of trusted proxies, and of nobody else, about who asks and how. */
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> trusted(
            @Value("${chervil.trusted-proxies:}") String proxies) {
        List<String> trusted = Reached.parts(proxies);
        return factory -> {
            if (trusted.isEmpty()) {
                return;
            }
            RemoteIpValve valve = new RemoteIpValve();
            valve.setInternalProxies(trusted.stream().map(Pattern::quote).collect(Collectors.joining("|")));
            valve.setRemoteIpHeader("X-Forwarded-For");
            valve.setProtocolHeader("X-Forwarded-Proto");
            valve.setHostHeader("X-Forwarded-Host");
            factory.addEngineValves(valve);
        };
    }

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> pairing(
            @Value("${chervil.house.pairing-port:0}") int port) {
        return factory -> {
            if (port > 0) {
                Connector plain = new Connector();
                plain.setPort(port);
                factory.addAdditionalConnectors(plain);
            }
        };
    }
}
