/** The tire as a body: its section on a given rim, and what follows for height, air and inner surface. */
package org.stratopneum.core.tire;
