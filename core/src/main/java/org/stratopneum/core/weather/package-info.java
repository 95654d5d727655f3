/** The weather of a day at a place, as far as tires feel it. */
package org.stratopneum.core.weather;
