/** What temperature and height do to the air in a tire. Gas laws use absolute pressure; gauges show the rest. */
package org.stratopneum.core.air;
