package org.stratopneum.bench.web;

import java.util.Map;

/** Riders with the demo's bikes and year each, who have a password. */
final class Copies {

    /** So many in a transaction: one of ten thousand would be of gigabytes. */
    private static final int AT_ONCE = 500;

    private static final String PASSWORD = "lichen on the north wall";

    private final String address;
    private final Sql sql;
    private final String copying;
    private int riders;

    /**
     * Copies the demo rider once, as she is before anything is measured.
     *
     * @param sql as the database's superuser, who may copy rows unchecked
     * @param copying bench/many-riders.sql
     */
    Copies(String address, Sql sql, String copying) {
        this.address = address;
        this.sql = sql;
        this.copying = copying;
        new Browser(address)
                .post("/sign-up", Map.of("name", "Pattern", "password", PASSWORD, "unit", "PSI"))
                .join();
        copy("'d0000000-0000-4000-8000-000000000001'", 0);
    }

    /** Adds riders until there are so many. */
    void upTo(int wanted) {
        while (riders < wanted) {
            copy("md5('rider 0')", Math.min(wanted, riders + AT_ONCE) - 1);
        }
        sql.ask("-c", "vacuum (analyze)");
    }

    private void copy(String source, int last) {
        sql.ask("-v", "source=" + source, "-v", "first=" + riders, "-v", "last=" + last, "-f", copying);
        riders = last + 1;
    }

    /** @return the browser of one of them, signed in */
    Browser browser(int rider) {
        Browser browser = new Browser(address);
        browser.signIn("Rider " + rider, PASSWORD);
        return browser;
    }
}
