package org.stratopneum.web.parts.garage;

import java.time.LocalDate;

/**
 * A pair of wheels as it is entered.
 *
 * @param since day on which the tires went on, or null for now
 */
record NewWheelset(String name, WheelSpec rear, WheelSpec front, LocalDate since) {}
