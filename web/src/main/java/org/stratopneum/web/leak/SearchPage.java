package org.stratopneum.web.leak;

import java.util.List;
import java.util.UUID;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.platform.drawing.WheelMapDrawing;
import org.stratopneum.web.platform.wording.FormView;

/**
 * How a search stands, in words.
 *
 * @param head what stands over the pages of its wheel, or null for a visitor
 * @param wheel the wheel that it is about, or null for a visitor
 * @param acts where its buttons lead
 * @param cautions what could hurt somebody by what was seen
 * @param look the check to be made now, or null
 * @param mend what to mend now, or null
 * @param end how it ended, or null while it goes on
 * @param others checks that may be made instead
 * @param notes what is worth knowing beside the next step
 * @param two that there may be two causes
 * @param progress how far it is, and what it likely still takes; null at its end
 * @param tested what a hold test has said since, or null
 * @param hole where a hole in a tube lies, or null
 */
record SearchPage(
        WheelHead head,
        UUID wheel,
        String title,
        Acts acts,
        List<String> cautions,
        Look look,
        Mend mend,
        End end,
        List<Other> others,
        List<Ranked> ranking,
        String own,
        List<String> notes,
        String two,
        List<Said> said,
        WheelMap map,
        Hole hole,
        String progress,
        boolean nameFirst,
        String tested,
        List<Named> causes) {

    /** The act that takes the last answer back, or null while there is none. */
    public String undo() {
        return said.isEmpty() ? null : said.get(said.size() - 1).back();
    }

    /**
     * @param method of the form, "post" or "get"
     * @param path of what a button does, {@code spots} of what marks a place, {@code here} of the page
     * @param kept fields that go with each
     */
    record Acts(String method, String path, String spots, String here, List<SearchAddress.Field> kept) {}

    /**
     * A check to be made.
     *
     * @param caution what could hurt somebody, or null
     * @param symbol the drawing of what is looked at
     * @param prospects what each answer would mean
     */
    record Look(
            String code,
            String title,
            String how,
            String cost,
            String caution,
            String symbol,
            String why,
            List<Button> answers,
            String notHere,
            List<String> prospects) {}

    /** @param symbol the drawing of what is seen then, or null */
    record Button(String act, String text, String symbol) {}

    /**
     * What to mend.
     *
     * @param likely how likely it is, in words
     * @param jobs the cards that mend it; for a visitor their names only
     * @param inVain the act that says that it lost air after all
     */
    record Mend(
            String cause,
            String title,
            String likely,
            String fix,
            List<String> cautions,
            String why,
            List<Card> jobs,
            boolean rides,
            String inVain) {}

    record Card(Job job, String name) {}

    /**
     * @param caution what could hurt somebody who rides on, or null
     * @param entry of the log, or null where it was given up
     */
    record End(String text, String caution, UUID entry, boolean reopens) {}

    record Other(String code, String title, String cost) {}

    /**
     * A cause, or several that look alike, with how likely it is.
     *
     * @param width of its bar (0 to 100)
     */
    record Ranked(String name, String percent, double width, String signs, List<String> reasons) {}

    /** Something that was said, with the act that takes it back. */
    record Said(String text, String back) {}

    /**
     * @param spots what was marked, each with the act that takes it away
     * @param spokes how many there are to choose from, or null where nobody counted
     */
    record WheelMap(WheelMapDrawing drawing, List<Said> spots, List<Named> zones, Integer spokes) {}

    /** @param places what lies there, in words; empty while nobody said an hour */
    record Hole(FormView form, List<String> places) {}

    record Named(String code, String name) {}
}
