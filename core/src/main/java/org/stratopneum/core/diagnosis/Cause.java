package org.stratopneum.core.diagnosis;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** Why a wheel loses air. */
public enum Cause {
    /** Permeation, temperature, another gauge. */
    NORMAL(AirSystem.TUBELESS),
    /** A new casing drinks sealant. */
    NEW_SETTLING(AirSystem.TUBELESS),
    SEALANT_LOW(AirSystem.TUBELESS),
    CORE(AirSystem.TUBELESS),
    VALVE_BASE(AirSystem.TUBELESS),
    BEAD(AirSystem.TUBELESS),
    SIDEWALL(AirSystem.TUBELESS),
    TAPE(AirSystem.TUBELESS),
    TREAD_HOLE(AirSystem.TUBELESS),
    CUT(AirSystem.TUBELESS),
    RIM_DENT(AirSystem.TUBELESS),
    /** Not to be ridden. */
    RIM_CRACK(AirSystem.TUBELESS),
    TUBE_OBJECT(AirSystem.TUBE),
    TUBE_PINCH(AirSystem.TUBE),
    TUBE_RIMSIDE(AirSystem.TUBE),
    TUBE_VALVE(AirSystem.TUBE);

    /** Look-alikes whose first remedy is the same (common practice). */
    private static final List<List<Cause>> ALIKE =
            List.of(List.of(NEW_SETTLING, SIDEWALL), List.of(CUT, TREAD_HOLE), List.of(RIM_DENT, BEAD));

    private final AirSystem system;

    Cause(AirSystem system) {
        this.system = system;
    }

    public static List<Cause> of(AirSystem system) {
        return Arrays.stream(values()).filter(cause -> cause.system == system).toList();
    }

    /** Its name in the table, such as "tread-hole". */
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** This cause with those that look alike and are first mended alike. */
    public List<Cause> alike() {
        return ALIKE.stream().filter(group -> group.contains(this)).findFirst().orElse(List.of(this));
    }
}
