package org.stratopneum.web.intake;

import java.util.List;

/**
 * What is asked about a file, and what is seen of it.
 *
 * @param lines what stands in it, in words
 */
public record ImportForm(List<Select> selects, List<Tick> ticks, List<String> lines) {

    /** Nothing to ask and nothing to show. */
    public static final ImportForm NOTHING = new ImportForm(List.of(), List.of(), List.of());

    /** A choice. */
    public record Select(String name, String label, List<Option> options) {}

    /** What may be chosen. */
    public record Option(String value, String words) {}

    /** Something that is brought in, or left. */
    public record Tick(String name, String label) {}

    public boolean asks() {
        return !selects.isEmpty() || !ticks.isEmpty();
    }
}
