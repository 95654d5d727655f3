/**
 * Small records for what is measured. Inside the core everything is SI (kPa, mm, kg, degrees Celsius); other units
 * exist only at the edge and are converted once, by a units library. Gauge and absolute pressure are different types.
 */
package org.stratopneum.core.quantity;
