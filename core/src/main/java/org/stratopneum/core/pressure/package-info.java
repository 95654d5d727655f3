/**
 * What to set: from masses, tire, rim and ground to a gauge pressure, step by step, with the limits that win over it.
 * The chain starts from published wheel-load charts; the factors after it are rules of thumb, shown as such.
 */
package org.stratopneum.core.pressure;
