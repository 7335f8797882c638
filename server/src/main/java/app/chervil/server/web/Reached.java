package app.chervil.server.web;

import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** By which names the server may be called, and from where. */
@Component
public class Reached {
    private static final Set<String> LOOPBACK = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    private final Set<String> names = new HashSet<>(LOOPBACK);

    Reached(
            @Value("${chervil.hosts:}") String hosts,
            @Value("${chervil.address:}") String address,
            @Value("${chervil.house.addresses:}") String house) {
        parts(hosts).forEach(names::add);
        parts(address + "," + house).stream().map(Reached::hostOf).forEach(names::add);
    }

    /** What stands between commas, in small letters. */
    static List<String> parts(String list) {
        return Arrays.stream(list.split(","))
                .map(one -> one.strip().toLowerCase(Locale.ROOT))
                .filter(one -> !one.isEmpty())
                .toList();
    }

    private static String hostOf(String address) {
        String host = URI.create(address).getHost();
        if (host == null) {
            throw new IllegalArgumentException(address + " is no address such as https://tanks.example.org");
        }
        return host;
    }

    /** Whether the server goes by this name. */
    boolean by(String host) {
        return names.contains(host.toLowerCase(Locale.ROOT));
    }

    /** Whether a name is this machine's own for itself. */
    public static boolean loopback(String name) {
        return LOOPBACK.contains(name);
    }

    /** Whether who asks sits on this machine. */
    public static boolean fromHere(String address) {
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException nowhere) {
            return false;
        }
    }
}
