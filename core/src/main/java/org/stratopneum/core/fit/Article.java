package org.stratopneum.core.fit;

/** What a set-up takes: what goes on the wheel, and what it is done with. */
public enum Article {
    TAPE(true),
    SEALANT(true),
    VALVE(true),
    TUBE(true),
    INSERT(true),
    ALCOHOL(false),
    CLOTH(false),
    SCISSORS(false),
    PICK(false),
    LEVERS(false),
    CORE_TOOL(false),
    INJECTOR(false),
    SOAPY_WATER(false),
    PUMP(false),
    CHAMBER(false),
    COMPRESSOR(false),
    GAUGE(false),
    GLOVES(false),
    EYE_PROTECTION(false),
    SPARE_CORE(false);

    private final boolean staysOnTheWheel;

    Article(boolean staysOnTheWheel) {
        this.staysOnTheWheel = staysOnTheWheel;
    }

    /** Whether it is used up; the rest is there for the next wheel. */
    public boolean staysOnTheWheel() {
        return staysOnTheWheel;
    }
}
