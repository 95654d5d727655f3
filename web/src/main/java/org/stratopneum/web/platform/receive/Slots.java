package org.stratopneum.web.platform.receive;

import java.util.HashMap;
import java.util.Map;

/** So many at once, and so many of them for one who asks. */
public final class Slots {

    private final int most;
    private final int mostEach;
    private final Map<String, Integer> taken = new HashMap<>();
    private int all;

    /** @param most at once, {@code mostEach} of one */
    public Slots(int most, int mostEach) {
        this.most = most;
        this.mostEach = mostEach;
    }

    /** Takes a slot for {@code who}; false where none is left. Whoever took one gives it back. */
    public synchronized boolean take(String who) {
        int own = taken.getOrDefault(who, 0);
        if (all >= most || own >= mostEach) {
            return false;
        }
        all++;
        taken.put(who, own + 1);
        return true;
    }

    public synchronized void giveBack(String who) {
        all--;
        taken.compute(who, (key, own) -> own == null || own == 1 ? null : own - 1);
    }
}
