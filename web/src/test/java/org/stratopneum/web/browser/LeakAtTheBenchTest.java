package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** A soft wheel on Saturday morning, with wet hands. */
@ExtendWith(RunningApplication.class)
class LeakAtTheBenchTest {

    private final Site site;

    LeakAtTheBenchTest(Site site) {
        this.site = site;
    }

    @Test
    void oneCheckAtATimeLeadsToTheCardAndToTheLog() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            phone.open(site.address() + "/garage");
            String wheel =
                    phone.find("a[href*='/wheels/']").getDomProperty("href").replaceAll("(/wheels/[^/?#]+).*", "$1");
            phone.open(wheel + "/leak");
            phone.press("#begin");
            assertThat(phone.text("main")).contains("Check 1, about 2 min.", "Why this check?");
            assertThat(phone.find("#ranking").getAttribute("open"))
                    .as("folded until asked")
                    .isNull();
            int asked = 0;
            while (phone.all("#mend").isEmpty() && asked < 14) {
                asked++;
                phone.press("#answer-1");
            }
            assertThat(asked).as("a handful of checks").isBetween(1, 6);
            assertThat(phone.text("#mend")).contains("Fix it now:");
            assertThat(phone.sidewaysScroll()).isZero();

            // taken back from the list, and answered again by its key
            phone.click("#said > summary");
            phone.press(".said-line:last-of-type button");
            assertThat(phone.all("#mend")).isEmpty();
            phone.pressKey("2");
            phone.press("#undo-answer");
            assertThat(phone.all("#mend")).as("and once more by its button").isEmpty();
            phone.pressKey("2");
            phone.click("#ranking > summary");
            phone.click(".ranking summary");
            assertThat(phone.text(".ranking")).contains("times likelier");

            phone.open(wheel + "/leak");
            assertThat(phone.all(".said-line")).as("continued").isNotEmpty();
            phone.click("#known > summary");
            phone.press("#found");
            assertThat(phone.text("#end")).contains("Found:");
            phone.open(site.address() + "/log");
            assertThat(phone.text("main")).contains("leak found:");
        }
    }

    @Test
    void aPlaceIsTouchedOnTheDrawingsOrChosenByKeys() {
        try (Browser service = Browser.desktop()) {
            service.open(site.address() + "/leak/search?system=TUBELESS&mode=MEND_SOON");
            service.click("a[href='#map']");
            service.click("[data-value=BEAD_LEFT]");
            service.click("[data-pick=hour][data-value='4']");
            assertThat(chosen(service, "zone")).isEqualTo("BEAD_LEFT");
            assertThat(service.find("[data-value=BEAD_LEFT]").getAttribute("class"))
                    .contains("map-picked");
            service.press("#mark");
            assertThat(service.text("#map")).contains("left bead at 4 o'clock");
            assertThat(service.all(".map-mark")).hasSize(1);

            WebElement zone = service.find("input[name=zone][value=TREAD]");
            zone.sendKeys(Keys.ARROW_RIGHT);
            assertThat(chosen(service, "zone")).isEqualTo("FLANK_LEFT");
            service.press("#mark");
            assertThat(service.text("#map")).contains("left sidewall at 12 o'clock");
            assertThat(service.all(".map-mark")).hasSize(2);
        }
    }

    private static String chosen(Browser browser, String name) {
        return browser.find("input[name=" + name + "]:checked").getDomProperty("value");
    }
}
