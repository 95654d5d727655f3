package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.fit.TapePlan;
import org.stratopneum.core.fit.TapeStart;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** How wide and how long a rim tape is wanted. */
@RestController
class FitTapeCalculator {

    private final JsonBody json;

    FitTapeCalculator(JsonBody json) {
        this.json = json;
    }

    /**
     * @param lengthM for one wheel (m), unrounded
     * @param wheelsPerRoll whole wheels, or null without a roll
     * @param offsetPasses null without a tape on hand
     */
    record Answer(Widths widths, double lengthM, Integer wheelsPerRoll, TapePlan.OffsetPasses offsetPasses) {}

    /** Widths by school (mm). */
    record Widths(TapePlan.Widths snug, TapePlan.Widths middle, TapePlan.Widths wide) {}

    @PostMapping(path = "/api/v1/calc/fit/tape", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer tape(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        JsonFields rim = fields.object("rim");
        double width = rim.number("internalWidthMm", TireOnRim.RIM_INTERNAL_WIDTH_MM);
        double beadSeat = rim.number("beadSeatDiameterMm", TireOnRim.BEAD_SEAT_DIAMETER_MM);
        Integer spokes = rim.optionalWhole("spokes", TapePlan.SPOKES);
        double well = rim.number("wellDepthMm", TapePlan.WELL_DEPTH_MM, TapePlan.USUAL_WELL_DEPTH_MM);
        int turns = fields.whole("turns", TapePlan.TURNS, 1);
        TapeStart start = fields.choice("start", TapeStart.class).orElse(TapeStart.OPPOSITE);
        Double roll = fields.optionalNumber("rollLengthM", TapePlan.ROLL_M);
        Double onHand = fields.optionalNumber("tapeOnHandMm", TapePlan.TAPE_MM);
        Optional<TapePlan> plan = fields.build(() -> TapePlan.of(width, beadSeat, well, turns, start, spokes));
        fields.finish();
        TapePlan tape = plan.orElseThrow();
        return new Answer(
                new Widths(tape.snug(), tape.middle(), tape.wide()),
                tape.lengthM(),
                roll == null ? null : tape.wheelsPerRoll(roll),
                onHand == null ? null : tape.offsetPasses(onHand));
    }
}
