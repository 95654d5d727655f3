package org.stratopneum.web.support;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The form of the settings, filled in as a rider has it who changes one thing. */
public final class Settings {

    private static final Pattern VERSION = Pattern.compile("name=\"version\" value=\"(\\d+)\"");

    private Settings() {}

    /** @param pairs fields and what is chosen there */
    public static HttpResponse<String> choose(Guest guest, String... pairs) {
        Matcher version = VERSION.matcher(guest.get("/settings").body());
        if (!version.find()) {
            throw new IllegalStateException("the form has no version");
        }
        Map<String, String> fields = new HashMap<>(Map.of(
                "zone", "Europe/Vienna",
                "pressure", "BAR",
                "mass", "KG",
                "length", "MM",
                "volume", "ML",
                "temperature", "CELSIUS",
                "distance", "KM",
                "theme", "SYSTEM",
                "version", version.group(1)));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return guest.post("/settings", fields);
    }
}
