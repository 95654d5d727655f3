/** The bikes as they stand: which wheels are in, which tires are on them, and what was last read. */
package org.stratopneum.web.fleet.bikes;
