package org.stratopneum.web.parts.needs;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.fit.TubeSize;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.core.sealant.TubeSealant;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;

/** Says which tube a tire takes, and what each kind asks for. */
@Component
class TubeWording {

    private static final List<SetupKind> KINDS =
            List.of(SetupKind.BUTYL_TUBE, SetupKind.LATEX_TUBE, SetupKind.TPU_TUBE);

    private final Wording wording;

    TubeWording(Wording wording) {
        this.wording = wording;
    }

    /** Null for a wheel without a tire. */
    NeedsPage.Tube of(WheelState wheel, Units units) {
        return wheel.tireSize().map(size -> of(wheel, size, units)).orElse(null);
    }

    private NeedsPage.Tube of(WheelState wheel, TireSize size, Units units) {
        int bsd = (int) Math.round(size.beadSeatDiameterMm());
        String wheels = TubeSize.wheels(bsd).stream().map(String::valueOf).collect(Collectors.joining(", "));
        List<NeedsPage.Printed> printed = TubeSize.taking(size.nominalWidthMm()).stream()
                .map(taking -> new NeedsPage.Printed(
                        wording.text(
                                "needs.tube.printed",
                                taking.size().minWidthMm(),
                                taking.size().maxWidthMm(),
                                bsd),
                        taking.stretch() > 1
                                ? wording.text("needs.tube.stretch", Numbers.fixed(taking.stretch(), 2))
                                : wording.text("needs.tube.fits")))
                .toList();
        List<NeedsPage.Printed> kinds = KINDS.stream()
                .map(kind -> new NeedsPage.Printed(
                        wording.of("setup", kind), wording.text("needs.tube.kind." + kind.name())))
                .toList();
        String sealant = wheel.tireOnRim()
                .map(onRim -> wording.text(
                        "needs.tube.sealant",
                        millilitres(TubeSealant.ml(onRim.section(), SealantFamily.SYNTHETIC), units),
                        millilitres(TubeSealant.ml(onRim.section(), SealantFamily.FIBRE), units)))
                .orElse("");
        return new NeedsPage.Tube(printed, wording.text("needs.tube.wheels", wheels), kinds, sealant);
    }

    private static String millilitres(double ml, Units units) {
        return QuantityText.text((double) Math.round(ml), units.volume());
    }
}
