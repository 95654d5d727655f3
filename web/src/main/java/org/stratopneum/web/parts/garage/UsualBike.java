package org.stratopneum.web.parts.garage;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.pressure.Posture;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.tire.SizeText;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.platform.wording.QuantityText;

/** What is taken for granted of a bike that is being entered, until its rider says otherwise. */
final class UsualBike {

    static final String POSTURE = "posture";
    static final String DROP = "drop";
    static final String BIKE_MASS = "bike";

    private UsualBike() {}

    /** What was typed, with what is usual for such tires on such ground where nothing was. */
    static Map<String, String> over(Map<String, String> typed, RiderUnit massUnit) {
        Map<String, String> whole = new TreeMap<>(typed);
        Posture posture = posture(typed).orElseGet(() -> usual(typed));
        fill(whole, POSTURE, posture.name());
        fill(whole, DROP, posture.usualDrop().name());
        fill(whole, BIKE_MASS, QuantityText.typed(posture.usualBikeKg(), massUnit));
        return whole;
    }

    private static void fill(Map<String, String> whole, String field, String usual) {
        if (whole.getOrDefault(field, "").isBlank()) {
            whole.put(field, usual);
        }
    }

    private static Optional<Posture> posture(Map<String, String> typed) {
        return Stream.of(Posture.values())
                .filter(posture -> posture.name().equals(typed.get(POSTURE)))
                .findFirst();
    }

    /** Only as good as ground and size are: while either is missing there is no pressure that would need it. */
    private static Posture usual(Map<String, String> typed) {
        List<TireSize> sizes = SizeText.read(typed.getOrDefault(BikeForm.REAR + "size", ""));
        return Stream.of(Ground.values())
                .filter(ground -> ground.name().equals(typed.get("ground1")) && !sizes.isEmpty())
                .findFirst()
                .map(ground -> Posture.usualFor(ground, sizes.get(0).nominalWidthMm()))
                .orElse(Posture.GRAVEL);
    }
}
