/** The liquid in a tire: dips and sounds, what is left, when to look and to refresh, and topping up from a bottle. */
package org.stratopneum.web.sealant;
