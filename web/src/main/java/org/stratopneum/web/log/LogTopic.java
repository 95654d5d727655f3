package org.stratopneum.web.log;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** What entries are about, as a rider looks for them; every kind has one. */
public enum LogTopic {
    READINGS("gauge", LogKind.READINGS),
    SEALANT(
            "drop",
            List.of(
                    LogKind.SEALANT_ADDED,
                    LogKind.SEALANT_DIPPED,
                    LogKind.SEALANT_HEARD,
                    LogKind.SEALANT_LOST,
                    LogKind.SEALANT_FOUND,
                    LogKind.DIP_EXPLAINED)),
    HOLES("thorn", List.of(LogKind.PUNCTURE_SEALED, LogKind.LEAK_FOUND, LogKind.TRAIL_MEND)),
    FITTING(
            "tire",
            List.of(
                    LogKind.TIRE_FITTED,
                    LogKind.TIRE_REMOVED,
                    LogKind.WHEELSET_MOUNTED,
                    LogKind.RIM_TAPED,
                    LogKind.PART_FITTED,
                    LogKind.WARNING_ACCEPTED)),
    CARE("check", List.of(LogKind.JOB_ENDED, LogKind.CARE_DONE, LogKind.TREAD_MEASURED)),
    RIDES("ride", LogKind.DIALLING);

    private final String icon;
    private final List<LogKind> kinds;

    LogTopic(String icon, List<LogKind> kinds) {
        this.icon = icon;
        this.kinds = kinds;
    }

    /** The drawn sign of it. */
    public String icon() {
        return icon;
    }

    public List<LogKind> kinds() {
        return kinds;
    }

    /** What an entry of some kind is about. */
    static LogTopic of(LogKind kind) {
        return Stream.of(values())
                .filter(topic -> topic.kinds.contains(kind))
                .findFirst()
                .orElseThrow();
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
