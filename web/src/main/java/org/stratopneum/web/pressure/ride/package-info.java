/** Load, ground and drop of a ride, as they stand in forms and in addresses. */
package org.stratopneum.web.pressure.ride;
