package org.stratopneum.web.intake;

import java.time.Instant;
import java.util.UUID;

/**
 * A file that is brought in.
 *
 * @param settings how it is to be understood, as JSON
 * @param bytesRead how many bytes were read so far
 * @param faults the first faults, as JSON
 * @param notes what else is to be known, as JSON
 * @param lastSequence of the log when it was in, or null
 * @param leavesOut whether rows with faults are left out and the others brought in, or nothing is
 * @param beatAt when whoever reads it was last seen
 */
public record ImportRun(
        UUID id,
        ImportFormat format,
        String fileName,
        long bytes,
        String settings,
        State state,
        long bytesRead,
        int rowsRead,
        int added,
        int repeated,
        int faultCount,
        String faults,
        String notes,
        boolean wasEmpty,
        Long lastSequence,
        boolean leavesOut,
        Instant madeAt,
        Instant beatAt,
        int version) {

    /** How far it has come. */
    public enum State {
        RECEIVED,
        CHECKING,
        CHECKED,
        RUNNING,
        DONE,
        FAILED,
        UNDONE;

        /** Whether somebody reads the file. */
        public boolean busy() {
            return this == CHECKING || this == RUNNING;
        }
    }

    /** Share of the file that was read (%). */
    public int percent() {
        return (int) Math.min(100, 100 * bytesRead / bytes);
    }
}
