package org.stratopneum.web.trailside.trailcard;

import java.util.List;
import java.util.UUID;

/**
 * What stands on a bike's folded page, in words.
 *
 * @param made the day on which it was made
 * @param wheels rear first
 * @param bag what is in the bag, or empty where nobody has counted it
 * @param gas what gas asks for, in its order; empty where there is none
 * @param ladders for each system of its wheels one
 */
record TrailCard(
        UUID bike,
        String name,
        String made,
        List<Wheel> wheels,
        List<String> bag,
        List<Ladder> ladders,
        List<String> cautions,
        List<String> gas) {

    /**
     * How large its print may be and still stand on one side.
     *
     * @return the class that sets it
     */
    public String print() {
        int steps = ladders.stream()
                .flatMap(ladder -> ladder.chapters().stream())
                .mapToInt(chapter -> chapter.steps().size())
                .sum();
        return steps > 24 ? "print-small" : steps > 14 ? "print-medium" : "print-large";
    }

    /**
     * A wheel.
     *
     * @param told what is usually set, or empty where nobody knows
     * @param scale window, told and limit drawn, or null
     */
    public record Wheel(
            String where,
            String size,
            String told,
            String beside,
            String window,
            String limit,
            Scale scale,
            List<String> air) {}

    /**
     * A scale from nothing to the limit; places along it from 0 to {@link #LENGTH}.
     *
     * @param least and {@code most} what stands at its ends
     */
    public record Scale(double low, double high, double told, String least, String most) {
        public static final int LENGTH = 200;
    }

    /** Steps for one system, part by part, with how they are read. */
    public record Ladder(String title, String how, List<Chapter> chapters) {}

    /** Part of a ladder. */
    public record Chapter(String title, List<Step> steps) {}

    /** A rung, and when to stop. */
    public record Step(String title, String stop) {}
}
