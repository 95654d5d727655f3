/** Job cards: begun on a wheel or a pair, answered step by step, left lying and gone on with; their end goes into the log. */
package org.stratopneum.web.jobs;
