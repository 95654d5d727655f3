/** Putting an entry of the log right: another entry takes its place, and the first stays readable. */
package org.stratopneum.web.fleet.correction;
