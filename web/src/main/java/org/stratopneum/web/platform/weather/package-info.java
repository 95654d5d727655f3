/** The weather at the rider's places, from the service that is set up; a simulated one ships with the application. */
package org.stratopneum.web.platform.weather;
