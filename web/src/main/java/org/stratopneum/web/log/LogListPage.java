package org.stratopneum.web.log;

import java.util.List;
import java.util.Map;
import org.stratopneum.web.platform.wording.FormView;

/**
 * A page of the log as it is shown.
 *
 * @param days entries by day, newest first
 * @param kept what was asked, field by field, for the forms that lead back here
 * @param narrowed whether anything is asked, so that an empty page means that nothing is found
 * @param older address of the page of older entries, or null at the end
 * @param newest address of the first page, or null on it
 * @param outcome what was just struck through or put back, or null
 * @param choices what may be asked about, in groups
 */
public record LogListPage(
        FormView form,
        List<Topic> topics,
        Map<String, List<Choice>> choices,
        Map<String, List<LogLine>> days,
        List<Map.Entry<String, String>> kept,
        boolean narrowed,
        String older,
        String newest,
        LogOutcome outcome) {

    /** A topic to tick. */
    public record Topic(LogTopic topic, boolean ticked) {}

    /** Something that an entry may be about. */
    public record Choice(String value, String words, boolean chosen) {}

    /** Whether any filter beyond the words is set, so that it stands open. */
    public boolean open() {
        return kept.stream().anyMatch(field -> !field.getKey().equals("words"));
    }
}
