/** A bike's folded page for the bag: pressures, air, ladder, cautions; on paper and as a PDF. */
package org.stratopneum.web.trailside.trailcard;
