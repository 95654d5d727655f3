/** Tokens by which a script or a gauge reads and writes a rider's log. */
package org.stratopneum.web.rider.tokens;
