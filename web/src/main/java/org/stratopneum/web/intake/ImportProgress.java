package org.stratopneum.web.intake;

import java.util.ArrayList;
import java.util.List;

/** How far the reading of one file has come, and what was found on the way. */
public final class ImportProgress {

    /** More faults than these are counted, not kept. */
    public static final int MOST_FAULTS = 500;

    /** Hears of it now and then. */
    public interface Listener {
        void at(int rows);
    }

    private static final int EVERY = 1000;

    private final Listener listener;
    private final long most;
    private final String tooMany;
    private final List<ImportFault> faults = new ArrayList<>();
    private int faultCount;
    private int rows;
    private int added;
    private int repeated;

    /**
     * @param most rows that may be read
     * @param tooMany what is said where there are more
     */
    public ImportProgress(Listener listener, long most, String tooMany) {
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

    /** So many of the rows were new, and so many stood there already. */
    public void count(int fresh, int known) {
        added += fresh;
        repeated += known;
    }

    public void fault(String where, String what) {
        faultCount++;
        if (faults.size() < MOST_FAULTS) {
            faults.add(new ImportFault(where, what));
        }
    }

    public boolean fine() {
        return faultCount == 0;
    }

    public ImportResult result() {
        return new ImportResult(rows, added, repeated, faultCount, List.copyOf(faults));
    }
}
