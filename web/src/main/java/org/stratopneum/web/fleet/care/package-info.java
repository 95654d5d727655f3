/** How a rider looks after a wheel: how much sealant, by which schedule, what is looked at how often, and when it was. */
package org.stratopneum.web.fleet.care;
