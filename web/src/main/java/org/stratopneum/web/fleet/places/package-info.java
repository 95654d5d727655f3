/** Places where the rider's bikes stand and where they ride, with their height and their weather. */
package org.stratopneum.web.fleet.places;
