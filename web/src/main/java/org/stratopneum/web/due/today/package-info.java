/** The first page: every bike as it stands, with what to set and what was last read. */
package org.stratopneum.web.due.today;
