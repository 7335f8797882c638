package app.chervil.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;

/** Who may read health and metrics. */
final class Monitor {
    private Monitor() {}

    static boolean may(HttpServletRequest request, String token) {
        return token.isEmpty() ? fromHere(request) : told(request, token) || fromHere(request);
    }

    private static boolean told(HttpServletRequest request, String token) {
        byte[] given = String.valueOf(request.getHeader("Authorization")).getBytes(StandardCharsets.UTF_8);
        return MessageDigest.isEqual(given, ("Bearer " + token).getBytes(StandardCharsets.UTF_8));
    }

    /** Asked on this machine and of this machine: what a proxy passes on was neither. */
    private static boolean fromHere(HttpServletRequest request) {
        boolean passedOn = request.getHeader("X-Forwarded-For") != null || request.getHeader("Forwarded") != null;
        return !passedOn && loopback(request.getRemoteAddr()) && loopback(request.getServerName());
    }

    private static boolean loopback(String host) {
        try {
            return host.equals("localhost")
                    || (host.matches("[0-9a-fA-F.:\\[\\]]+")
                            && InetAddress.getByName(host).isLoopbackAddress());
        } catch (UnknownHostException nowhere) {
            return false;
        }
    }
}
