package org.stratopneum.web.intake;

/**
 * What is wrong with a file.
 *
 * @param where the line of a table, or the place in an archive
 * @param what in words
 */
public record ImportFault(String where, String what) {}
