/** A digital gauge that is watched while it settles, and whose value goes into the log. */
package org.stratopneum.web.pressure.livegauge;
