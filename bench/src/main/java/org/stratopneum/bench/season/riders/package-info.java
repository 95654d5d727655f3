/** Riders who look after their wheels in one way or another. They see what a {@link Shed} shows them, and nothing of the truth. */
package org.stratopneum.bench.season.riders;
