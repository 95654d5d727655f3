package org.stratopneum.web.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Talks plain HTTP to the running application. */
public record Site(String address) {

    private static final HttpClient CLIENT = HttpClient.newHttpClient();
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    public HttpResponse<String> get(String path, String... headers) {
        return send(request(path, headers).GET());
    }

    /** How many bytes the answer has as it goes over the wire, head and body. */
    public int bytes(String path, String... headers) {
        try {
            HttpResponse<byte[]> answer =
                    CLIENT.send(request(path, headers).GET().build(), HttpResponse.BodyHandlers.ofByteArray());
            int head = answer.headers().map().entrySet().stream()
                    .flatMap(field -> field.getValue().stream().map(value -> field.getKey() + ": " + value + "\r\n"))
                    .mapToInt(String::length)
                    .sum();
            return head + answer.body().length;
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        } catch (InterruptedException exception) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(exception);
        }
    }

    /** Posts a form as a browser would: with the cookie and the token that the page {@code from} gave. */
    public HttpResponse<String> postForm(String from, String path, Map<String, String> fields) {
        HttpResponse<String> page = get(from);
        String cookie = page.headers().firstValue("Set-Cookie").orElseThrow().split(";", 2)[0];
        Matcher token = TOKEN.matcher(page.body());
        if (!token.find()) {
            throw new IllegalStateException("no form on " + from);
        }
        String body = form(fields) + "&_csrf=" + encode(token.group(1));
        return send(request(path, "Cookie", cookie, "Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    public HttpResponse<String> post(String path, String body, String... headers) {
        return send(request(path, headers).POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    /** Asks a calculator; the answer with its status. */
    public Answer calculate(String path, String json) {
        HttpResponse<String> response = post("/api/v1/calc" + path, json, "Content-Type", "application/json");
        return new Answer(response.statusCode(), response, JsonMapper.shared().readTree(response.body()));
    }

    /** A JSON answer. */
    public record Answer(int status, HttpResponse<String> response, JsonNode json) {}

    private HttpRequest.Builder request(String path, String... headers) {
        HttpRequest.Builder builder = HttpRequest.newBuilder(URI.create(address + path))
                .header("Accept", "text/html, application/json;q=0.9");
        return headers.length == 0 ? builder : builder.headers(headers);
    }

    private static HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return CLIENT.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        } catch (InterruptedException exception) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(exception);
        }
    }

    private static String form(Map<String, String> fields) {
        return fields.entrySet().stream()
                .map(field -> encode(field.getKey()) + "=" + encode(field.getValue()))
                .collect(Collectors.joining("&"));
    }

    public static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
