/** A rider's log for whoever has a token of theirs: appended to, and read in the order of writing. */
package org.stratopneum.web.api.scripts;
