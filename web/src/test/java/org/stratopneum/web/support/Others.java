package org.stratopneum.web.support;

import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/** A crowd that does things at the same time. */
public final class Others implements AutoCloseable {

    private static final long PATIENCE_MS = 20_000;

    private final ExecutorService threads;

    public Others(int most) {
        threads = Executors.newFixedThreadPool(most);
    }

    public <T> Future<T> run(Callable<T> work) {
        return threads.submit(work);
    }

    /** Waits until so many have failed in this way, or all are done; how many have. */
    public static <T> long failures(List<Future<T>> crowd, Class<? extends Exception> how, int wanted)
            throws InterruptedException {
        long failed = 0;
        for (long end = System.currentTimeMillis() + PATIENCE_MS;
                failed < wanted
                        && !(failed > 0 && crowd.stream().allMatch(Future::isDone))
                        && System.currentTimeMillis() < end; ) {
            Thread.sleep(10);
            failed = crowd.stream()
                    .filter(one -> one.isDone() && hasFailed(one, how))
                    .count();
        }
        return failed;
    }

    private static boolean hasFailed(Future<?> one, Class<? extends Exception> how) {
        try {
            one.get();
            return false;
        } catch (ExecutionException exception) {
            return how.isInstance(exception.getCause());
        } catch (InterruptedException exception) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    @Override
    public void close() {
        threads.shutdownNow();
    }
}
