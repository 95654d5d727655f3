/** How fast a wheel loses its air, since when, and until when that will do. */
package org.stratopneum.web.pressure.pace;
