package org.stratopneum.bench.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What one rider asks for in a day: the pages, and readings that are written. */
final class Day {

    private static final Pattern FORM =
            Pattern.compile("action=\"(/bikes/[^\"]+/readings)\".*?</form>", Pattern.DOTALL);
    private static final Pattern TOLD = Pattern.compile("name=\"told(Rear|Front)\" value=\"([\\d.]+)\"");
    private static final Pattern WHEEL = Pattern.compile("href=\"(/wheels/[0-9a-f-]{36})\"");
    private static final Pattern STYLES = Pattern.compile("href=\"(/assets/[^\"]+\\.css)\"");

    private final Browser browser;
    private final Random random;
    private final List<String> wheels = new ArrayList<>();
    private final List<Bike> bikes = new ArrayList<>();
    private final String styles;

    /** A bike that pressures are written for, with what is recommended. */
    private record Bike(String action, double rear, double front) {}

    /** What is asked for: how often among 200, and whether it is a page that goals are set for. */
    enum Kind {
        HOME(80, true),
        WRITE(30, false),
        TODO(20, true),
        MONTH(10, true),
        WHEEL(10, true),
        SEALANT(10, true),
        AIR_LOSS(10, true),
        HISTORY(10, true),
        LOG(20, false),
        STATIC(20, false);

        private final int share;
        private final boolean judged;

        Kind(int share, boolean judged) {
            this.share = share;
            this.judged = judged;
        }

        int share() {
            return share;
        }

        boolean judged() {
            return judged;
        }

        String said() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }
    }

    /** @param browser of somebody who is signed in, or at the demo */
    Day(Browser browser, long seed) {
        this.browser = browser;
        random = new Random(seed);
        String home = browser.get("/").join().text();
        Matcher wheel = WHEEL.matcher(browser.get("/garage").join().text() + home);
        while (wheel.find()) {
            if (!wheels.contains(wheel.group(1))) {
                wheels.add(wheel.group(1));
            }
        }
        Matcher form = FORM.matcher(home);
        while (form.find()) {
            Map<String, Double> told = new TreeMap<>();
            Matcher value = TOLD.matcher(form.group());
            while (value.find()) {
                told.put(value.group(1), Double.valueOf(value.group(2)));
            }
            if (told.size() == 2) {
                bikes.add(new Bike(form.group(1), told.get("Rear"), told.get("Front")));
            }
        }
        styles = Browser.first(STYLES, home);
    }

    int wheels() {
        return wheels.size();
    }

    int bikes() {
        return bikes.size();
    }

    /** Chosen now, sent when it is asked for. */
    Supplier<CompletableFuture<Browser.Answer>> request(Kind kind) {
        String wheel = wheels.get(random.nextInt(wheels.size()));
        return switch (kind) {
            case HOME -> () -> browser.get("/");
            case TODO -> () -> browser.get("/todo");
            case MONTH -> () -> browser.get("/todo/month");
            case WHEEL -> () -> browser.get(wheel);
            case SEALANT -> () -> browser.get(wheel + "/sealant");
            case AIR_LOSS -> () -> browser.get(wheel + "/leaks");
            case HISTORY -> () -> browser.get(wheel + "/history");
            case LOG -> () -> browser.get("/log");
            // the largest of them: what this machine takes for an answer that needs no work at the time
            case STATIC -> () -> browser.get(styles);
            case WRITE -> {
                Bike bike = bikes.get(random.nextInt(bikes.size()));
                Map<String, String> reading = reading(bike);
                yield () -> browser.postAndFollow(bike.action, reading).thenApply(page -> {
                    if (!page.text().contains("Saved")) {
                        throw new IllegalStateException("a reading was not saved");
                    }
                    return page;
                });
            }
        };
    }

    /** A reading alone, without the page that comes then. */
    Supplier<CompletableFuture<Browser.Answer>> reading() {
        Bike bike = bikes.get(random.nextInt(bikes.size()));
        Map<String, String> reading = reading(bike);
        return () -> browser.post(bike.action, reading);
    }

    /** Writes a reading, and looks whether the log that is asked for right then has it. */
    boolean isReadBack() {
        Bike bike = bikes.get(random.nextInt(bikes.size()));
        Map<String, String> reading = reading(bike);
        browser.post(bike.action, reading).join();
        return browser.get("/log").join().text().contains(reading.get("rearEntry"));
    }

    private Map<String, String> reading(Bike bike) {
        double off = random.nextInt(5) / 2.0 - 1;
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("unit", "PSI");
        fields.put("state", "FOUND");
        fields.put("rearEntry", UUID.randomUUID().toString());
        fields.put("frontEntry", UUID.randomUUID().toString());
        fields.put("rear", String.valueOf(bike.rear + off));
        fields.put("front", String.valueOf(bike.front + off));
        return fields;
    }
}
