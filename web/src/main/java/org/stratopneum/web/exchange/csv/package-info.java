/** Notes from a spreadsheet: how a table is understood, row by row into the log, and out again. */
package org.stratopneum.web.exchange.csv;
