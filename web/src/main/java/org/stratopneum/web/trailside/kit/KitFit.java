package org.stratopneum.web.trailside.kit;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.trailside.KitCheck;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.web.fleet.bikes.FitParts;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail.TireFitted;
import org.stratopneum.web.sealant.SealantState;

/** Whether a bag goes with a wheel. */
public final class KitFit {

    /** The widest hole that only takes the thin valve (mm; common practice). */
    private static final double THIN_HOLE_MM = 7;

    private KitFit() {}

    /**
     * @param liquid what is known of the sealant in it, or null without any
     * @param bearsCo2 whether the sealant of each bottle bears carbon dioxide
     */
    static List<Verdict> verdicts(
            WheelState wheel, KitState bag, WheelAir.Known air, SealantState liquid, Map<UUID, Boolean> bearsCo2) {
        return KitCheck.of(new KitCheck.Asked(
                !wheel.tubed(),
                liquid != null,
                liquid == null ? null : co2Safe(liquid, bearsCo2),
                thinOnly(wheel) ? ValveKind.PRESTA : null,
                valves(bag.kit().head()),
                valves(bag.kit().pumpHead()),
                !bag.kit().plugTool() && bag.have(KitItem.PLUG) > 0,
                withTube(wheel, bag.kit()).orElse(null),
                air == null ? null : air.budget(),
                bag.bag()));
    }

    /** Whether the liquid bears carbon dioxide; null where nobody noted which it is. */
    public static Boolean co2Safe(SealantState liquid, Map<UUID, Boolean> bearsCo2) {
        return liquid.bottle() == null ? null : bearsCo2.get(liquid.bottle());
    }

    private static boolean thinOnly(WheelState wheel) {
        Double hole = wheel.rim().valveHole().diameterMm();
        return hole != null && hole <= THIN_HOLE_MM;
    }

    private static Set<ValveKind> valves(Kit.Heads heads) {
        return heads == null ? Set.of() : heads.valves();
    }

    /** The wheel as it would stand with the spare tube in it. */
    private static Optional<FitCase> withTube(WheelState wheel, Kit kit) {
        FitCase.Tube tube = kit.tube();
        if (tube == null || wheel.tire().isEmpty()) {
            return Optional.empty();
        }
        WheelState tubed =
                wheel.with(wheel.tire().get(), new TireFitted(SetupKind.BUTYL_TUBE, false, null), wheel.taped());
        FitCase.Valve valve = kit.tubeValve() == null && kit.tubeValveMm() == null
                ? null
                : new FitCase.Valve(kit.tubeValveMm(), null, kit.tubeValve(), null, null);
        return tubed.fitCase(null, new FitParts(valve, tube, null));
    }
}
