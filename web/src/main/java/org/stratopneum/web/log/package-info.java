/**
 * What happened to which wheel, and when: an append-only log that everything else is computed from. A correction
 * supersedes, a strike-through supersedes and is struck, and nothing is overwritten.
 */
package org.stratopneum.web.log;
