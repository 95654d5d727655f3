/** What is in each bike's bag: counted, used, and whether it fits the wheels. */
package org.stratopneum.web.trailside.kit;
