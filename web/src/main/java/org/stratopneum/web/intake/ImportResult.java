package org.stratopneum.web.intake;

import java.util.List;

/**
 * What came of reading a file.
 *
 * @param added entries and things that were not there before
 * @param repeated those that were
 * @param faultCount how many faults there are
 * @param faults the first of them
 */
public record ImportResult(int rows, int added, int repeated, int faultCount, List<ImportFault> faults) {

    public boolean fine() {
        return faultCount == 0;
    }
}
