package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.fit.ValveHole;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.pressure.Setup;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.tire.TireOnRim;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** Whether parts go together. */
@RestController
class FitCheckCalculator {

    private static final Range ROOM_MM = Range.closed(0, 60, "mm");

    private final JsonBody json;
    private final VerdictAnswers verdicts;

    FitCheckCalculator(JsonBody json, VerdictAnswers verdicts) {
        this.json = json;
        this.verdicts = verdicts;
    }

    /**
     * @param unchecked checks for which something was not given
     * @param ceilingKpa the most that these parts may get (kPa gauge), usual for the width where the check is among the unchecked
     */
    record Answer(List<VerdictAnswers.Answer> verdicts, List<String> unchecked, double ceilingKpa) {}

    @PostMapping(path = "/api/v1/calc/fit/check", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer check(HttpServletRequest request) throws IOException {
        FitCase parts = read(json.read(request));
        FitCheck check = FitCheck.of(parts);
        return new Answer(
                verdicts.of(check.verdicts()),
                check.unchecked().stream()
                        .filter(unchecked -> unchecked != FitCheck.Unchecked.VALVE_BASE || namesShape(parts))
                        .map(unchecked ->
                                unchecked.name().toLowerCase(Locale.ROOT).replace('_', '-'))
                        .toList(),
                check.ceiling().pressure().kpa());
    }

    /** Whether one of the shapes was named; who names neither did not ask to have them compared. */
    private static boolean namesShape(FitCase parts) {
        return parts.rim().valveHole().seat() != null
                || parts.valve() != null && parts.valve().base() != null;
    }

    private static FitCase read(JsonFields fields) {
        Optional<TireOnRim> tire = TireJson.read(fields);
        FitCase.Rim rim = rim(fields.object("rim"));
        FitCase.Marks marks = marks(fields.object("marks"));
        Optional<FitCase.Valve> valve = fields.optionalObject("valve").map(FitCheckCalculator::valve);
        Optional<FitCase.Tube> tube = fields.optionalObject("tube").map(FitCheckCalculator::tube);
        Double clearance = fields.optionalNumber("clearanceMm", ROOM_MM);
        Double load = fields.optionalNumber("loadKg", FitCase.LOAD_KG);
        boolean tubeless = fields.requiredFlag("tubeless");
        boolean insert = fields.flag("insert");
        Optional<FitCase> parts = fields.build(() -> new FitCase(
                tire.orElseThrow(),
                rim,
                marks,
                valve.orElse(null),
                tube.orElse(null),
                clearance,
                load == null ? null : Mass.kg(load),
                tubeless,
                insert));
        fields.finish();
        return parts.orElseThrow();
    }

    private static FitCase.Rim rim(JsonFields rim) {
        return new FitCase.Rim(
                rim.number("internalWidthMm", TireOnRim.RIM_INTERNAL_WIDTH_MM),
                rim.number("beadSeatDiameterMm", TireOnRim.BEAD_SEAT_DIAMETER_MM),
                rim.optionalNumber("depthMm", FitCase.DEPTH_MM),
                rim.flag("hookless"),
                rim.choice("tubeless", RimBed.class).orElse(null),
                rim.optionalNumber("maxKpa", Setup.PRINTED_MAX_KPA),
                new ValveHole(
                        rim.optionalNumber("valveHoleMm", FitCase.VALVE_HOLE_MM),
                        rim.choice("valveSeat", ValveBase.class).orElse(null),
                        rim.flag("valveHoleOffCentre")));
    }

    private static FitCase.Marks marks(JsonFields marks) {
        return new FitCase.Marks(
                marks.flag("tubeless"),
                marks.flag("hooklessAllowed"),
                marks.optionalNumber("maxKpa", Setup.PRINTED_MAX_KPA),
                marks.optionalNumber("maxLoadKg", FitCase.LOAD_KG));
    }

    private static FitCase.Valve valve(JsonFields valve) {
        return new FitCase.Valve(
                valve.optionalNumber("lengthMm", FitCase.VALVE_LENGTH_MM),
                valve.optionalFlag("removableCore"),
                valve.choice("kind", ValveKind.class).orElse(null),
                valve.choice("base", ValveBase.class).orElse(null),
                valve.optionalFlag("sideHoles"));
    }

    private static FitCase.Tube tube(JsonFields tube) {
        return new FitCase.Tube(
                tube.number("minWidthMm", TireOnRim.NOMINAL_WIDTH_MM),
                tube.number("maxWidthMm", TireOnRim.NOMINAL_WIDTH_MM),
                tube.number("beadSeatDiameterMm", TireOnRim.BEAD_SEAT_DIAMETER_MM));
    }
}
