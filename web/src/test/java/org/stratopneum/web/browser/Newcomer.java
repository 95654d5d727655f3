package org.stratopneum.web.browser;

import java.util.Map;
import java.util.UUID;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** A rider who has just come, at a browser. */
record Newcomer(Browser browser, Site site) {

    private static final String PASSWORD = "pumice under the lichen";

    /** An account made beside the browser, which is signed in to it then. */
    Guest signsUp() {
        Guest guest = Guest.withAccount(site, Map.of("zone", "UTC"));
        browser.takes(guest.cookies());
        browser.open(site.address() + "/");
        return guest;
    }

    /** On the page that is open, with whatever it carries along. */
    void fillsInTheSignUp() {
        browser.type("#name", "Rider " + UUID.randomUUID().toString().substring(0, 13));
        browser.type("#password", PASSWORD);
        browser.click("#enter");
        browser.waitFor(there -> !browser.all("#go").isEmpty());
        browser.click("#go");
        browser.waitFor(there -> browser.all("#go").isEmpty());
    }

    /** Fills in what is asked of every bike, as printed and as weighed. */
    void typesTheBike() {
        browser.type("#rear-size", "29x2.25");
        browser.type("#rear-rimWidth", "30");
        browser.type("#rear-tireMax", "50");
        browser.click("#rear-setup-TUBELESS");
        browser.click("#ground-CROSS_COUNTRY");
        browser.type("#rider", "70");
        browser.type("#bike", "13");
    }

    /** An account, and a bike called Plover in it, whose rear wheel is open. */
    void entersABike() {
        Guest guest = signsUp();
        browser.open(site.address() + "/bikes/" + TypedBike.enter(guest) + "/pressure");
    }

    String value(String css) {
        return browser.find(css).getAttribute("value");
    }
}
