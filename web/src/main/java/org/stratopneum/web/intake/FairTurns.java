package org.stratopneum.web.intake;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Executor;

/** Work of riders on a few threads: one piece of each rider at a time, and riders by turns in the order they came. */
final class FairTurns {

    private final Executor threads;
    private final Map<UUID, Deque<Runnable>> waiting = new LinkedHashMap<>();
    private final Set<UUID> working = new HashSet<>();

    FairTurns(Executor threads) {
        this.threads = threads;
    }

    void add(UUID rider, Runnable work) {
        synchronized (this) {
            waiting.computeIfAbsent(rider, key -> new ArrayDeque<>()).add(work);
        }
        threads.execute(this::workOne);
    }

    private void workOne() {
        Optional<UUID> rider = begin();
        if (rider.isEmpty()) {
            // whoever waits is worked for already, and comes when that is done
            return;
        }
        try {
            next(rider.get()).run();
        } finally {
            end(rider.get());
            threads.execute(this::workOne);
        }
    }

    private synchronized Optional<UUID> begin() {
        Optional<UUID> first =
                waiting.keySet().stream().filter(one -> !working.contains(one)).findFirst();
        first.ifPresent(working::add);
        return first;
    }

    private synchronized Runnable next(UUID rider) {
        return waiting.get(rider).remove();
    }

    /** Whoever has more goes to the end of the line. */
    private synchronized void end(UUID rider) {
        working.remove(rider);
        Deque<Runnable> more = waiting.remove(rider);
        if (more != null && !more.isEmpty()) {
            waiting.put(rider, more);
        }
    }
}
