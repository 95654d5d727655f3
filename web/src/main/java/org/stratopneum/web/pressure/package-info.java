/** The pressure page of a bike: what to set and why, and writing down what the gauge showed. */
package org.stratopneum.web.pressure;
