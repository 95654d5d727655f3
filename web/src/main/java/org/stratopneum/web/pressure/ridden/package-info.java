/** Rides that were ridden: what a rider says of them, recorded tracks, and the pressure that suits the rider. */
package org.stratopneum.web.pressure.ridden;
