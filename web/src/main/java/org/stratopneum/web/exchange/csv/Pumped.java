package org.stratopneum.web.exchange.csv;

/** What a cell says of when a reading was taken. */
enum Pumped {
    SET,
    FOUND
}
