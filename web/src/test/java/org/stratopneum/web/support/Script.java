package org.stratopneum.web.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A program with a token of a guest's, as far as plain HTTP goes. */
public final class Script {

    private static final Pattern FRESH = Pattern.compile("id=\"fresh\">([A-Za-z0-9_-]+)<");

    private final Site site;
    private final String authorization;
    private final HttpClient client = HttpClient.newHttpClient();

    /** @param token to be sent as it is */
    public Script(Site site, String token) {
        this.site = site;
        this.authorization = "Bearer " + token;
    }

    /**
     * Makes a token on the guest's page of tokens.
     *
     * @param scopes what it may: read, append, garage, due
     */
    public static Script of(Site site, Guest guest, String... scopes) {
        Map<String, String> fields =
                new HashMap<>(Map.of("newId", UUID.randomUUID().toString(), "name", "Gauge"));
        List.of(scopes).forEach(scope -> fields.put(scope, "on"));
        Matcher fresh = FRESH.matcher(guest.post("/tokens", fields).body());
        if (!fresh.find()) {
            throw new IllegalStateException("no token was made");
        }
        return new Script(site, fresh.group(1));
    }

    /** The header that it sends. */
    public String authorization() {
        return authorization;
    }

    public HttpResponse<String> get(String path) {
        return send(request(path).GET());
    }

    public HttpResponse<String> post(String path, String json) {
        return send(request(path)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(json)));
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(site.address() + path)).header("Authorization", authorization);
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return client.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        } catch (InterruptedException exception) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(exception);
        }
    }
}
