/** Entering and changing bikes, wheelsets, wheels, rims and tires; what goes on a wheel when is written into the log. */
package org.stratopneum.web.parts.garage;
