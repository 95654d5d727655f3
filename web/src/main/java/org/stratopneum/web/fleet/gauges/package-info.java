/** The rider's gauges, how they disagree, and the one in hand. */
package org.stratopneum.web.fleet.gauges;
