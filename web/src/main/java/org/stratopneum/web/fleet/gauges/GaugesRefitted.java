package org.stratopneum.web.fleet.gauges;

/** How the gauges stand to the reference was fitted anew; said within the same transaction. */
public record GaugesRefitted() {}
