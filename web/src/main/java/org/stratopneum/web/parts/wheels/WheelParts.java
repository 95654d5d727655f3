package org.stratopneum.web.parts.wheels;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.drawing.SectionDrawing;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Says what a wheel is made of, and draws its section. */
@Component
class WheelParts {

    private static final double ML_PER_LITRE = 1000;

    private final Wording wording;

    WheelParts(Wording wording) {
        this.wording = wording;
    }

    WheelPage.Tire tire(WheelState wheel, WheelState.Tire tire, Rider rider) {
        List<String> marks = new ArrayList<>();
        if (tire.marks().tubeless()) {
            marks.add(wording.text("tire.tubeless"));
        }
        if (tire.marks().hookless()) {
            marks.add(wording.text("tire.hookless"));
        }
        if (tire.marks().directional()) {
            marks.add(wording.text("tire.arrow"));
        }
        marks.add(wording.of("casing", tire.casing()));
        String setup = wording.of("setup", tire.fitted().setup())
                + (tire.fitted().insert() ? wording.text("wheel.with-insert") : "");
        return new WheelPage.Tire(
                tire.id(),
                tire.name(),
                wheel.size(),
                wheel.tireSize().orElseThrow().tradeName(),
                setup,
                DateText.date(tire.since(), rider.zoneId()),
                String.join(", ", marks),
                wheel.tireOnRim()
                        .map(TireOnRim::section)
                        .map(section -> air(section.airVolumeL(), rider))
                        .orElse(""),
                !wheel.fits());
    }

    /** Air is a matter of litres; those who read fluid ounces get those. */
    private static String air(double litres, Rider rider) {
        return rider.volumeUnit() == RiderUnit.ML
                ? Numbers.fixed(litres, 2) + " l"
                : QuantityText.text(litres * ML_PER_LITRE, rider.volumeUnit());
    }

    WheelPage.Rim rim(WheelState wheel, Rider rider) {
        WheelState.Rim rim = wheel.rim();
        return new WheelPage.Rim(
                rim.id(),
                rim.name(),
                QuantityText.text(rim.internalWidthMm(), rider.lengthUnit()),
                wording.text(rim.hookless() ? "rim.hookless" : "rim.hooked"),
                wording.of("bed", rim.bed()));
    }

    static SectionDrawing section(WheelState wheel, Rider rider) {
        return wheel.tireOnRim()
                .map(tire -> SectionDrawing.of(
                        tire.section(),
                        new SectionDrawing.Inside(
                                wheel.rim().hookless(), wheel.rim().depthMm(), wheel.taped(), wheel.tubed()),
                        rider.lengthUnit()))
                .orElse(null);
    }
}
