/** Tells addresses of a rider's that something has become due, signed, and again until they have heard. */
package org.stratopneum.web.due.webhook;
