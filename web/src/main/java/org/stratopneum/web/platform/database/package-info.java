/** How stored types become Java types. */
package org.stratopneum.web.platform.database;
