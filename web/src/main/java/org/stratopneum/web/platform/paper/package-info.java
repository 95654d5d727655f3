/** Pages as PDF. */
package org.stratopneum.web.platform.paper;
