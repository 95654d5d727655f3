/** The home of a wheel: its section, what is on it, its limits, its readings and what was on it before. */
package org.stratopneum.web.wheel;
