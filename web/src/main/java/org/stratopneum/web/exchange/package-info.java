/** Brings notes in and takes everything out again. */
package org.stratopneum.web.exchange;
