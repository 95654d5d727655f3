/** How quantities, verdicts and faults are put into words, and how typed numbers are read. */
package org.stratopneum.web.platform.wording;
