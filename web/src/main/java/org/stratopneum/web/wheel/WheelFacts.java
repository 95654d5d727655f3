package org.stratopneum.web.wheel;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.core.tire.TireSection;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.drawing.SectionDrawing;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.sealant.SealantDues;
import org.stratopneum.web.sealant.SealantState;

/** Says what a wheel is made of, and draws its section with what lies in it. */
@Component
class WheelFacts {

    private static final double ML_PER_LITRE = 1000;

    private final SealantDues sealant;
    private final Wording wording;

    WheelFacts(SealantDues sealant, Wording wording) {
        this.sealant = sealant;
        this.wording = wording;
    }

    /** Its section, or null without a tire that goes with the rim, and what that shows. */
    record Drawn(SectionDrawing section, String said) {}

    Drawn drawn(WheelHeads.Known known, Rider rider, Instant now) {
        WheelState wheel = known.wheel();
        if (wheel.tireOnRim().isEmpty()) {
            return new Drawn(null, null);
        }
        TireSection section = wheel.tireOnRim().get().section();
        SealantState state = wheel.tubed()
                ? null
                : sealant.of(List.of(known.bike()), rider, now).get(wheel.wheelId());
        SectionDrawing drawing = SectionDrawing.of(
                section,
                new SectionDrawing.Inside(
                        wheel.rim().isHookless(), wheel.rim().depthMm(), wheel.taped(), wheel.tubed()),
                rider.lengthUnit(),
                state == null ? null : pool(section, state.volumeMl(), rider),
                null);
        return new Drawn(
                drawing,
                wording.text(
                        "section.said",
                        wording.of("position", wheel.position()),
                        drawing.widthText(),
                        drawing.heightText(),
                        drawing.rimText()));
    }

    private static SectionDrawing.Pool pool(TireSection section, SealantForecast.Spread ml, Rider rider) {
        LiquidPool.Depths depths = LiquidPool.tabled(section);
        return new SectionDrawing.Pool(
                depths.mm(ml.p50()),
                depths.mm(ml.p10()),
                depths.mm(ml.p90()),
                null,
                false,
                QuantityText.text(ml.p50(), rider.volumeUnit()),
                QuantityText.text(depths.mm(ml.p50()), rider.lengthUnit()));
    }

    /** What the tire says, how it was fitted, and what air it holds. */
    List<String> of(WheelState wheel, Rider rider) {
        List<String> said = new ArrayList<>();
        wheel.tire().ifPresent(tire -> {
            said.add(wheel.tireSize().orElseThrow().tradeName());
            if (Boolean.TRUE.equals(tire.marks().tubeless())) {
                said.add(wording.text("tire.tubeless"));
            }
            if (Boolean.TRUE.equals(tire.marks().hookless())) {
                said.add(wording.text("tire.hookless"));
            }
            if (tire.marks().directional()) {
                said.add(wording.text("tire.arrow"));
            }
            said.add(wording.of("casing", tire.casing()));
            said.add(wording.of("setup", tire.fitted().setup())
                    + (tire.fitted().insert() ? wording.text("wheel.with-insert") : ""));
            wheel.tireOnRim()
                    .map(TireOnRim::section)
                    .ifPresent(section -> said.add(wording.text("wheel.holds", air(section.airVolumeL(), rider))));
        });
        said.removeIf(String::isEmpty);
        return said;
    }

    /** Air is a matter of litres; those who read fluid ounces get those. */
    private static String air(double litres, Rider rider) {
        return rider.volumeUnit() == RiderUnit.ML
                ? Numbers.fixed(litres, 2) + " l"
                : QuantityText.text(litres * ML_PER_LITRE, rider.volumeUnit());
    }
}
