/**
 * What to do beside the trail with what is in the bag: the ladder as a table that can be read by another program, the
 * air that the bag holds, and what is left to do at home.
 */
package org.stratopneum.core.trailside;
