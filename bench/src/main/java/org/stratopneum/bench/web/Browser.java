package org.stratopneum.bench.web;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.WebSocket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;

/** One rider's browser: it keeps its cookies, and sends the token that forms carry. Answers other than 200 and 302 are faults. */
final class Browser {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Duration PATIENCE = Duration.ofSeconds(60);
    private static final int OK = 200;
    private static final int FOUND = 302;

    private final HttpClient client;
    private final String address;
    private String token;

    /** @param address of the application, without a last slash */
    Browser(String address) {
        this(
                address,
                HttpClient.newBuilder()
                        .version(HttpClient.Version.HTTP_1_1)
                        .cookieHandler(new CookieManager())
                        .build());
    }

    private Browser(String address, HttpClient client) {
        this.address = address;
        this.client = client;
    }

    /** The same one with the same cookies, at another port of the same host. */
    Browser at(String other) {
        return new Browser(other, client);
    }

    /** Listens at a WebSocket. @return how many messages came, while they come */
    AtomicInteger listen(String path) {
        AtomicInteger heard = new AtomicInteger();
        client.newWebSocketBuilder()
                .header("Origin", address)
                .buildAsync(URI.create(address.replaceFirst("http", "ws") + path), new WebSocket.Listener() {
                    @Override
                    public CompletionStage<?> onText(WebSocket socket, CharSequence text, boolean last) {
                        heard.incrementAndGet();
                        return WebSocket.Listener.super.onText(socket, text, last);
                    }
                })
                .join();
        return heard;
    }

    /**
     * What came back.
     *
     * @param location where it leads to, without the host; empty where it is a page
     * @param bytes as they came over the wire
     */
    record Answer(String location, String text, int bytes) {}

    CompletableFuture<Answer> get(String path) {
        return send(request(path));
    }

    /** As it is, not packed, and not looked at. */
    void discard(String path) {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + path)).build();
        int status = client.sendAsync(request, HttpResponse.BodyHandlers.discarding())
                .join()
                .statusCode();
        if (status != OK) {
            throw new IllegalStateException(path + " answered " + status);
        }
    }

    /** A form is sent, and what it leads to is not asked for. */
    CompletableFuture<Answer> post(String path, Map<String, String> fields) {
        String form = fields.entrySet().stream()
                .map(field -> field.getKey() + '=' + URLEncoder.encode(field.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&", "", "&_csrf=" + URLEncoder.encode(token(), StandardCharsets.UTF_8)));
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(form)));
    }

    /** The same, and the page that it leads to. */
    CompletableFuture<Answer> postAndFollow(String path, Map<String, String> fields) {
        return post(path, fields).thenCompose(answer -> get(answer.location()));
    }

    CompletableFuture<Answer> upload(String path, Map<String, String> fields, String file, String content) {
        String line = "--piece\r\nContent-Disposition: form-data; name=";
        StringBuilder body = new StringBuilder();
        fields.forEach((name, value) -> body.append(line + '"' + name + "\"\r\n\r\n" + value + "\r\n"));
        body.append(line + "\"_csrf\"\r\n\r\n" + token() + "\r\n" + line + "\"file\"; filename=\"" + file
                + "\"\r\nContent-Type: text/csv\r\n\r\n" + content + "\r\n--piece--\r\n");
        return send(request(path)
                .header("Content-Type", "multipart/form-data; boundary=piece")
                .POST(HttpRequest.BodyPublishers.ofString(body.toString())));
    }

    /** @throws IllegalStateException where that is not the rider */
    void signIn(String name, String password) {
        Answer answer =
                post("/sign-in", Map.of("name", name, "password", password)).join();
        if (!answer.location().endsWith("/")) {
            throw new IllegalStateException(name + " was not let in: " + answer.text());
        }
        // it is another one in another session
        token = null;
    }

    private String token() {
        if (token == null) {
            token = first(TOKEN, get("/sign-in").join().text());
        }
        return token;
    }

    static String first(Pattern pattern, String text) {
        Matcher found = pattern.matcher(text);
        if (!found.find()) {
            throw new IllegalStateException("no " + pattern + " in " + text);
        }
        return found.group(1);
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Accept", "text/html, */*")
                .header("Accept-Encoding", "gzip")
                .timeout(PATIENCE);
    }

    private CompletableFuture<Answer> send(HttpRequest.Builder request) {
        return client.sendAsync(request.build(), HttpResponse.BodyHandlers.ofByteArray())
                .thenApply(Browser::read);
    }

    private static Answer read(HttpResponse<byte[]> answer) {
        if (answer.statusCode() != OK && answer.statusCode() != FOUND) {
            throw new IllegalStateException(answer.uri() + " answered " + answer.statusCode());
        }
        boolean zipped = answer.headers().firstValue("Content-Encoding").isPresent();
        try (GZIPInputStream in = zipped ? new GZIPInputStream(new ByteArrayInputStream(answer.body())) : null) {
            return new Answer(
                    answer.headers()
                            .firstValue("Location")
                            .map(Browser::withoutHost)
                            .orElse(""),
                    new String(zipped ? in.readAllBytes() : answer.body(), StandardCharsets.UTF_8),
                    answer.body().length);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    private static String withoutHost(String location) {
        URI uri = URI.create(location);
        return uri.getRawQuery() == null ? uri.getRawPath() : uri.getRawPath() + '?' + uri.getRawQuery();
    }
}
