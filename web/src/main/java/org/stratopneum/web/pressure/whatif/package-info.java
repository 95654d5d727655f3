/** A wheel beside what it would be with another tire, rim, load, ground or set-up; nothing of it is kept. */
package org.stratopneum.web.pressure.whatif;
