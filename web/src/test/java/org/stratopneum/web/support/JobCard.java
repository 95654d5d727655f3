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
        var answer = rider.post(wheel + "/jobs", fields(job, pairs));
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("not begun: " + answer.body());
        }
        return new JobCard(
                rider, answer.headers().firstValue("Location").orElseThrow().replaceAll("^https?://[^/]+", ""));
    }

    /** A card that was begun elsewhere. */
    public static JobCard at(Guest rider, String path) {
        return new JobCard(rider, path);
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

    /** The card as it stands: its page, and the form with which the open step is answered, empty at the end. */
    private record Open(String page, String form) {

        String step() {
            return first(STEP, form);
        }

        boolean waits() {
            return !form.contains("name=\"value\"") && first(USUAL, form).isEmpty();
        }
    }

    private Open open() {
        String page = page();
        int from = page.indexOf("card-answers");
        return new Open(page, from < 0 ? "" : page.substring(from, page.indexOf("</form>", from)));
    }

    /** The id of the step that is open, empty at the end. */
    public String step() {
        return open().step();
    }

    public String wheel() {
        return first(WHEEL, open().form());
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
        Open open = open();
        return answer(open, open.step(), pairs);
    }

    public HttpResponse<String> answerStep(String step, String... pairs) {
        return answer(open(), step, pairs);
    }

    private HttpResponse<String> answer(Open open, String step, String... pairs) {
        Map<String, String> fields =
                new HashMap<>(Map.of("wheel", first(WHEEL, open.form()), "step", step, "unit", "KPA"));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return rider.post(path + "/answers", fields);
    }

    /** Goes on with the usual answers until {@code step} is open. */
    public void goTo(String step) {
        for (int i = 0; i < MOST_STEPS; i++) {
            Open open = open();
            if (open.step().equals(step)) {
                return;
            }
            if (open.step().isEmpty()) {
                throw new IllegalStateException("ended before " + step + ": " + open.page());
            }
            usual(open);
        }
        throw new IllegalStateException("never came to " + step);
    }

    /** Goes on with the usual answers to the end. */
    public void goToTheEnd() {
        Open open = open();
        for (int i = 0; i < MOST_STEPS && !open.step().isEmpty(); i++) {
            usual(open);
            open = open();
        }
    }

    /** The same until a wait that has to go on. */
    public void goOn() {
        Open open = open();
        for (int i = 0; i < MOST_STEPS && !open.step().isEmpty() && !open.waits(); i++) {
            usual(open);
            open = open();
        }
    }

    private void usual(Open open) {
        if (open.form().contains("name=\"value\"")) {
            answer(open, open.step(), "value", open.form().contains("Went in") ? "60" : "150", "temperature", "20");
        } else {
            String answer = first(USUAL, open.form());
            if (answer.isEmpty()) {
                throw new IllegalStateException("nothing to answer at " + open.step());
            }
            answer(open, open.step(), "answer", answer);
        }
    }
}
