package org.stratopneum.web.parts.garage;

import java.time.LocalDate;
import java.util.UUID;

/**
 * A tire or a rim that is on no wheel.
 *
 * @param beadSeatDiameterMm (mm)
 * @param facts what it is, in words
 * @param retiredOn day, or null
 */
public record SparePart(UUID id, String name, double beadSeatDiameterMm, String facts, LocalDate retiredOn) {}
