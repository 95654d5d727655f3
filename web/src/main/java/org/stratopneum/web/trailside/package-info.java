/** The stop beside the trail: with no signal, with what is in the bag, and with a plan for home. */
package org.stratopneum.web.trailside;
