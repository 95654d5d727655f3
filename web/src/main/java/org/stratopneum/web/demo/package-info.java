/**
 * The demo: an invented rider with three bikes and a month of readings that obey a plain leak law plus noise, relative
 * to today. Nothing outside this package and its script knows the invented parts.
 */
package org.stratopneum.web.demo;
