package org.stratopneum.web.parts.garage;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;

/** Says what was taken for granted of a bike that is being entered, and where its rider says otherwise. */
@Component
class AssumptionWording {

    private final Wording wording;

    AssumptionWording(Wording wording) {
        this.wording = wording;
    }

    List<BikePage.Assumed> of(BikeForm form, NewBike bike) {
        List<BikePage.Assumed> said = new ArrayList<>();
        BikeState state = bike.standing();
        wheel(said, form, BikeForm.REAR, state.rear());
        if (!form.same()) {
            wheel(said, form, BikeForm.FRONT, state.front());
        }
        if (form.isAssumed(UsualBike.POSTURE)) {
            say(said, UsualBike.POSTURE, "posture", wording.of("posture", state.posture()));
        }
        if (form.isAssumed(UsualBike.BIKE_MASS)) {
            RiderUnit unit = form.units().mass();
            say(
                    said,
                    UsualBike.BIKE_MASS,
                    "mass",
                    QuantityText.text(state.masses().bikeKg(), unit));
        }
        return said;
    }

    private void wheel(List<BikePage.Assumed> said, BikeForm form, String prefix, WheelState wheel) {
        WheelState.Rim rim = wheel.rim();
        WheelState.Tire tire = wheel.tire().orElseThrow();
        String width = Numbers.upTo(tire.size().nominalWidthMm(), 1);
        if (rim.widthAssumed()) {
            RiderUnit unit = form.units().length();
            say(said, prefix + "rimWidth", "rim-width", QuantityText.size(rim.internalWidthMm(), unit), width);
        }
        if (tire.maxKpa() == null) {
            wheel.ceiling()
                    .filter(Ceiling::usual)
                    .map(usual ->
                            PressureText.text(usual.pressure(), form.units().pressure()))
                    .ifPresent(most -> say(said, prefix + "tireMax", "tire-max", most, width));
        }
        if (rim.hookless() == null && wheel.setup().filter(Setup::hookless).isPresent()) {
            String most = PressureText.text(Ceiling.HOOKLESS, form.units().pressure());
            say(said, prefix + "hookless", "edge", most);
        }
        if (tire.marks().tubeless() == null && !wheel.tubed()) {
            say(said, prefix + "tubeless", "tubeless");
        }
        if (tire.marks().hookless() == null && rim.isHookless()) {
            say(said, prefix + "hooklessOk", "hookless");
        }
    }

    private void say(List<BikePage.Assumed> said, String field, String key, Object... arguments) {
        said.add(new BikePage.Assumed(field, wording.text("garage.assumed." + key, arguments)));
    }
}
