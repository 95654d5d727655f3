package org.stratopneum.web.browser;

import org.stratopneum.web.support.Site;

/** A phone that is to be of use without signal. */
final class TrailPhone {

    private TrailPhone() {}

    /** Opens the page with signal once, until the phone has kept it. */
    static void keep(Browser phone, Site site) {
        phone.open(site.address() + "/trailside");
        phone.text("#step h2");
        phone.waitFor(there -> phone.driver()
                .executeScript("return navigator.serviceWorker.controller !== null")
                .equals(true));
        phone.waitFor(there -> phone.driver()
                .executeAsyncScript("const done = arguments[0];"
                        + "caches.match('/trailside/rules.json').then((kept) => done(kept !== undefined))")
                .equals(true));
    }
}
