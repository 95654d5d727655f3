/** A page for those who write scripts, with examples for this server and the wheels of whoever reads it. */
package org.stratopneum.web.api.guide;
