/** How much is received from whom, and how long that may take. */
package org.stratopneum.web.platform.receive;
