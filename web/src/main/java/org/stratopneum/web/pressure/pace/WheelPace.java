package org.stratopneum.web.pressure.pace;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.stratopneum.core.agenda.PressureLooks;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakRate;
import org.stratopneum.core.leak.LeakReading;
import org.stratopneum.core.leak.PaceChange;
import org.stratopneum.core.leak.Turn;
import org.stratopneum.core.leak.WentFlat;
import org.stratopneum.web.fleet.bikes.WheelState;

/**
 * What the readings of a wheel tell of its pace.
 *
 * @param turns since the tire went on, oldest first
 * @param bands what a loss is called on this wheel now
 * @param heightM where it is read (m)
 * @param rate since the last inflation; empty while nothing tells one
 * @param flat how it went flat since the last inflation, where it did: then there is no rate
 * @param change of pace in the last weeks, also over inflations, and where the tire came off between
 */
public record WheelPace(
        List<Turn> turns,
        LeakBands bands,
        double heightM,
        Optional<LeakRate> rate,
        Optional<WentFlat> flat,
        Optional<PaceChange> change) {

    /**
     * @param wheel with a tire on it
     * @param before the same with what was read before the tire came off last
     */
    static WheelPace of(WheelState wheel, List<Turn> turns, List<Turn> before, double heightM, Instant now) {
        WheelState.Tire tire = wheel.tire().orElseThrow();
        LeakBands bands = LeakBands.of(tire.fitted().setup(), isNew(wheel, now));
        Optional<LeakRate> rate = LeakRate.of(turns, bands, heightM);
        Optional<WentFlat> flat = WentFlat.in(lastSpan(turns));
        // beside a hole a change of pace says nothing
        Optional<PaceChange> change = flat.isPresent()
                ? Optional.empty()
                : rate.map(LeakRate::change).or(() -> PaceChange.between(Turn.spans(before), heightM));
        return new WheelPace(turns, bands, heightM, rate, flat, change);
    }

    /** What was read since the last inflation. */
    List<LeakReading> lastSpan() {
        return lastSpan(turns);
    }

    private static List<LeakReading> lastSpan(List<Turn> turns) {
        List<List<LeakReading>> spans = Turn.spans(turns);
        return spans.isEmpty() ? List.of() : spans.get(spans.size() - 1);
    }

    /** Whether a tubeless tire is in its first fortnight on the wheel. */
    public static boolean isNew(WheelState wheel, Instant now) {
        return !wheel.tubed()
                && wheel.tire()
                        .filter(tire -> ChronoUnit.DAYS.between(tire.since(), now) < PressureLooks.SETTLING_DAYS)
                        .isPresent();
    }
}
