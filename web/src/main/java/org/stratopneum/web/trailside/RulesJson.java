package org.stratopneum.web.trailside;

import java.util.List;
import java.util.Map;

/**
 * The ladder as a device keeps it: rules and words made by the core, nothing of anybody.
 *
 * @param facts how each fact is told
 * @param air what is reckoned with
 * @param limps facts that turn riding on into riding home gently
 * @param ends each with its words
 * @param gas what gas asks for, in its order
 * @param words the words of the page
 * @param tires budgets of common sizes, for whoever has no bike here
 */
record RulesJson(
        Map<String, Object> facts,
        List<Rung> rungs,
        Air air,
        List<String> limps,
        Map<String, End> ends,
        List<Choice> wheres,
        List<Choice> sizes,
        List<Choice> items,
        List<Choice> pumps,
        Map<String, String> goals,
        List<Chore> chores,
        List<DeviceDataJson.Unit> units,
        List<String> gas,
        Map<String, String> words,
        List<Tire> tires) {

    /**
     * The numbers of the core that the script reckons with.
     *
     * @param empty share left below which a cartridge is empty, {@code full} above which it is full (ratios)
     * @param delivered how much of a cartridge gets in: low, likely, best (ratios)
     * @param nothingG what is a rounding error (g), {@code nothingKpa} the same of a pressure (kPa)
     * @param enough goal that is enough to ride on
     * @param mostReadingKpa no tire holds more (kPa)
     */
    record Air(
            double empty,
            double full,
            Delivered delivered,
            double nothingG,
            double nothingKpa,
            String enough,
            List<Integer> cartridgesG,
            int usualG,
            double mostReadingKpa) {}

    record Delivered(double low, double likely, double best) {}

    record Rung(
            String code,
            String title,
            String how,
            String stop,
            List<String> when,
            String uses,
            String usesWords,
            String air,
            boolean gasOnly,
            int seconds,
            Choice symbol,
            List<Choice> cautions,
            List<Reply> replies) {}

    record Reply(String code, String words, List<String> notes, String end, boolean airGone) {}

    record End(String words, String how, List<Choice> cautions) {}

    record Choice(String code, String words) {}

    record Chore(String code, String words, String why, List<String> when) {}

    record Tire(String size, String name, AirJson air) {}
}
