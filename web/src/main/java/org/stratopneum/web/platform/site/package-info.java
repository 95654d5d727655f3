/** What makes this site itself: its address, what it signs, and the names of its cookies. */
package org.stratopneum.web.platform.site;
