package org.stratopneum.web.pressure.pace;

import java.util.List;
import java.util.UUID;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.platform.drawing.LossChart;
import org.stratopneum.web.platform.wording.FormView;

/**
 * All that the page says of a wheel's pace.
 *
 * @param rate how fast it loses air now, or null while nothing tells that
 * @param change that it loses more than before, or null
 * @param flat that it went flat, in words, or null
 * @param onceMore that it is to be read once more, in words, or null
 * @param unlogged what nobody can explain, or null
 * @param gone that air went at once in one of the spans, in words, or null
 * @param ahead what comes of it, in words
 * @param evening what to set now for later, in words, or null
 * @param holeForm how fast it went down, or null without a tire that goes with its rim
 * @param hole how large a hole does that, in words, or null
 * @param hold whether it held its air since it was last pumped, or null while that is not known
 * @param chart readings at 20 C since it was last pumped, or null without any; {@code chartSaid} what it shows
 * @param unit symbol of its pressures
 */
record PacePage(
        WheelHead head,
        Rate rate,
        Change change,
        String flat,
        String onceMore,
        Unlogged unlogged,
        String gone,
        List<String> ahead,
        FormView form,
        Evening evening,
        FormView holeForm,
        String hole,
        Hold hold,
        LossChart chart,
        String chartSaid,
        String unit,
        List<Span> spans,
        List<Band> bands) {

    /**
     * @param code of the shape of its class
     * @param number the percent in a day, {@code percent} with its doubt
     * @param again when to read again, or null
     */
    record Rate(
            String code,
            String word,
            String what,
            String number,
            String percent,
            String pressure,
            String half,
            String hole,
            String again) {}

    /**
     * @param still that it is normal all the same, in words, or null
     * @param near what the log holds near that day
     */
    record Change(String paces, String still, List<Near> near) {}

    record Near(UUID entry, String when, String what) {}

    /** A reading that stands too high: the entry that may be put right. */
    record Unlogged(UUID entry, String what) {}

    /** @param code of the shape of what speaks against it, or null where nothing does */
    record Evening(String set, String span, String code, String against) {}

    /**
     * Whether it holds.
     *
     * @param read the two readings
     * @param loss of a day, with its doubt
     * @param code of the state's shape
     */
    record Hold(String read, String loss, String word, String code) {}

    /** Readings between two inflations. */
    record Span(String from, String until, int readings, String fell) {}

    /** A class with its ends. */
    record Band(String word, String range, String what, boolean here) {}
}
