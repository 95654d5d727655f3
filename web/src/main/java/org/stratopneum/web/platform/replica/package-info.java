/** Pages may be read from a copy of the database that follows it, for whoever wrote nothing that the copy has not yet. */
package org.stratopneum.web.platform.replica;
