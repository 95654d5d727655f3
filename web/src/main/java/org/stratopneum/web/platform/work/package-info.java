/** Work in the background: kept in the database until it is done, whichever process does it. */
package org.stratopneum.web.platform.work;
