package org.stratopneum.web.log;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.util.MultiValueMap;
import org.springframework.web.util.UriUtils;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;

/** What is asked of the log in its address: the address says all of it, so that it can be kept and sent. */
final class LogQuery {

    private static final Pattern ABOUT =
            Pattern.compile("(bike|wheel|tire)-([0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12})");
    private static final String TOPIC = "topic";
    private static final List<String> FIELDS = List.of("words", "about", "since", "until", "deleted");
    private static final int LONGEST = 200;

    private final FormReader reader;
    private final Set<LogTopic> topics;

    LogQuery(MultiValueMap<String, String> asked) {
        reader = new FormReader(asked.toSingleValueMap());
        topics = new TreeSet<>();
        asked.getOrDefault(TOPIC, List.of()).stream()
                .flatMap(name -> List.of(LogTopic.values()).stream()
                        .filter(one -> one.name().equals(name)))
                .forEach(topics::add);
    }

    /** What to look for; empty with faults in {@link #reader()}. */
    Optional<LogFilter> filter(ZoneId zone) {
        String words = reader.name("words", LONGEST).orElse("");
        Optional<LocalDate> first = reader.day("since");
        Optional<LocalDate> last = reader.day("until");
        if (first.isPresent() && last.isPresent() && last.get().isBefore(first.get())) {
            reader.fault("until", "log-until-before-since", first.get());
        }
        Matcher about = ABOUT.matcher(reader.text("about"));
        boolean one = about.matches();
        if (!one && !reader.isBlank("about")) {
            reader.fault("about", "unknown-value");
        }
        if (!reader.problems().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new LogFilter(
                words,
                LogTopic.kindsOf(topics),
                one ? idOf("bike", about) : null,
                one ? idOf("wheel", about) : null,
                one ? idOf("tire", about) : null,
                first.map(day -> start(day, zone)).orElse(null),
                last.map(day -> start(day.plusDays(1), zone)).orElse(null),
                reader.ticked("deleted")));
    }

    private static UUID idOf(String what, Matcher about) {
        return about.group(1).equals(what) ? UUID.fromString(about.group(2)) : null;
    }

    private static Instant start(LocalDate day, ZoneId zone) {
        return day.atStartOfDay(zone).toInstant();
    }

    FormReader reader() {
        return reader;
    }

    FormView form(Map<String, String> faults) {
        return new FormView(reader.typed(), faults);
    }

    boolean asks(LogTopic topic) {
        return topics.contains(topic);
    }

    /** Whether anything is asked at all. */
    boolean narrows() {
        return !topics.isEmpty() || FIELDS.stream().anyMatch(field -> !reader.isBlank(field));
    }

    /** The fields of the address that are filled in, topics once for each. */
    List<Map.Entry<String, String>> fields() {
        List<Map.Entry<String, String>> fields = new ArrayList<>();
        FIELDS.stream()
                .filter(field -> !reader.isBlank(field))
                .forEach(field -> fields.add(Map.entry(field, reader.text(field))));
        topics.forEach(topic -> fields.add(Map.entry(TOPIC, topic.name())));
        return fields;
    }

    /** The page that asks for a topic too, or no longer where it is asked for. */
    String toggled(LogTopic topic) {
        List<Map.Entry<String, String>> fields = new ArrayList<>(fields());
        Map.Entry<String, String> field = Map.entry(TOPIC, topic.name());
        if (!fields.remove(field)) {
            fields.add(field);
        }
        return addressOf(fields.stream());
    }

    /** The page that asks the same without a field. */
    String without(String field) {
        return addressOf(fields().stream().filter(one -> !one.getKey().equals(field)));
    }

    /**
     * The page of the log that asks the same, and more.
     *
     * @param more further fields, each with its value
     */
    String address(List<Map.Entry<String, String>> more) {
        return addressOf(Stream.concat(fields().stream(), more.stream()));
    }

    private static String addressOf(Stream<Map.Entry<String, String>> fields) {
        String asked = fields.map(
                        field -> field.getKey() + "=" + UriUtils.encode(field.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return asked.isEmpty() ? "/log" : "/log?" + asked;
    }
}
