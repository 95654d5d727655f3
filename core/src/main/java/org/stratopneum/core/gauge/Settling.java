package org.stratopneum.core.gauge;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * Watches what a digital gauge shows until it has come to rest: for a while it stays within a tenth of a psi either way
 * (our judgement). Air that was just pumped in is warm and still falls by a little over the next minutes; that is left
 * out.
 */
public final class Settling {

    /** How long it has to rest. */
    public static final Duration REST = Duration.ofSeconds(2);

    /** How far it may move meanwhile, from the lowest to the highest (kPa; our judgement, 0.2 psi). */
    public static final double MOST_KPA = 1.4;

    private record Shown(Instant at, double kpa) {}

    private final Deque<Shown> lately = new ArrayDeque<>();
    private Instant first;

    /** @param at not before the one before; an older one begins anew */
    public void show(Instant at, GaugePressure pressure) {
        if (!lately.isEmpty() && at.isBefore(lately.getLast().at())) {
            lately.clear();
            first = null;
        }
        first = first == null ? at : first;
        lately.addLast(new Shown(at, pressure.kpa()));
        while (lately.getFirst().at().isBefore(at.minus(REST))) {
            lately.removeFirst();
        }
    }

    /** What it has come to rest at: the mean of the last while; empty while it moves. */
    public Optional<GaugePressure> settled() {
        if (lately.size() < 2 || Duration.between(first, lately.getLast().at()).compareTo(REST) < 0) {
            return Optional.empty();
        }
        double low = lately.stream().mapToDouble(Shown::kpa).min().orElseThrow();
        double high = lately.stream().mapToDouble(Shown::kpa).max().orElseThrow();
        return high - low > MOST_KPA
                ? Optional.empty()
                : Optional.of(GaugePressure.kpa(
                        lately.stream().mapToDouble(Shown::kpa).average().orElseThrow()));
    }
}
