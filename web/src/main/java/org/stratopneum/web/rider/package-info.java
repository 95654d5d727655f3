/** Who is asking: riders, the demo entry, and the fence that keeps every query inside one rider's rows. */
package org.stratopneum.web.rider;
