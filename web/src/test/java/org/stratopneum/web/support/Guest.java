package org.stratopneum.web.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Somebody with a browser of their own, as far as plain HTTP goes: keeps cookies, sends forms with their token. */
public final class Guest {

    /** Cookie of the token that forms carry. */
    private static final String TOKEN = "stratopneum-form";

    /** Of every account. */
    public static final String PASSWORD = "lichen on the north wall";

    private final Site site;
    private final CookieManager cookies;
    private final HttpClient client;
    private String name;

    public Guest(Site site) {
        this(site, new CookieManager());
    }

    private Guest(Site site, CookieManager cookies) {
        this.site = site;
        this.cookies = cookies;
        this.client = HttpClient.newBuilder().cookieHandler(cookies).build();
    }

    /** What their browser keeps. */
    public List<HttpCookie> cookies() {
        return cookies.getCookieStore().getCookies();
    }

    /** The same browser at another server: the cookies go with it. */
    public Guest at(Site other) {
        Guest there = new Guest(other, cookies);
        there.name = name;
        return there;
    }

    /** A guest with an account of their own and nothing in it; the demo garage is shut for them. */
    public static Guest withAccount(Site site) {
        return withAccount(site, Map.of());
    }

    /** @param more further fields of the form */
    public static Guest withAccount(Site site, Map<String, String> more) {
        Guest guest = new Guest(site);
        Map<String, String> fields = new HashMap<>(more);
        fields.put("name", "Guest " + UUID.randomUUID().toString().substring(0, 13));
        fields.put("password", PASSWORD);
        fields.putIfAbsent("zone", "Europe/Vienna");
        guest.name = fields.get("name");
        HttpResponse<String> answer = guest.post("/sign-up", fields);
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("no account: " + answer.body());
        }
        return guest;
    }

    private static volatile JdbcTemplate accounts;

    /** Where accounts are looked up. */
    static void accountsIn(JdbcTemplate jdbc) {
        accounts = jdbc;
    }

    /** The rider whose account this guest has made. */
    public UUID riderId() {
        return accounts.queryForObject(
                "select rider_id from account_for_sign_in(?)", UUID.class, name.toLowerCase(Locale.ROOT));
    }

    public HttpResponse<String> get(String path) {
        return send(request(path).GET());
    }

    public HttpResponse<String> get(String path, String header, String value) {
        return send(request(path).header(header, value).GET());
    }

    /** What they sign in as. */
    public String name() {
        return name;
    }

    private static final Pattern OTHER_SIDE = Pattern.compile("href=\"(/wheels/[0-9a-f-]{36})\"[^>]*data-key=\"o\"");

    /** What is recommended for both wheels of a bike: the pages that its address leads to, rear first. */
    public String pressures(String path) {
        String to = get(path).headers().firstValue("Location").orElseThrow();
        String query = to.contains("?") ? to.substring(to.indexOf('?')) : "";
        String first = get(to).body();
        Matcher other = OTHER_SIDE.matcher(first);
        return other.find() ? first + get(other.group(1) + query).body() : first;
    }

    /** A file. */
    public byte[] bytes(String path) {
        try {
            return client.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        } catch (InterruptedException exception) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(exception);
        }
    }

    /** Posts a form, with the token that the pages of this browser would carry. */
    public HttpResponse<String> post(String path, Map<String, String> fields) {
        return sendForm(path, body(fields));
    }

    /** The same with a header that browsers add by themselves. */
    public HttpResponse<String> postWith(String path, Map<String, String> fields, String header, String value) {
        return send(form(path, body(fields) + "&_csrf=" + token()).header(header, value));
    }

    /** The same with cookie and field of another guest's forms, as if somebody had planted both here. */
    public HttpResponse<String> postWithTokenOf(Guest other, String path, Map<String, String> fields) {
        String token = other.token();
        HttpCookie planted = other.cookies().stream()
                .filter(kept -> kept.getName().equals(TOKEN))
                .findFirst()
                .orElseThrow();
        cookies.getCookieStore().add(URI.create(site.address()), planted);
        HttpResponse<String> answer = send(form(path, body(fields) + "&_csrf=" + token));
        cookies.getCookieStore().remove(URI.create(site.address()), planted);
        return answer;
    }

    private HttpResponse<String> sendForm(String path, String fields) {
        return send(form(path, fields + "&_csrf=" + token()));
    }

    private HttpRequest.Builder form(String path, String body) {
        return request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body));
    }

    private static String body(Map<String, String> fields) {
        return String.join(
                "&",
                fields.entrySet().stream()
                        .map(field -> Site.encode(field.getKey()) + "=" + Site.encode(field.getValue()))
                        .toList());
    }

    /**
     * What stands in the forms of this browser's pages: its cookie, masked as the application masks it, with a mask of
     * zeros. That pages carry it and that nothing is taken without it is seen in the browser and by the guard's tests.
     */
    private String token() {
        String cookie = formCookie().orElseGet(this::firstToken);
        byte[] plain = cookie.getBytes(StandardCharsets.UTF_8);
        byte[] masked = new byte[2 * plain.length];
        System.arraycopy(plain, 0, masked, plain.length, plain.length);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(masked);
    }

    /** Signed by the application, so a page must have been seen. */
    private String firstToken() {
        get("/sign-in");
        return formCookie().orElseThrow();
    }

    private Optional<String> formCookie() {
        return cookies().stream()
                .filter(kept -> kept.getName().equals(TOKEN))
                .map(HttpCookie::getValue)
                .findFirst();
    }

    /** Sends an entry as the page beside the trail does: with the token that came with what the device keeps. */
    public HttpResponse<String> sendFromDevice(String json) {
        JsonNode token =
                JsonMapper.shared().readTree(get("/trailside/mine.json").body()).get("token");
        return send(request("/trailside/log")
                .header("Content-Type", "application/json")
                .header(token.get("header").asString(), token.get("value").asString())
                .POST(HttpRequest.BodyPublishers.ofString(json)));
    }

    /**
     * Posts a form in which a field stands several times.
     *
     * @param fields the others, as in an address
     */
    public HttpResponse<String> postAll(String path, String fields, String field, List<String> values) {
        StringBuilder body = new StringBuilder(fields);
        values.forEach(value -> body.append('&').append(field).append('=').append(Site.encode(value)));
        return sendForm(path, body.toString());
    }

    /** Sends a file, as a browser does. */
    public HttpResponse<String> upload(String path, String field, String name, byte[] bytes) {
        String line = "--piece\r\nContent-Disposition: form-data; name=";
        byte[] head = (line + "\"_csrf\"\r\n\r\n" + token() + "\r\n" + line + "\"" + field + "\"; filename=\"" + name
                        + "\"\r\nContent-Type: application/gpx+xml\r\n\r\n")
                .getBytes(StandardCharsets.UTF_8);
        byte[] tail = "\r\n--piece--\r\n".getBytes(StandardCharsets.UTF_8);
        return send(request(path)
                .header("Content-Type", "multipart/form-data; boundary=piece")
                .POST(HttpRequest.BodyPublishers.ofByteArrays(List.of(head, bytes, tail))));
    }

    /** All ids that stand behind {@code prefix} in the links and forms of a page, each once, in their order. */
    public List<String> ids(String path, String prefix) {
        Matcher found = Pattern.compile(Pattern.quote(prefix) + "([0-9a-f-]{36})")
                .matcher(get(path).body());
        List<String> ids = new ArrayList<>();
        while (found.find()) {
            if (!ids.contains(found.group(1))) {
                ids.add(found.group(1));
            }
        }
        return ids;
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(site.address() + path)).header("Accept", "text/html, */*;q=0.8");
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
