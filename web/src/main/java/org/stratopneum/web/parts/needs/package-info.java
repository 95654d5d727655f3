/** What a wheel takes to be set up: tape, valve, sealant, tools; with amounts, for the shop and the bench. */
package org.stratopneum.web.parts.needs;
