package org.stratopneum.web.log;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.stratopneum.web.platform.wording.FormView;

/**
 * A page of the log as it is shown.
 *
 * @param days entries by day, newest first
 * @param photos pictures by entry
 * @param kept what was asked, field by field, for the forms that lead back here
 * @param chips what is asked beside words and topics, each with the address that no longer asks it
 * @param narrowed whether anything is asked, so that an empty page means that nothing is found
 * @param select the address where several entries are chosen at once, or null where they are
 * @param older address of the page of older entries, or null at the end
 * @param newest address of the first page, or null on it
 * @param outcome what was just struck through or put back, or null
 * @param choices what may be asked about, in groups
 */
public record LogListPage(
        FormView form,
        List<Topic> topics,
        Map<String, List<Choice>> choices,
        List<Day> days,
        Map<UUID, List<Photo>> photos,
        List<Map.Entry<String, String>> kept,
        List<Chip> chips,
        boolean narrowed,
        String select,
        String older,
        String newest,
        LogOutcome outcome) {

    /** A topic; {@code address} asks for it, or no longer where it is asked for. */
    public record Topic(LogTopic topic, boolean ticked, String address) {}

    /** Something that is asked, and the address without it. */
    public record Chip(String words, String address) {}

    /** Something that an entry may be about. */
    public record Choice(String value, String words, boolean chosen) {}

    /** The entries of a day, by bike. */
    public record Day(String day, List<OfBike> bikes) {}

    /** The entries of a bike on a day. */
    public record OfBike(String bike, List<LogLine> lines) {}

    /** A picture beside an entry. */
    public record Photo(UUID entry, UUID id, int width, int height) {}

    /** The bikes of the choices, for what is added. */
    public List<Choice> bikes() {
        return choices.values().stream()
                .flatMap(List::stream)
                .filter(choice -> choice.value().startsWith("bike-"))
                .toList();
    }

    /** Whether any filter beyond the words is set, so that it stands open. */
    public boolean open() {
        return form.faulty();
    }
}
