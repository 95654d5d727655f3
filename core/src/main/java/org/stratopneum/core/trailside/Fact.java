package org.stratopneum.core.trailside;

import java.util.List;
import org.stratopneum.core.diagnosis.AirSystem;

/**
 * What the rungs of the ladder ask for. Each is told in one of five ways, so that a reader of the table needs to know no
 * more than those: a field is one of some words, the bag holds enough of something, all or any of other facts hold, or
 * an answer noted it.
 */
public enum Fact {
    TUBELESS(field(Field.SYSTEM, AirSystem.TUBELESS.name())),
    TUBED(field(Field.SYSTEM, AirSystem.TUBE.name())),
    LIVE_SEALANT(field(Field.SEALANT, "LIVE")),

    HAS_PLUG(holds(KitItem.PLUG, 1)),
    HAS_TUBE(holds(KitItem.TUBE, 1)),
    HAS_BOOT(holds(KitItem.BOOT, 1)),
    HAS_PATCH(holds(KitItem.PATCH, 1)),
    HAS_CORE(holds(KitItem.CORE, 1)),
    HAS_PUMP(holds(KitItem.PUMP, 1)),
    HAS_GAS(holds(KitItem.GAS, 1)),
    TWO_GAS(holds(KitItem.GAS, 2)),
    HAS_AIR(any("HAS_PUMP", "HAS_GAS")),
    /** One cartridge is all the air there is. */
    ONE_FILL(all("HAS_GAS", "!HAS_PUMP", "!TWO_GAS")),

    FOUND_TREAD,
    FOUND_FLANK,
    FOUND_RIM_EDGE,
    FOUND_VALVE,
    /** Looked for, and not found. */
    NOWHERE,
    SAID_TREAD(field(Field.WHERE, Where.TREAD.name(), Where.SHOULDER.name())),
    SAID_FLANK(field(Field.WHERE, Where.FLANK.name())),
    SAID_RIM_EDGE(field(Field.WHERE, Where.RIM_EDGE.name())),
    SAID_VALVE(field(Field.WHERE, Where.VALVE.name())),
    SAID_BEAD_OFF(field(Field.WHERE, Where.BEAD_OFF.name())),
    AT_TREAD(any("SAID_TREAD", "FOUND_TREAD")),
    AT_FLANK(any("SAID_FLANK", "FOUND_FLANK")),
    AT_RIM_EDGE(any("SAID_RIM_EDGE", "FOUND_RIM_EDGE")),
    AT_VALVE(any("SAID_VALVE", "FOUND_VALVE")),
    /** A hole in the rubber was seen. */
    HOLE_SEEN(any("AT_TREAD", "AT_FLANK")),

    PLUG_SIZED(field(Field.SIZE, CutSize.UP_TO_3.name(), CutSize.UP_TO_6.name())),
    UP_TO_6(field(Field.SIZE, CutSize.UP_TO_6.name())),
    SLASH(field(Field.SIZE, CutSize.OVER_6.name())),

    CLOSED,
    /** Open still, or again. */
    OPEN,
    REAMED,
    PLUGGED,
    WEEPS,
    SECOND_PLUG,
    PLUG_FAILED,
    BEAD_BACK,
    BEAD_CAME_OFF,
    BEAD_SEATED,
    BEAD_FAILED,
    CORE_TIGHT,
    CORE_BAD,
    NEW_CORE,
    VALVE_FAILED,
    MAKESHIFT,
    NO_MAKESHIFT,
    WHEEL_OUT,
    STUCK,
    FELT,
    /** Two holes beside each other: the rim bit through the tube. */
    PINCHED,
    /** The hole points to the rim. */
    RIM_SIDE,
    BOOTED,
    TUBE_IN,
    PATCHED,
    BEADS_ON,
    TUBE_FAILED,
    AGAIN,
    AGAIN_FAILED,
    PUMPED_ON,
    /** Less than seven tenths of the usual pressure. */
    LITTLE_AIR,
    /** Carbon dioxide went in. */
    GAS_IN,
    /** Something was taken out of the bag. */
    BAG_USED,
    /** It did not get home riding. */
    WALKED,

    /** The one cartridge must not be wasted on an open hole that can be plugged. */
    PLUG_FIRST(all("TUBELESS", "HOLE_SEEN", "PLUG_SIZED", "HAS_PLUG", "ONE_FILL")),
    LIQUID_CAN(all(
            "LIVE_SEALANT",
            "!AT_VALVE",
            "!AT_RIM_EDGE",
            "!SAID_BEAD_OFF",
            "!SLASH",
            "!PLUG_FIRST",
            "!CLOSED",
            "!OPEN")),
    /** A cut in the flank that no plug holds in. */
    FLANK_CUT(all("AT_FLANK", "UP_TO_6")),
    TO_BE_PLUGGED(any("OPEN", "!LIVE_SEALANT", "PLUG_FIRST")),
    PLUGGABLE(all("TUBELESS", "HAS_PLUG", "HOLE_SEEN", "!SLASH", "!FLANK_CUT", "TO_BE_PLUGGED", "!PLUG_FAILED")),
    PLUG_HOLDS(all("PLUGGED", "!WEEPS", "!PLUG_FAILED")),
    SECOND_HOLDS(all("SECOND_PLUG", "!PLUG_FAILED")),
    CLOSED_STILL(all("CLOSED", "!OPEN")),
    BEAD_HOLDS(all("BEAD_BACK", "!BEAD_FAILED")),
    SEATED_STILL(all("BEAD_SEATED", "!BEAD_FAILED")),
    CORE_HOLDS(all("CORE_TIGHT", "!CORE_BAD")),
    NEW_CORE_HOLDS(all("NEW_CORE", "!VALVE_FAILED")),
    BEADS_HOLD(all("BEADS_ON", "!TUBE_FAILED")),
    AGAIN_HOLDS(all("AGAIN", "!AGAIN_FAILED")),
    /** The wheel keeps air, as far as anybody knows. */
    SHUT(any(
            "CLOSED_STILL",
            "PLUG_HOLDS",
            "SECOND_HOLDS",
            "BEAD_HOLDS",
            "SEATED_STILL",
            "CORE_HOLDS",
            "NEW_CORE_HOLDS",
            "BEADS_HOLD",
            "AGAIN_HOLDS")),
    TO_PUSH_BACK_TUBED(all("TUBED", "SAID_BEAD_OFF")),
    TO_PUSH_BACK(any("AT_RIM_EDGE", "TO_PUSH_BACK_TUBED")),
    OFF(any("SAID_BEAD_OFF", "BEAD_CAME_OFF")),
    /** Gas that is not needed for the tube. */
    GAS_TO_SPARE(any("TWO_GAS", "HAS_PUMP", "!HAS_TUBE")),
    CUT_FLANK_UNHELD(all("AT_FLANK", "PLUG_FAILED")),
    /** Through the threads: a tube bulges out of it and bursts. */
    CUT(any("SLASH", "FLANK_CUT", "CUT_FLANK_UNHELD")),
    PATCH_A_TUBE(all("TUBED", "HAS_PATCH")),
    RUBBER_THERE(any("HAS_TUBE", "PATCH_A_TUBE")),
    TO_OPEN_UP(all("HAS_AIR", "RUBBER_THERE", "!STUCK", "!NO_MAKESHIFT")),
    COVERED(any("!CUT", "HAS_BOOT", "MAKESHIFT")),
    COVERED_NOW(any("!CUT", "BOOTED")),
    RUBBER_IN(any("TUBE_IN", "PATCHED")),
    /** A hole took some of the liquid with it. */
    LIQUID_LOST(any("CLOSED", "OPEN", "PLUGGED")),
    TUBED_BEAD_BACK(all("TUBED", "BEAD_BACK")),
    RIM_STRUCK(any("PINCHED", "BEAD_CAME_OFF", "BEAD_SEATED", "TUBED_BEAD_BACK")),
    CORE_TOUCHED(any("CORE_TIGHT", "CORE_BAD"));

    /** What is said of a stop, in words of a list. */
    public enum Field {
        SYSTEM,
        WHERE,
        SIZE,
        SEALANT
    }

    /** How a fact is told. */
    public sealed interface Test permits OneOf, AtLeast, All, Any, Noted {}

    /** The field is one of these words. */
    public record OneOf(Field field, List<String> words) implements Test {}

    /** The bag holds so many at least. */
    public record AtLeast(KitItem item, int count) implements Test {}

    /** All of these hold; "!" before a name means that it does not. */
    public record All(List<String> facts) implements Test {}

    /** One of these holds at least. */
    public record Any(List<String> facts) implements Test {}

    /** An answer said so. */
    public record Noted() implements Test {}

    private final Test test;

    Fact() {
        this(new Noted());
    }

    Fact(Test test) {
        this.test = test;
    }

    public Test test() {
        return test;
    }

    /** Whether it holds in {@code situation}. */
    boolean holds(Situation situation) {
        if (test instanceof OneOf one) {
            return one.words().contains(situation.word(one.field()));
        }
        if (test instanceof AtLeast least) {
            return situation.count(least.item()) >= least.count();
        }
        if (test instanceof All all) {
            return all.facts().stream().allMatch(fact -> holds(fact, situation));
        }
        if (test instanceof Any any) {
            return any.facts().stream().anyMatch(fact -> holds(fact, situation));
        }
        return situation.noted().contains(this);
    }

    /** Whether the named fact holds, or with "!" before it, does not. */
    static boolean holds(String name, Situation situation) {
        return name.startsWith("!")
                ? !valueOf(name.substring(1)).holds(situation)
                : valueOf(name).holds(situation);
    }

    private static Test field(Field field, String... words) {
        return new OneOf(field, List.of(words));
    }

    private static Test holds(KitItem item, int count) {
        return new AtLeast(item, count);
    }

    private static Test all(String... facts) {
        return new All(List.of(facts));
    }

    private static Test any(String... facts) {
        return new Any(List.of(facts));
    }
}
