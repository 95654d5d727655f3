/** Gauges that disagree: what one shows against what another one shows on the same tire. */
package org.stratopneum.core.gauge;
