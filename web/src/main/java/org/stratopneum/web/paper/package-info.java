/** Pages as PDF. */
package org.stratopneum.web.paper;
