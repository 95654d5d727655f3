/** Simulated stand-ins for what lies outside of the application: a weather service, a digital gauge. */
package org.stratopneum.web.platform.standin;
