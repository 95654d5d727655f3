/** What was worked out of wheels, kept for as long as it would come out the same. */
package org.stratopneum.web.fleet.kept;
