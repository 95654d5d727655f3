/** What is due when, over all bikes, and as a calendar to take away. */
package org.stratopneum.web.due;
