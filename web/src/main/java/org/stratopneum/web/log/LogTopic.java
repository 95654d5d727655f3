package org.stratopneum.web.log;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/** What entries are about, as a rider looks for them; every kind has one. */
public enum LogTopic {
    READINGS(LogKind.READINGS),
    SEALANT(List.of(
            LogKind.SEALANT_ADDED,
            LogKind.SEALANT_DIPPED,
            LogKind.SEALANT_HEARD,
            LogKind.SEALANT_LOST,
            LogKind.SEALANT_FOUND,
            LogKind.DIP_EXPLAINED)),
    HOLES(List.of(LogKind.PUNCTURE_SEALED, LogKind.LEAK_FOUND, LogKind.TRAIL_MEND)),
    FITTING(List.of(
            LogKind.TIRE_FITTED,
            LogKind.TIRE_REMOVED,
            LogKind.WHEELSET_MOUNTED,
            LogKind.RIM_TAPED,
            LogKind.PART_FITTED,
            LogKind.WARNING_ACCEPTED)),
    CARE(List.of(LogKind.JOB_ENDED, LogKind.CARE_DONE, LogKind.TREAD_MEASURED)),
    RIDES(LogKind.DIALLING);

    private final List<LogKind> kinds;

    LogTopic(List<LogKind> kinds) {
        this.kinds = kinds;
    }

    public List<LogKind> kinds() {
        return kinds;
    }

    /** The kinds of some topics, or null where none is chosen, which is to say all. */
    static Set<LogKind> kindsOf(Collection<LogTopic> topics) {
        if (topics.isEmpty()) {
            return null;
        }
        Set<LogKind> kinds = new TreeSet<>();
        topics.forEach(topic -> kinds.addAll(topic.kinds));
        return kinds;
    }
}
