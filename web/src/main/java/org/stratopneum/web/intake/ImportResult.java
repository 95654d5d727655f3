package org.stratopneum.web.intake;

import java.util.List;
import java.util.stream.Collectors;

/**
 * What came of reading a file.
 *
 * @param added entries and things that were not there before
 * @param repeated those that were
 * @param faultCount how many faults there are
 * @param faults the first of them
 * @param leftOut numbers of the rows that are left out for their faults
 * @param notes what else is to be known: what was left out, in words
 * @param mayStand whether what was read may stay
 */
public record ImportResult(
        int rows,
        int added,
        int repeated,
        int faultCount,
        List<ImportFault> faults,
        List<Integer> leftOut,
        List<String> notes,
        boolean mayStand) {

    /** Nothing was read, for that reason. */
    static ImportResult broken(String reason) {
        return new ImportResult(0, 0, 0, 1, List.of(new ImportFault("", reason)), List.of(), List.of(), false);
    }

    public boolean fine() {
        return faultCount == 0;
    }

    /** An array as PostgreSQL writes it. */
    public String leftOutRows() {
        return leftOut.stream().map(String::valueOf).collect(Collectors.joining(",", "{", "}"));
    }
}
