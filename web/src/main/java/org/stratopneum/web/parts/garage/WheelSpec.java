package org.stratopneum.web.parts.garage;

/** A wheel as it is entered: its rim, and what goes on it; {@code fit} is null for a wheel without a tire. */
record WheelSpec(RimSpec rim, FitSpec fit) {}
