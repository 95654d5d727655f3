/** JSON calculators: the core without pages, accounts or memory, for scripts, gauges and checking from outside. */
package org.stratopneum.web.api.calculators;
