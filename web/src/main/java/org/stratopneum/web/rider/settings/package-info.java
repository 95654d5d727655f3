/** How a rider wants things shown: units, time zone, light or dark, shortcuts. */
package org.stratopneum.web.rider.settings;
