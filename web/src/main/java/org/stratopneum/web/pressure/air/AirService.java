package org.stratopneum.web.pressure.air;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.ChargeChamber;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.VerdictWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Works out strokes, cartridges and chamber for the tire that is on a wheel. */
@Service
class AirService {

    private final WheelHeads heads;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Wording wording;
    private final VerdictWording verdicts;
    private final ProblemWording problemWording;

    AirService(
            WheelHeads heads,
            Riders riders,
            BikeAdvisor advisor,
            Wording wording,
            VerdictWording verdicts,
            ProblemWording problemWording) {
        this.heads = heads;
        this.riders = riders;
        this.advisor = advisor;
        this.wording = wording;
        this.verdicts = verdicts;
        this.problemWording = problemWording;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    AirPage page(UUID wheelId, Map<String, String> parameters) {
        Rider rider = riders.self();
        Units units = rider.units();
        WheelHeads.Known known = heads.of(wheelId, rider);
        BikeState bike = known.bike();
        WheelState wheel = known.wheel();
        Optional<GaugePressure> ceiling = wheel.ceiling().map(Ceiling::pressure);
        AirForm form = AirForm.of(parameters, told(bike, wheel, rider), units);
        Optional<AirForm.Asked> asked = form.read(ceiling);
        Optional<Double> litres = wheel.tireOnRim().map(onRim -> onRim.section().airVolumeL());
        Answers answers = new Answers(form.reader(), units);
        if (asked.isPresent() && litres.isPresent()) {
            answers.of(asked.get(), litres.get(), ceiling.orElse(null));
        }
        return new AirPage(
                known.head(),
                litres.isPresent(),
                litres.flatMap(volume -> lead(wheel, volume, units)).orElse(""),
                new FormView(
                        form.reader().typed(),
                        problemWording.messages(form.reader().problems().list())),
                units,
                answers.pump,
                answers.gas,
                answers.gasNote,
                answers.chamber);
    }

    private GaugePressure told(BikeState bike, WheelState wheel, Rider rider) {
        return advisor.adviseUsual(bike)
                .flatMap(advice -> AdvisedPressures.settable(advice, rider.pressureUnit()))
                .map(told -> told.pressure(wheel.position()))
                .orElse(null);
    }

    private Optional<String> lead(WheelState wheel, double litres, Units units) {
        String tire = wheel.size() + ", " + Numbers.fixed(litres, 2) + " l";
        return wheel.ceiling()
                .map(ceiling -> wording.text(
                        ceiling.usual() ? "air.lead.usual" : "air.lead",
                        tire,
                        PressureText.both(ceiling.pressure(), units.pressure())));
    }

    /** What the models answer, in words; what one of them refuses becomes a fault of its field. */
    private final class Answers {

        private final FormReader reader;
        private final Units units;
        private String pump;
        private List<AirPage.Gas> gas = List.of();
        private String gasNote;
        private List<AirPage.Said> chamber = List.of();

        Answers(FormReader reader, Units units) {
            this.reader = reader;
            this.units = units;
        }

        void of(AirForm.Asked asked, double litres, GaugePressure ceiling) {
            if (asked.pump() != null && asked.target() != null) {
                unlessRefused("pumpMost", () -> pump = strokes(asked, litres));
            }
            if (asked.gas() != null) {
                unlessRefused("cartridgeG", () -> gas(asked, litres));
            }
            if (asked.chamber() != null) {
                ChargeChamber mixed = ChargeChamber.of(
                        asked.chamber().litres(), asked.chamber().charge(), litres, asked.from(), ceiling);
                chamber = mixed.verdicts().stream().map(this::said).toList();
            }
        }

        private String strokes(AirForm.Asked asked, double litres) {
            double strokes = asked.pump()
                    .strokes(litres, asked.from(), asked.target(), asked.there().ambient());
            return wording.text(
                    "air.pump.strokes",
                    Numbers.fixed(Math.ceil(strokes), 0),
                    PressureText.both(asked.target(), units.pressure()));
        }

        private void gas(AirForm.Asked asked, double litres) {
            Cartridge tire = new Cartridge(litres, asked.there().temperature(), asked.from());
            gas = Stream.of(Cartridge.Delivery.values())
                    .map(delivery -> new AirPage.Gas(
                            wording.of("delivery", delivery),
                            PressureText.both(tire.after(asked.gas().total(), delivery), units.pressure())))
                    .toList();
            if (asked.target() != null) {
                double each = asked.gas().grams();
                int count = tire.countFor(asked.target(), each);
                gasNote = wording.text(
                        "air.gas.target",
                        count,
                        Numbers.upTo(each, 1),
                        PressureText.both(asked.target(), units.pressure()),
                        Numbers.fixed(Math.max(0, count * each - tire.gramsFor(asked.target())), 0));
            }
        }

        private AirPage.Said said(Verdict verdict) {
            String css = verdict.level() == Level.FINE ? "fine" : verdict.level() == Level.BLOCKS ? "blocks" : "warns";
            return new AirPage.Said(
                    css,
                    verdicts.message(verdict, units),
                    verdict.level() == Level.FINE ? "" : verdicts.fix(verdict, units));
        }

        private void unlessRefused(String field, Runnable model) {
            try {
                model.run();
            } catch (InvalidInputException exception) {
                exception.problems().forEach(problem -> reader.add(inUnits(field, problem)));
            }
        }

        private Problem inUnits(String field, Problem problem) {
            boolean pressure = "kPa".equals(problem.unit());
            return new Problem(
                    field,
                    problem.code(),
                    pressure ? (Double) units.pressure().fromCore(problem.limit()) : problem.limit(),
                    pressure ? (Double) units.pressure().fromCore(problem.value()) : problem.value(),
                    pressure ? units.pressure().symbol() : problem.unit());
        }
    }
}
