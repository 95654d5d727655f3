package org.stratopneum.core.check;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Objects;

/**
 * What a rule says of a combination. The code names the rule; the details are the quantities its wording needs, in an
 * order that belongs to the code. What would make it fine is worded from the same code and details.
 *
 * @param level how much stands against it
 * @param code kebab-case name of the rule
 * @param details quantities, ratios (as Double) and enum values, null where one does not exist
 */
public record Verdict(Level level, String code, List<Object> details) {

    public Verdict {
        Objects.requireNonNull(level, "level");
        Objects.requireNonNull(code, "code");
        // Arrays.asList and not List.copyOf: a detail may be null ("no such width")
        details = Collections.unmodifiableList(Arrays.asList(details.toArray()));
    }

    public static Verdict of(Level level, String code, Object... details) {
        return new Verdict(level, code, Arrays.asList(details));
    }
}
