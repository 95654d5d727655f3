/** What pump, cartridges and chamber at hand do for one wheel. */
package org.stratopneum.web.pressure.air;
