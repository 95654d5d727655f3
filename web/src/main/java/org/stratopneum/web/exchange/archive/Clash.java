package org.stratopneum.web.exchange.archive;

/** What is done where an archive says something else of a thing than the garage that it is brought into. */
enum Clash {
    /** What is there stays as it is. */
    KEEP,
    /** The archive counts. */
    TAKE
}
