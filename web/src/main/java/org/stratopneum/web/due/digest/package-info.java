/** What is due, by mail. */
package org.stratopneum.web.due.digest;
