/** The shelf: what lies ready to go on a wheel, and what it is done with; how much is left, and where it has been. */
package org.stratopneum.web.parts.shelf;
