package app.chervil.e2e;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * A store that speaks as much of S3 as backups need: PUT, GET and DELETE of objects, each signed by "AWS Signature Version 4"
 * with one key. What is not signed, or signed for other bytes, is refused.
 */
final class StandInStore implements AutoCloseable {
    private static final Pattern AUTHORIZATION = Pattern.compile(
            "AWS4-HMAC-SHA256 Credential=([^/]+)/(\\d{8})/([^/]+)/s3/aws4_request,\\s*SignedHeaders=([^,]+),\\s*Signature=([0-9a-f]{64})");

    private final HttpServer server;
    private final String key;
    private final String secret;
    private final Map<String, byte[]> objects = new ConcurrentSkipListMap<>();
    private volatile boolean forgetful;

    StandInStore(String key, String secret) throws IOException {
        this.key = key;
        this.secret = secret;
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", this::answer);
        server.start();
    }

    /** Address of a folder in it. */
    String address(String folder) {
        return "http://127.0.0.1:" + server.getAddress().getPort() + "/" + folder;
    }

    /** Paths of all objects. */
    List<String> names() {
        return List.copyOf(objects.keySet());
    }

    /** From now on it says that it keeps what it does not. */
    void forget() {
        forgetful = true;
        objects.clear();
    }

    private void answer(HttpExchange asked) throws IOException {
        byte[] body = asked.getRequestBody().readAllBytes();
        byte[] told = new byte[0];
        int status;
        if (!signed(asked, body)) {
            status = 403;
        } else {
            String path = asked.getRequestURI().getRawPath();
            switch (asked.getRequestMethod()) {
                case "PUT" -> {
                    status = 200;
                    if (!forgetful) {
                        objects.put(path, body);
                    }
                }
                case "GET" -> {
                    status = objects.containsKey(path) ? 200 : 404;
                    told = objects.getOrDefault(path, told);
                }
                case "DELETE" -> {
                    status = 204;
                    objects.remove(path);
                }
                default -> status = 405;
            }
        }
        asked.sendResponseHeaders(status, told.length == 0 ? -1 : told.length);
        if (told.length > 0) {
            asked.getResponseBody().write(told);
        }
        asked.close();
    }

    private boolean signed(HttpExchange asked, byte[] body) {
        String given = Objects.requireNonNullElse(asked.getRequestHeaders().getFirst("Authorization"), "");
        Matcher parts = AUTHORIZATION.matcher(given);
        String sum =
                Objects.requireNonNullElse(asked.getRequestHeaders().getFirst("x-amz-content-sha256"), sha256(body));
        if (!parts.matches() || !parts.group(1).equals(key) || !sum.equals(sha256(body))) {
            return false;
        }
        String headers = Arrays.stream(parts.group(4).split(";"))
                .map(name -> name.toLowerCase(Locale.ROOT) + ":"
                        + asked.getRequestHeaders().getFirst(name).strip() + "\n")
                .collect(Collectors.joining());
        String request = String.join(
                "\n",
                asked.getRequestMethod(),
                asked.getRequestURI().getRawPath(),
                Objects.requireNonNullElse(asked.getRequestURI().getRawQuery(), ""),
                headers,
                parts.group(4),
                sum);
        String scope = parts.group(2) + "/" + parts.group(3) + "/s3/aws4_request";
        String toSign = String.join(
                "\n",
                "AWS4-HMAC-SHA256",
                asked.getRequestHeaders().getFirst("x-amz-date"),
                scope,
                sha256(request.getBytes(StandardCharsets.UTF_8)));
        byte[] signing = mac(
                mac(mac(mac(("AWS4" + secret).getBytes(StandardCharsets.UTF_8), parts.group(2)), parts.group(3)), "s3"),
                "aws4_request");
        return HexFormat.of().formatHex(mac(signing, toSign)).equals(parts.group(5));
    }

    private static byte[] mac(byte[] key, String text) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(key, "HmacSHA256"));
            return mac.doFinal(text.getBytes(StandardCharsets.UTF_8));
        } catch (GeneralSecurityException missing) {
            throw new IllegalStateException(missing);
        }
    }

    private static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (GeneralSecurityException missing) {
            throw new IllegalStateException(missing);
        }
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
