package org.stratopneum.web.support;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A file that a guest brings in, over HTTP. */
public final class Sent {

    private static final int PATIENCE = 600;
    private static final Pattern FIELD = Pattern.compile("<select[^>]* name=\"(\\w+)\".*?</select>", Pattern.DOTALL);
    private static final Pattern CHOSEN = Pattern.compile("<option value=\"([^\"]*)\" selected");
    private static final Pattern TICKED =
            Pattern.compile("<input type=\"checkbox\"[^>]* name=\"([\\w-]+)\"[^>]*checked");

    private final Guest guest;
    private final String path;

    private Sent(Guest guest, String path) {
        this.guest = guest;
        this.path = path;
    }

    /** @throws IllegalStateException when it is not received */
    public static Sent file(Guest guest, String name, byte[] bytes) {
        HttpResponse<String> answer = guest.upload("/imports?newId=" + UUID.randomUUID(), "file", name, bytes);
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("not received: " + answer.statusCode() + answer.body());
        }
        return new Sent(guest, answer.headers().firstValue("Location").orElseThrow());
    }

    public static Sent table(Guest guest, String text) {
        return file(guest, "notes.csv", text.getBytes(StandardCharsets.UTF_8));
    }

    public String path() {
        return path;
    }

    public String page() {
        return guest.get(path).body();
    }

    /** What the form says now. */
    public Map<String, String> form() {
        String page = page();
        Map<String, String> fields = new HashMap<>();
        Matcher field = FIELD.matcher(page);
        while (field.find()) {
            Matcher chosen = CHOSEN.matcher(field.group());
            fields.put(field.group(1), chosen.find() ? chosen.group(1) : "");
        }
        Matcher ticked = TICKED.matcher(page);
        while (ticked.find()) {
            fields.put(ticked.group(1), "on");
        }
        return fields;
    }

    /** Says something else of how it is to be understood. */
    public Sent understood(String... pairs) {
        Map<String, String> fields = form();
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        Matcher version = Pattern.compile("name=\"version\" value=\"(\\d+)\"").matcher(page());
        if (!version.find()) {
            throw new IllegalStateException("no form");
        }
        fields.put("version", version.group(1));
        HttpResponse<String> answer = guest.post(path, fields);
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("not understood: " + answer.statusCode());
        }
        return this;
    }

    /** Presses one of its buttons, and waits until nobody reads the file any more; the page then. */
    public String press(String button) {
        int status = guest.post(path + "/" + button, Map.of()).statusCode();
        if (status != 302) {
            throw new IllegalStateException(button + " answered " + status);
        }
        for (int i = 0; i < PATIENCE; i++) {
            String page = page();
            if (!page.contains("data-busy=\"true\"")) {
                return page;
            }
            try {
                Thread.sleep(100);
            } catch (InterruptedException exception) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(exception);
            }
        }
        throw new IllegalStateException("still being read");
    }
}
