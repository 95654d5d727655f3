package org.stratopneum.core.diagnosis;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.stratopneum.core.job.Caution;
import org.stratopneum.core.job.Job;

/** Why a wheel loses air. */
public enum Cause {
    /** Permeation, temperature, another gauge. */
    NORMAL(AirSystem.TUBELESS, null),
    /** A new casing drinks sealant. */
    NEW_SETTLING(AirSystem.TUBELESS, Caution.CEILING),
    SEALANT_LOW(AirSystem.TUBELESS, Caution.SEALANT),
    CORE(AirSystem.TUBELESS, Caution.CEILING),
    VALVE_BASE(AirSystem.TUBELESS, Caution.CEILING),
    BEAD(AirSystem.TUBELESS, Caution.CEILING),
    SIDEWALL(AirSystem.TUBELESS, Caution.CEILING),
    TAPE(AirSystem.TUBELESS, Caution.RIM_CAVITY),
    TREAD_HOLE(AirSystem.TUBELESS, Caution.SEALANT),
    CUT(AirSystem.TUBELESS, Caution.CASING_CUT),
    RIM_DENT(AirSystem.TUBELESS, Caution.CRACKED_RIM),
    /** Not to be ridden. */
    RIM_CRACK(AirSystem.TUBELESS, Caution.CRACKED_RIM),
    TUBE_OBJECT(AirSystem.TUBE, Caution.LEVERS),
    TUBE_PINCH(AirSystem.TUBE, Caution.LEVERS),
    TUBE_RIMSIDE(AirSystem.TUBE, Caution.LEVERS),
    /** Tightened, or a new one put in, with the tube in its place. */
    TUBE_CORE(AirSystem.TUBE, Caution.CEILING),
    TUBE_STEM(AirSystem.TUBE, Caution.LEVERS),
    /** Noted before core and stem were told apart; nothing is looked for under this name. */
    TUBE_VALVE(AirSystem.TUBE, Caution.LEVERS);

    /** Look-alikes whose first remedy is the same (common practice). */
    private static final List<List<Cause>> ALIKE =
            List.of(List.of(NEW_SETTLING, SIDEWALL), List.of(CUT, TREAD_HOLE), List.of(RIM_DENT, BEAD));

    private final AirSystem system;
    private final Caution caution;

    /** What must hold the air for it. */
    public AirSystem system() {
        return system;
    }

    /** @param caution what can hurt whoever goes on riding, or mends it; null where there is nothing to mend */
    Cause(AirSystem system, Caution caution) {
        this.system = system;
        this.caution = caution;
    }

    /** What can hurt whoever goes on riding, or mends it; empty where there is nothing to mend. */
    public Optional<Caution> caution() {
        return Optional.ofNullable(caution);
    }

    public static List<Cause> of(AirSystem system) {
        return Arrays.stream(values())
                .filter(cause -> cause.system == system && cause != TUBE_VALVE)
                .toList();
    }

    /** Its name in the table, such as "tread-hole". */
    public String code() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The cards that mend it, the usual one first; none where there is nothing to mend, or nothing that a rider mends. */
    public List<Job> jobs() {
        return switch (this) {
            case NORMAL, RIM_CRACK -> List.of();
            case NEW_SETTLING, SIDEWALL -> List.of(Job.SETTLE);
            case SEALANT_LOW -> List.of(Job.REFRESH_THROUGH_VALVE, Job.REFRESH_AT_BEAD, Job.RENEW_SEALANT);
            case CORE, VALVE_BASE -> List.of(Job.SERVICE_VALVE);
            case BEAD -> List.of(Job.MEND_BEAD);
            case TAPE -> List.of(Job.RETAPE);
            case TREAD_HOLE -> List.of(Job.PLUG_AND_PATCH);
            case CUT -> List.of(Job.PLUG_AND_PATCH, Job.SEW_FLANK, Job.BOOT);
            case RIM_DENT -> List.of(Job.RIM_DENT);
            case TUBE_OBJECT, TUBE_PINCH -> List.of(Job.PATCH_TUBE, Job.SWAP_TUBE);
            case TUBE_CORE -> List.of(Job.SERVICE_VALVE);
            case TUBE_RIMSIDE, TUBE_STEM, TUBE_VALVE -> List.of(Job.SWAP_TUBE);
        };
    }

    /** The cause of this name in the table; empty where there is none. */
    public static Optional<Cause> coded(String code) {
        return Arrays.stream(values())
                .filter(cause -> cause.code().equals(code))
                .findFirst();
    }

    /** This cause with those that look alike and are first mended alike. */
    public List<Cause> alike() {
        return ALIKE.stream().filter(group -> group.contains(this)).findFirst().orElse(List.of(this));
    }
}
