package org.stratopneum.web.log;

/** Where an entry came from. */
public enum LogSource {
    TYPED,
    JOB_CARD,
    GAUGE,
    IMPORT,
    OFFLINE,
    DEMO
}
