package app.chervil.server.device;

import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * The broker through which devices speak.
 *
 * @param host empty where there is none
 * @param client by which the broker knows this server
 * @param user empty where it asks for none
 */
@ConfigurationProperties("chervil.mqtt")
public record BrokerPlace(String host, int port, String client, String user, String password) {
    /** Whether there is one. */
    public boolean isKnown() {
        return !host.isBlank();
    }
}
