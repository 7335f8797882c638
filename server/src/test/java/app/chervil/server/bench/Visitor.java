package app.chervil.server.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.net.http.HttpResponse.BodySubscriber;
import java.net.http.HttpResponse.BodySubscribers;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Flow;

/** Somebody who asks a server over HTTP, with cookies of their own. */
final class Visitor {
    private static final Duration PATIENCE = Duration.ofSeconds(30);

    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .connectTimeout(Duration.ofSeconds(5))
            .build();

    Visitor(String base) {
        this.base = base;
    }

    String get(String path) throws Exception {
        return ask("GET", path, "");
    }

    /** Sends a request and takes nothing but success for an answer. */
    String ask(String method, String path, String body) throws Exception {
        HttpResponse<String> answer = send(method, path, body);
        if (answer.statusCode() >= 300) {
            throw new IllegalStateException(method + " " + path + ": " + answer.statusCode() + " " + answer.body());
        }
        return answer.body();
    }

    HttpResponse<String> send(String method, String path, String body) throws IOException, InterruptedException {
        return send(method, path, body, "application/json");
    }

    HttpResponse<String> send(String method, String path, String body, String type)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .timeout(PATIENCE)
                .header("Content-Type", type)
                .method(method, body.isEmpty() ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
        cookie("XSRF-TOKEN").ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return client.send(request.build(), Visitor::whole);
    }

    /** All of an answer; a stream that never ends is hung up on once it has begun. */
    private static BodySubscriber<String> whole(HttpResponse.ResponseInfo answer) {
        boolean endless = answer.headers()
                .firstValue("Content-Type")
                .filter(type -> type.startsWith("text/event-stream"))
                .isPresent();
        return endless ? new HangingUp() : BodySubscribers.ofString(StandardCharsets.UTF_8);
    }

    private static final class HangingUp implements BodySubscriber<String> {
        @Override
        public CompletionStage<String> getBody() {
            return CompletableFuture.completedFuture("");
        }

        @Override
        public void onSubscribe(Flow.Subscription subscription) {
            subscription.cancel();
        }

        @Override
        public void onNext(List<ByteBuffer> item) {}

        @Override
        public void onError(Throwable problem) {}

        @Override
        public void onComplete() {}
    }

    /** Sends bytes as they are, with a token of one's choice. */
    HttpResponse<String> sendBytes(String method, String path, byte[] body, String type, String token)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                .timeout(PATIENCE)
                .header("Content-Type", type)
                .header("X-XSRF-TOKEN", token)
                .method(method, BodyPublishers.ofByteArray(body));
        return client.send(request.build(), BodyHandlers.ofString());
    }

    Optional<String> cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst();
    }

    /** Puts a cookie in place of the one that was given. */
    void forge(String name, String value) {
        HttpCookie forged = new HttpCookie(name, value);
        forged.setPath("/");
        forged.setVersion(0);
        cookies.getCookieStore().add(URI.create(base), forged);
    }
}
