package org.stratopneum.core.trailside;

import static org.stratopneum.core.trailside.Rung.Reply.end;
import static org.stratopneum.core.trailside.Rung.Reply.lost;
import static org.stratopneum.core.trailside.Rung.Reply.note;
import static org.stratopneum.core.trailside.Rung.when;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.stratopneum.core.job.Caution;

/**
 * The ladder beside the trail (common practice, no source). The first rung whose facts hold and that was not come to yet
 * is the next one; the last one always holds, so that every way ends. It leaves out what a rider does not say: a bent
 * rim, a torn valve, the weather, the way home.
 */
public final class Ladder {

    private static final int MINUTE = 60;

    /** What turns riding on into riding home gently. */
    public static final List<Fact> LIMPS = List.of(Fact.AT_FLANK, Fact.BOOTED, Fact.NOWHERE, Fact.LITTLE_AIR);

    /** What every way ends with. */
    public static final Map<End, List<Caution>> END_CAUTIONS = Map.of(
            End.RIDE, List.of(Caution.BEFORE_RIDING),
            End.LIMP, List.of(Caution.CASING_CUT, Caution.BEFORE_RIDING),
            End.WALK, List.of());

    private static final Caution[] AIR = {Caution.CEILING, Caution.CO2};

    public static final List<Rung> RUNGS = List.of(
            // let the liquid do it
            when("LIQUID_CAN")
                    .tell("hole-down", note("closed", Fact.CLOSED), note("still-open", Fact.OPEN))
                    .waits(MINUTE)
                    .cautions(Caution.SEALANT, Caution.ROTATING),
            when("CLOSED_STILL", "HAS_AIR")
                    .tell("air-closed", end("holds", End.RIDE), lost("opened-again", Fact.OPEN))
                    .air(AirGoal.USUAL)
                    .cautions(AIR),
            // find it
            when("TUBELESS", "!HOLE_SEEN", "!AT_RIM_EDGE", "!AT_VALVE", "!SAID_BEAD_OFF", "!SHUT", "!SLASH")
                    .tell(
                            "find-hole",
                            note("in-tread", Fact.FOUND_TREAD),
                            note("in-flank", Fact.FOUND_FLANK),
                            note("at-rim-edge", Fact.FOUND_RIM_EDGE),
                            note("at-valve", Fact.FOUND_VALVE),
                            note("nowhere", Fact.NOWHERE))
                    .cautions(Caution.ROTATING, Caution.ROTOR),
            // the valve
            when("AT_VALVE").tell("core-tighten", note("quiet", Fact.CORE_TIGHT), note("still-leaks", Fact.CORE_BAD)),
            when("CORE_HOLDS", "HAS_AIR")
                    .tell("core-air", end("holds", End.RIDE), lost("still-leaks", Fact.CORE_BAD))
                    .air(AirGoal.USUAL)
                    .cautions(AIR),
            when("CORE_BAD", "HAS_CORE")
                    .tell("core-spare", note("in", Fact.NEW_CORE), note("core-would-not-go", Fact.VALVE_FAILED))
                    .uses(KitItem.CORE)
                    .cautions(Caution.SEALANT),
            when("NEW_CORE_HOLDS", "HAS_AIR")
                    .tell("core-spare-air", end("holds", End.RIDE), lost("still-leaks", Fact.VALVE_FAILED))
                    .air(AirGoal.USUAL)
                    .cautions(AIR),
            // burped
            when("TO_PUSH_BACK").tell("bead-push", note("sits", Fact.BEAD_BACK), note("came-off", Fact.BEAD_CAME_OFF)),
            when("BEAD_HOLDS", "HAS_AIR")
                    .tell("bead-air", end("holds", End.RIDE), lost("still-leaks", Fact.BEAD_FAILED))
                    .air(AirGoal.LOWER_HALF)
                    .cautions(AIR),
            // off its seat
            when("TUBELESS", "OFF", "HAS_GAS", "GAS_TO_SPARE")
                    .tell("bead-by-gas", note("seated", Fact.BEAD_SEATED), lost("not-seated", Fact.BEAD_FAILED))
                    .byGas(AirGoal.USUAL)
                    .cautions(AIR),
            when("SEATED_STILL", "HAS_AIR")
                    .tell("bead-top-up", end("holds", End.RIDE), lost("still-leaks", Fact.BEAD_FAILED))
                    .air(AirGoal.LOWER_HALF)
                    .cautions(AIR),
            // plug it
            when("PLUGGABLE")
                    .tell("plug-ream", note("done", Fact.REAMED), note("would-not-go", Fact.PLUG_FAILED))
                    .cautions(Caution.PIERCING),
            when("PLUGGABLE", "REAMED")
                    .tell("plug-in", note("in", Fact.PLUGGED), note("would-not-go", Fact.PLUG_FAILED))
                    .uses(KitItem.PLUG)
                    .cautions(Caution.PIERCING),
            when("PLUG_HOLDS", "HAS_AIR")
                    .tell(
                            "plug-air",
                            end("holds", End.RIDE),
                            note("weeps", Fact.WEEPS),
                            lost("blows-out", Fact.PLUG_FAILED))
                    .air(AirGoal.LOWER_HALF)
                    .cautions(AIR),
            when("WEEPS", "HAS_PLUG")
                    .tell("plug-second", note("in", Fact.SECOND_PLUG), note("would-not-go", Fact.PLUG_FAILED))
                    .uses(KitItem.PLUG)
                    .cautions(Caution.PIERCING),
            when("SECOND_HOLDS", "HAS_AIR")
                    .tell("plug-second-air", end("holds", End.RIDE), lost("still-leaks", Fact.PLUG_FAILED))
                    .air(AirGoal.LOWER_HALF)
                    .cautions(AIR),
            when("WEEPS", "!SECOND_PLUG", "!PLUG_FAILED")
                    .tell("plug-down", end("holds", End.LIMP), lost("still-leaks", Fact.PLUG_FAILED))
                    .waits(MINUTE)
                    .cautions(Caution.SEALANT),
            // not found: see how long it lasts, where that does not cost the air of the tube
            when("TUBELESS", "NOWHERE", "!SHUT", "HAS_AIR", "GAS_TO_SPARE")
                    .tell("air-and-watch", end("holds", End.LIMP), lost("goes-down"))
                    .air(AirGoal.USUAL)
                    .cautions(AIR),
            // boot and tube
            when("!SHUT", "TO_OPEN_UP", "CUT", "!HAS_BOOT", "!BOOTED")
                    .tell("boot-makeshift", note("have-one", Fact.MAKESHIFT), note("nothing", Fact.NO_MAKESHIFT)),
            when("!SHUT", "TO_OPEN_UP", "COVERED")
                    .tell("wheel-out", note("done", Fact.WHEEL_OUT), note("cannot", Fact.STUCK))
                    .cautions(Caution.E_BIKE, Caution.ROTOR, Caution.LEVERS),
            when("TUBELESS", "WHEEL_OUT", "HAS_TUBE").tell("valve-out", note("done"), note("cannot", Fact.STUCK)),
            when("TUBED", "WHEEL_OUT")
                    .tell(
                            "tube-look",
                            note("one-hole"),
                            note("two-holes", Fact.PINCHED),
                            note("rim-side", Fact.RIM_SIDE),
                            note("none-seen")),
            when("WHEEL_OUT", "!STUCK")
                    .tell("feel-thorns", note("done", Fact.FELT))
                    .cautions(Caution.CASING_CUT),
            when("FELT", "CUT", "HAS_BOOT")
                    .tell("boot-in", note("done", Fact.BOOTED))
                    .uses(KitItem.BOOT)
                    .cautions(Caution.CASING_CUT),
            when("FELT", "CUT", "MAKESHIFT", "!BOOTED")
                    .tell("boot-makeshift-in", note("done", Fact.BOOTED))
                    .cautions(Caution.CASING_CUT),
            when("FELT", "COVERED_NOW", "HAS_TUBE")
                    .tell("tube-in", note("done", Fact.TUBE_IN))
                    .uses(KitItem.TUBE),
            when("TUBED", "FELT", "COVERED_NOW", "!TUBE_IN", "HAS_PATCH")
                    .tell("tube-patch", note("done", Fact.PATCHED))
                    .uses(KitItem.PATCH),
            when("RUBBER_IN").tell("beads-on", note("done", Fact.BEADS_ON)).cautions(Caution.LEVERS),
            when("BEADS_HOLD", "HAS_AIR", "!BOOTED")
                    .tell("tube-air", end("holds", End.RIDE), lost("goes-down", Fact.TUBE_FAILED))
                    .air(AirGoal.LOWER_HALF)
                    .cautions(AIR),
            when("BEADS_HOLD", "HAS_AIR", "BOOTED")
                    .tell("tube-air-booted", end("holds", End.LIMP), lost("goes-down", Fact.TUBE_FAILED))
                    .air(AirGoal.SEVENTY)
                    .cautions(AIR),
            when("TUBE_FAILED", "HAS_AIR", "HAS_TUBE")
                    .tell("tube-second", note("done", Fact.AGAIN))
                    .uses(KitItem.TUBE),
            when("TUBE_FAILED", "HAS_AIR", "HAS_PATCH", "!AGAIN")
                    .tell("tube-patch-again", note("done", Fact.AGAIN))
                    .uses(KitItem.PATCH),
            when("AGAIN_HOLDS", "HAS_AIR", "!BOOTED")
                    .tell("again-air", end("holds", End.RIDE), lost("goes-down", Fact.AGAIN_FAILED))
                    .air(AirGoal.LOWER_HALF)
                    .cautions(AIR),
            when("AGAIN_HOLDS", "HAS_AIR", "BOOTED")
                    .tell("again-air-booted", end("holds", End.LIMP), lost("goes-down", Fact.AGAIN_FAILED))
                    .air(AirGoal.SEVENTY)
                    .cautions(AIR),
            // it keeps air, and there is none to put in
            when("SHUT", "!HAS_AIR").tell("feel", end("firm", End.LIMP), end("soft", End.WALK)),
            // nothing keeps it in, but a pump brings more
            when("!SHUT", "HAS_PUMP", "!CUT", "!OFF", "!WHEEL_OUT")
                    .tell("pump-on", end("holds", End.LIMP), lost("goes-down", Fact.PUMPED_ON))
                    .air(AirGoal.USUAL)
                    .cautions(Caution.CEILING),
            when().tell("walk", end("done", End.WALK)).cautions(Caution.CASING_CUT));

    private Ladder() {}

    /** The rung to tell now. */
    public static Rung next(Situation situation) {
        return RUNGS.stream()
                .filter(rung -> rung.applies(situation))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("the last rung always holds"));
    }

    public static Optional<Rung> rung(String code) {
        return RUNGS.stream().filter(rung -> rung.code().equals(code)).findFirst();
    }

    /** How a reply ends the stop where the situation is such; empty where it goes on. */
    public static Optional<End> ending(Rung.Reply reply, Situation after) {
        if (reply.end() == End.RIDE && LIMPS.stream().anyMatch(fact -> fact.holds(after))) {
            return Optional.of(End.LIMP);
        }
        return Optional.ofNullable(reply.end());
    }
}
