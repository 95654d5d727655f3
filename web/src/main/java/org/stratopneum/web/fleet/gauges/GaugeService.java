package org.stratopneum.web.fleet.gauges;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Riders;

/** Keeps gauges and pairs, and says which is the reference and which is in hand. */
@Service
class GaugeService {

    private static final int LONGEST_NAME = 80;

    private final GaugeMapper mapper;
    private final Gauges gauges;
    private final GaugePages pages;
    private final Riders riders;
    private final Logbook logbook;
    private final Wording wording;
    private final ProblemWording problemWording;

    GaugeService(
            GaugeMapper mapper,
            Gauges gauges,
            GaugePages pages,
            Riders riders,
            Logbook logbook,
            Wording wording,
            ProblemWording problemWording) {
        this.mapper = mapper;
        this.gauges = gauges;
        this.pages = pages;
        this.riders = riders;
        this.logbook = logbook;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** What came of keeping a gauge: nothing to say, or the page again. */
    record Outcome(GaugePage again, boolean conflict) {}

    GaugePage blank() {
        return pages.fresh(
                new FormView(Map.of("unit", riders.self().pressureUnit().name()), Map.of()), title(null));
    }

    /** @throws NotThereException when this rider has no such gauge */
    @Transactional(readOnly = true)
    GaugePage page(UUID id) {
        Gauge gauge = gauge(id);
        return pages.of(gauge, kept(gauge), pages.emptyPair(), mapper.gauges(), mapper.pairs(), riders.self());
    }

    private static FormView kept(Gauge gauge) {
        return new FormView(Map.of("name", gauge.name(), "unit", gauge.unit().name()), Map.of());
    }

    private Gauge gauge(UUID id) {
        return mapper.gauge(id).orElseThrow(NotThereException::new);
    }

    private String title(Gauge gauge) {
        return gauge == null ? wording.text("shelf.new.GAUGE") : gauge.name();
    }

    /** @param id the gauge, or null for a new one, which is kept under {@code newId} */
    @Transactional
    Outcome keep(UUID id, UUID newId, Map<String, String> typed, int version) {
        Gauge gauge = id == null ? null : gauge(id);
        FormReader reader = new FormReader(typed);
        Optional<String> name = reader.requiredName("name", LONGEST_NAME);
        Optional<PressureUnit> unit = reader.choice("unit", PressureUnit.class);
        if (reader.isBlank("unit")) {
            reader.fault("unit", Problem.MISSING);
        }
        if (!reader.problems().isEmpty()) {
            return new Outcome(again(gauge, view(typed, reader)), false);
        }
        if (gauge == null) {
            mapper.insert(newId, name.orElseThrow(), unit.orElseThrow());
        } else if (mapper.update(id, name.orElseThrow(), unit.orElseThrow(), version) == 0) {
            return new Outcome(again(gauge, new FormView(typed, Map.of())), true);
        }
        return new Outcome(null, false);
    }

    private GaugePage again(Gauge gauge, FormView form) {
        return gauge == null
                ? pages.fresh(form, title(null))
                : pages.of(gauge, form, pages.emptyPair(), mapper.gauges(), mapper.pairs(), riders.self());
    }

    private FormView view(Map<String, String> typed, FormReader reader) {
        return new FormView(typed, problemWording.messages(reader.problems().list()));
    }

    @Transactional
    void retire(UUID id, boolean retire) {
        LocalDate today = LocalDate.ofInstant(logbook.now(), riders.self().zoneId());
        found(mapper.retire(id, retire ? today : null));
        gauges.refit();
    }

    /** The others are compared with this one from now on; pairs with another reference no longer count. */
    @Transactional
    void makeReference(UUID id) {
        gauge(id);
        mapper.clearReference();
        found(mapper.makeReference(id));
        gauges.refit();
    }

    @Transactional
    void takeInHand(UUID id) {
        gauge(id);
        mapper.clearHand();
        found(mapper.takeInHand(id));
    }

    /** @return the page again where something is wrong with the pair, or null */
    @Transactional
    GaugePage addPair(UUID id, UUID pairId, Map<String, String> typed) {
        Gauge gauge = gauge(id);
        List<Gauge> all = mapper.gauges();
        Optional<Gauge> reference = all.stream()
                .filter(Gauge::reference)
                .filter(found -> !found.id().equals(id))
                .findFirst();
        FormReader reader = new FormReader(typed);
        Optional<Double> shown = reader.requiredQuantity("shown", GaugePressure.READING_KPA, gauge.unit(), null);
        Optional<Double> other = reader.requiredQuantity(
                "reference",
                GaugePressure.READING_KPA,
                reference.map(Gauge::unit).orElse(gauge.unit()),
                null);
        if (reference.isEmpty()) {
            reader.fault("reference", "no-reference");
        }
        if (!reader.problems().isEmpty()) {
            return pages.of(gauge, kept(gauge), view(typed, reader), all, mapper.pairs(), riders.self());
        }
        mapper.insertPair(new GaugeMapper.PairRow(
                pairId, id, reference.get().id(), shown.get(), other.get(), logbook.now(), false));
        gauges.refit();
        return null;
    }

    @Transactional
    void strike(UUID id, UUID pair, boolean struck) {
        found(mapper.strike(id, pair, struck));
        gauges.refit();
    }

    private static void found(int rows) {
        if (rows == 0) {
            throw new NotThereException();
        }
    }
}
