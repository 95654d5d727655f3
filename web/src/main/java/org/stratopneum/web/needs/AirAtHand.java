package org.stratopneum.web.needs;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.air.Cartridge;
import org.stratopneum.core.air.ChargeChamber;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.pressure.PressureLimits;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.bikes.WheelStanding;
import org.stratopneum.web.wording.FormReader;
import org.stratopneum.web.wording.FormView;
import org.stratopneum.web.wording.PressureText;
import org.stratopneum.web.wording.ProblemWording;
import org.stratopneum.web.wording.Units;
import org.stratopneum.web.wording.VerdictWording;
import org.stratopneum.web.wording.Wording;

/** What a charge chamber and a cartridge give in the tire that is on, let in when it is soft. */
@Component
class AirAtHand {

    private final Wording wording;
    private final VerdictWording verdicts;
    private final ProblemWording problemWording;

    AirAtHand(Wording wording, VerdictWording verdicts, ProblemWording problemWording) {
        this.wording = wording;
        this.verdicts = verdicts;
        this.problemWording = problemWording;
    }

    /** Null without a tire that goes with its rim. */
    NeedsPage.Air of(WheelStanding wheel, FormReader form, Units units) {
        if (wheel.tireOnRim().isEmpty()) {
            return null;
        }
        TireOnRim onRim = wheel.tireOnRim().get();
        Optional<Double> litres = form.number("chamberL", ChargeChamber.CHAMBER_L);
        Optional<Double> charge = form.quantity("chamberCharge", GaugePressure.READING_KPA, units.pressure(), null);
        if (litres.isPresent() && form.isBlank("chamberCharge")) {
            form.fault("chamberCharge", Problem.MISSING);
        }
        Optional<Double> grams = form.number("cartridgeG", Cartridge.MASS_G);
        GaugePressure ceiling = wheel.setup().flatMap(PressureLimits::ceilingOf).orElse(null);
        List<NeedsPage.Said> chamber = litres.flatMap(volume -> charge.map(kpa -> said(
                        ChargeChamber.of(
                                volume,
                                GaugePressure.kpa(kpa),
                                onRim.section().airVolumeL(),
                                GaugePressure.ZERO,
                                ceiling),
                        units)))
                .orElse(List.of());
        List<NeedsPage.Gas> gas =
                grams.map(found -> gas(onRim, found, form, units)).orElse(List.of());
        return new NeedsPage.Air(
                new FormView(
                        form.typed(), problemWording.messages(form.problems().list())),
                chamber,
                gas);
    }

    private List<NeedsPage.Said> said(ChargeChamber chamber, Units units) {
        return chamber.verdicts().stream()
                .map(verdict -> new NeedsPage.Said(
                        css(verdict),
                        verdicts.message(verdict, units),
                        verdict.level() == Level.FINE ? "" : verdicts.fix(verdict, units)))
                .toList();
    }

    private static String css(Verdict verdict) {
        return switch (verdict.level()) {
            case FINE -> "fine";
            case BLOCKS -> "blocks";
            default -> "warns";
        };
    }

    private List<NeedsPage.Gas> gas(TireOnRim onRim, double grams, FormReader form, Units units) {
        Cartridge cartridge = Cartridge.intoSoft(onRim.section().airVolumeL());
        try {
            return Stream.of(Cartridge.Delivery.values())
                    .map(delivery -> new NeedsPage.Gas(
                            wording.of("delivery", delivery),
                            PressureText.both(cartridge.after(grams, delivery), units.pressure())))
                    .toList();
        } catch (InvalidInputException exception) {
            exception
                    .problems()
                    .forEach(problem -> form.add(new Problem(
                            "cartridgeG", problem.code(), problem.limit(), problem.value(), problem.unit())));
            return List.of();
        }
    }
}
