package org.stratopneum.web.fleet.gauges;

import java.util.List;
import java.util.Optional;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.gauge.GaugePair;
import org.stratopneum.core.quantity.GaugePressure;

/** What other services ask of the gauges, and the fits that are kept with them. */
@Service
public class Gauges {

    private final GaugeMapper mapper;

    private final ApplicationEventPublisher listeners;

    Gauges(GaugeMapper mapper, ApplicationEventPublisher listeners) {
        this.listeners = listeners;
        this.mapper = mapper;
    }

    /** Those in use first. */
    @Transactional(readOnly = true)
    public List<Gauge> all() {
        return mapper.gauges();
    }

    /** Fits every gauge anew against the reference that there is now. */
    @Transactional
    public void refit() {
        List<Gauge> gauges = mapper.gauges();
        Optional<Gauge> reference = gauges.stream().filter(Gauge::reference).findFirst();
        List<GaugeMapper.PairRow> pairs = mapper.pairs();
        for (Gauge gauge : gauges) {
            GaugeFit fit = reference
                    .filter(found -> !found.id().equals(gauge.id()))
                    .map(found -> fit(gauge, found, pairs))
                    .filter(GaugeFit::believable)
                    .orElse(GaugeFit.NONE);
            mapper.fit(gauge.id(), fit.offsetKpa(), fit.slope());
        }
        listeners.publishEvent(new GaugesRefitted());
    }

    /** The fit of the pairs that count. */
    static GaugeFit fit(Gauge gauge, Gauge reference, List<GaugeMapper.PairRow> pairs) {
        return GaugeFit.of(counting(gauge, reference, pairs).stream()
                .map(pair -> new GaugePair(GaugePressure.kpa(pair.shownKpa()), GaugePressure.kpa(pair.referenceKpa())))
                .toList());
    }

    /** Pairs with another reference than the one of now say nothing, and struck ones neither. */
    static List<GaugeMapper.PairRow> counting(Gauge gauge, Gauge reference, List<GaugeMapper.PairRow> pairs) {
        return pairs.stream()
                .filter(pair -> !pair.struck()
                        && pair.gaugeId().equals(gauge.id())
                        && pair.referenceId().equals(reference.id()))
                .toList();
    }
}
