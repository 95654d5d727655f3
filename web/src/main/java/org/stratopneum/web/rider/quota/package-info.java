/** How much a rider may send in a day. */
package org.stratopneum.web.rider.quota;
