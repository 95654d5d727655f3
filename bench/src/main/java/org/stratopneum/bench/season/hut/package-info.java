/** The demo's year: its rider, bikes and home, passing one year of the simulation. */
package org.stratopneum.bench.season.hut;
