/** What years of records come to: how often, how much, how long, and how surely. */
package org.stratopneum.core.history;
