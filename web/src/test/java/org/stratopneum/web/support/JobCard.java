package org.stratopneum.web.support;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A job card as somebody goes through it by plain HTTP. */
public final class JobCard {

    private static final Pattern STEP = Pattern.compile("name=\"step\" value=\"([^\"]+)\"");
    private static final Pattern WHEEL = Pattern.compile("name=\"wheel\" value=\"([^\"]+)\"");
    private static final Pattern USUAL =
            Pattern.compile("name=\"answer\"[^>]*?value=\"([A-Z_]+)\"|value=\"([A-Z_]+)\"[^>]*?name=\"answer\"");
    private static final int MOST_STEPS = 120;

    private final Guest rider;
    private final String path;

    private JobCard(Guest rider, String path) {
        this.rider = rider;
        this.path = path;
    }

    /** Begins a card on the wheel {@code /wheels/...}; pairs are fields of its form. */
    public static JobCard begin(Guest rider, String wheel, String job, String... pairs) {
        var answer = rider.post(wheel + "/cards/new?job=" + job, wheel + "/cards", fields(job, pairs));
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("not begun: " + answer.body());
        }
        return new JobCard(
                rider, answer.headers().firstValue("Location").orElseThrow().replaceAll("^https?://[^/]+", ""));
    }

    /** The fields of a card's form as somebody with an injector and disc brakes fills them in, and {@code pairs}. */
    public static Map<String, String> fields(String job, String... pairs) {
        Map<String, String> fields = new HashMap<>(Map.of(
                "job",
                job,
                "newId",
                UUID.randomUUID().toString(),
                "disc",
                "on",
                "coreRemovable",
                "on",
                "injector",
                "on",
                "overnight",
                "on",
                "school",
                "USUAL",
                "dose",
                "STANDARD",
                "tapeStart",
                "OPPOSITE",
                "tubeKind",
                "BUTYL_TUBE"));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return fields;
    }

    /** The same card on another device, or another server. */
    public JobCard on(Guest other) {
        return new JobCard(other, path);
    }

    public String path() {
        return path;
    }

    public String page() {
        return rider.get(path).body();
    }

    /** The id of the step that is open, empty at the end. */
    public String step() {
        return first(STEP, openPart());
    }

    public String wheel() {
        return first(WHEEL, openPart());
    }

    /** The form with which the open step is answered. */
    private String openPart() {
        String page = page();
        int from = page.indexOf("card-answers");
        return from < 0 ? "" : page.substring(from, page.indexOf("</form>", from));
    }

    private static String first(Pattern pattern, String text) {
        Matcher found = pattern.matcher(text);
        if (!found.find()) {
            return "";
        }
        return found.group(1) == null ? found.group(2) : found.group(1);
    }

    /** Answers the open step; the page that came back. */
    public HttpResponse<String> answer(String... pairs) {
        return answerStep(step(), pairs);
    }

    public HttpResponse<String> answerStep(String step, String... pairs) {
        Map<String, String> fields = new HashMap<>(Map.of("wheel", wheel(), "step", step, "unit", "KPA"));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return rider.post(path, path + "/answers", fields);
    }

    /** Goes on with the usual answers until {@code step} is open. */
    public void goTo(String step) {
        for (int i = 0; i < MOST_STEPS; i++) {
            String open = step();
            if (open.equals(step)) {
                return;
            }
            if (open.isEmpty()) {
                throw new IllegalStateException("ended before " + step + ": " + page());
            }
            usual(open);
        }
        throw new IllegalStateException("never came to " + step);
    }

    /** Goes on with the usual answers to the end. */
    public void goToTheEnd() {
        for (int i = 0; i < MOST_STEPS && !step().isEmpty(); i++) {
            usual(step());
        }
    }

    /** The same until a wait that has to go on. */
    public void goOn() {
        for (int i = 0; i < MOST_STEPS && !step().isEmpty() && !waits(); i++) {
            usual(step());
        }
    }

    private boolean waits() {
        String form = openPart();
        return !form.contains("name=\"value\"") && first(USUAL, form).isEmpty();
    }

    private void usual(String open) {
        String form = openPart();
        if (form.contains("name=\"value\"")) {
            answerStep(open, "value", form.contains("Went in") ? "60" : "150", "temperature", "20");
        } else {
            String answer = first(USUAL, form);
            if (answer.isEmpty()) {
                throw new IllegalStateException("nothing to answer at " + open);
            }
            answerStep(open, "answer", answer);
        }
    }
}
