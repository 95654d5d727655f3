package org.stratopneum.web.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class FairTurnsTest {

    private static final UUID ILSE = UUID.randomUUID();
    private static final UUID OTHER = UUID.randomUUID();
    private static final UUID THIRD = UUID.randomUUID();

    private final ExecutorService threads = Executors.newFixedThreadPool(2);
    private final FairTurns turns = new FairTurns(threads);
    private final List<String> done = Collections.synchronizedList(new ArrayList<>());

    @AfterEach
    void stop() {
        threads.shutdownNow();
    }

    private static void waitFor(CountDownLatch latch) {
        try {
            assertThat(latch.await(10, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException exception) {
            throw new IllegalStateException(exception);
        }
    }

    /** A rider with many long files has one thread of the two, whatever they send. */
    @Test
    void oneRidersFilesDoNotHoldUpAnothers() {
        CountDownLatch go = new CountDownLatch(1);
        CountDownLatch others = new CountDownLatch(2);
        CountDownLatch all = new CountDownLatch(4);
        for (int i = 0; i < 4; i++) {
            turns.add(ILSE, () -> {
                waitFor(go);
                done.add("long");
                all.countDown();
            });
        }
        turns.add(OTHER, others::countDown);
        turns.add(THIRD, others::countDown);
        waitFor(others);
        assertThat(done).isEmpty();
        go.countDown();
        waitFor(all);
        assertThat(done).hasSize(4);
    }

    @Test
    void whatBreaksDoesNotStopTheRest() {
        CountDownLatch all = new CountDownLatch(3);
        for (int i = 0; i < 3; i++) {
            turns.add(ILSE, () -> {
                all.countDown();
                throw new IllegalStateException("broken on purpose");
            });
        }
        waitFor(all);
        CountDownLatch after = new CountDownLatch(1);
        turns.add(ILSE, after::countDown);
        waitFor(after);
    }
}
