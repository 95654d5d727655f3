/** One entry of the log: all that it says, what it said before, the rider's own words and pictures. */
package org.stratopneum.web.log.entry;
