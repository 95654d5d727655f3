package org.stratopneum.core.diagnosis;

/** What holds the air. */
public enum AirSystem {
    TUBELESS,
    TUBE
}
