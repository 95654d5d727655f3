package org.stratopneum.web.fleet.kept;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.micrometer.core.instrument.Counter;
import io.micrometer.core.instrument.MeterRegistry;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.rider.RiderChanges;

/**
 * What was gathered for riders, in this process, for as long as nothing of theirs has changed in the database, whoever
 * changed it. Only pages that change nothing are answered from it.
 */
@Component
public class RiderMemory {

    /** No longer than this: the weather, and whatever else is not the rider's, may have changed. */
    private static final Duration LONGEST = Duration.ofMinutes(15);

    private final MeterRegistry meters;

    RiderMemory(MeterRegistry meters) {
        this.meters = meters;
    }

    /**
     * Results of one matter.
     *
     * @param matter its name in figures
     * @param most so many of all riders together; fewer where memory is short
     */
    public <K, T> Of<K, T> of(String matter, int most) {
        return new Of<>(most, meters.counter("stratopneum.remembered", "matter", matter));
    }

    private record Key<K>(UUID rider, Region region, K of) {}

    private record Result<T>(List<Object> asOf, T result) {}

    /**
     * Results of one matter.
     *
     * @param <K> what tells one result of a rider's from another
     */
    public static final class Of<K, T> {

        private final Counter remembered;
        private final Cache<Key<K>, Result<T>> results;

        private Of(int most, Counter remembered) {
            this.remembered = remembered;
            results = Caffeine.newBuilder()
                    .maximumSize(most)
                    .softValues()
                    .expireAfterWrite(LONGEST)
                    .build();
        }

        /**
         * The result as it is remembered, or worked out.
         *
         * @param until which changes end it, such as {@code RiderChanges::ofAll}
         * @param moment the day, or the minute, that it holds for
         * @param work from what is the rider's, from {@code of} and {@code moment}, and from nothing else that may have changed
         *     since the request began; what it gives is shared, and must not be changed
         */
        public T get(Function<RiderChanges, String> until, K of, Object moment, Supplier<T> work) {
            return find(until, of, moment).orElseGet(() -> {
                T result = work.get();
                put(until, of, moment, result);
                return result;
            });
        }

        /** The result as it is remembered, as for {@link #get}. */
        public Optional<T> find(Function<RiderChanges, String> until, K of, Object moment) {
            return changes().flatMap(changes -> {
                Result<T> known = results.getIfPresent(key(changes, of));
                if (known == null || !known.asOf.equals(List.of(until.apply(changes), moment))) {
                    return Optional.empty();
                }
                remembered.increment();
                return Optional.of(known.result);
            });
        }

        /** Has a result remembered that was worked out in the present request, as for {@link #get}; null is not. */
        public void put(Function<RiderChanges, String> until, K of, Object moment, T result) {
            changes()
                    .filter(changes -> result != null)
                    .ifPresent(changes ->
                            results.put(key(changes, of), new Result<>(List.of(until.apply(changes), moment), result)));
        }

        private Key<K> key(RiderChanges changes, K of) {
            return new Key<>(changes.rider(), Region.current(), of);
        }

        private static Optional<RiderChanges> changes() {
            return TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                    ? RiderChanges.recall()
                    : Optional.empty();
        }
    }
}
