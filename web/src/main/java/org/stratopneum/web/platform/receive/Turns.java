package org.stratopneum.web.platform.receive;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.stratopneum.web.platform.fault.BusyException;

/**
 * Work that takes much of the machine: a few at a time, a few more wait a moment, and whoever comes beyond these is told
 * to come back. Without the second limit everybody who waits would hold a thread, and pages would have none left.
 */
public final class Turns {

    private static final Duration AGAIN = Duration.ofSeconds(3);

    private final Semaphore turns;
    private final Semaphore seats;
    private final Duration patience;

    /**
     * @param atOnce how many work at the same time, from 1
     * @param waiting how many may wait beside them, from 0
     * @param patience how long they wait
     */
    public Turns(int atOnce, int waiting, Duration patience) {
        this.turns = new Semaphore(atOnce, true);
        this.seats = new Semaphore(atOnce + waiting);
        this.patience = patience;
    }

    /**
     * Does {@code work} when its turn comes.
     *
     * @throws BusyException when too many wait already, or it took too long
     */
    public <T> T take(Supplier<T> work) {
        if (!seats.tryAcquire()) {
            throw new BusyException(AGAIN);
        }
        try {
            return inTurn(work);
        } finally {
            seats.release();
        }
    }

    private <T> T inTurn(Supplier<T> work) {
        try {
            if (!turns.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS)) {
                throw new BusyException(AGAIN);
            }
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new BusyException(AGAIN);
        }
        return releasing(work);
    }

    /** Does {@code work} in the background, where nobody waits for a page: it takes its turn however long that is. */
    public <T> T await(Supplier<T> work) {
        turns.acquireUninterruptibly();
        return releasing(work);
    }

    private <T> T releasing(Supplier<T> work) {
        try {
            return work.get();
        } finally {
            turns.release();
        }
    }
}
