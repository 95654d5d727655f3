package org.stratopneum.web.pressure;

/** One line of the reckoning for both wheels; a wheel that does not have the step shows nothing. */
public record StepRow(String name, String why, String rearFactor, String rear, String frontFactor, String front) {}
