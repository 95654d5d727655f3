package org.stratopneum.web.exchange.csv;

/** What a cell says that asks for yes or no. */
enum Answer {
    YES,
    NO
}
