/** How fast a wheel loses its air, from readings between two inflations. */
package org.stratopneum.core.leak;
