/** A year on trial: riders who follow the application beside those who follow a thumb, a chart or a note. */
package org.stratopneum.bench.season;
