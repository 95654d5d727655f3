/** How much is received from whom, how long that may take, and how many are worked at. */
package org.stratopneum.web.platform.receive;
