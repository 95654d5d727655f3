/** Recorded rides: what a GPX file tells of distance, climbing, time and place. */
package org.stratopneum.core.track;
