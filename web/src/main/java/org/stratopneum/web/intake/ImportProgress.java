package org.stratopneum.web.intake;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** How far the reading of one file has come, and what was found on the way. */
public final class ImportProgress {

    /** More faults than these are counted, not kept. */
    public static final int MOST_FAULTS = 500;

    /** More of them nobody reads. */
    private static final int MOST_NOTES = 50;

    /** Hears of it now and then. */
    public interface Listener {
        void at(int rows);
    }

    private static final int EVERY = 1000;

    private final Listener listener;
    private final long most;
    private final String tooMany;
    private final boolean dry;
    private final boolean leavesOut;
    private final List<ImportFault> faults = new ArrayList<>();
    private final Set<Integer> leftOut = new LinkedHashSet<>();
    private final Set<String> notes = new LinkedHashSet<>();
    private boolean stopped;
    private int faultCount;
    private int rows;
    private int added;
    private int repeated;

    /**
     * @param most rows that may be read
     * @param tooMany what is said where there are more
     * @param dry whether the file is only checked
     * @param leavesOut whether a row with faults is left out and the others are brought in
     */
    public ImportProgress(Listener listener, long most, String tooMany, boolean dry, boolean leavesOut) {
        this.dry = dry;
        this.leavesOut = leavesOut;
        this.listener = listener;
        this.most = most;
        this.tooMany = tooMany;
    }

    /**
     * One more row was read.
     *
     * @throws ImportStoppedException when it is one too many
     */
    public void row() {
        if (rows >= most) {
            throw new ImportStoppedException("", tooMany);
        }
        rows++;
        if (rows % EVERY == 0) {
            listener.at(rows);
        }
    }

    /** Whether the file is only checked: what is written is not kept, and need not be where it is counted otherwise. */
    public boolean dry() {
        return dry;
    }

    /** So many of the rows were new, and so many stood there already. */
    public void count(int fresh, int known) {
        added += fresh;
        repeated += known;
    }

    /** Something is wrong with a file that is brought in whole or not at all. */
    public void fault(String where, String what) {
        stopped = true;
        keep(where, what);
    }

    /**
     * Something is wrong with a row; others may be brought in without it.
     *
     * @param row its number, from 1
     * @param where the same, in words
     */
    public void fault(int row, String where, String what) {
        leftOut.add(row);
        keep(where, what);
    }

    private void keep(String where, String what) {
        faultCount++;
        if (faults.size() < MOST_FAULTS) {
            faults.add(new ImportFault(where, what));
        }
    }

    /** Something was left out, or done otherwise than the file says; told once, however often. */
    public void note(String what) {
        if (notes.size() < MOST_NOTES) {
            notes.add(what);
        }
    }

    /** Whether what is read from here may still come in. */
    public boolean fine() {
        return !stopped && (leavesOut || faultCount == 0);
    }

    public ImportResult result() {
        boolean mayStand = fine() && (faultCount == 0 || leftOut.size() < rows);
        return new ImportResult(
                rows,
                added,
                repeated,
                faultCount,
                List.copyOf(faults),
                List.copyOf(leftOut),
                List.copyOf(notes),
                mayStand);
    }
}
