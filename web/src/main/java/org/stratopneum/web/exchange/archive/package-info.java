/** A whole garage as one JSON file, out and in. */
package org.stratopneum.web.exchange.archive;
