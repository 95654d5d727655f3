package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.WebElement;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** What must hold on every page, whatever it is about. */
@ExtendWith(RunningApplication.class)
class EveryPageTest {

    private static final String SKYLARK = "/bikes/d0000000-0000-4000-8000-000000000301/pressure";
    private static final String WHEEL = "/wheels/d0000000-0000-4000-8000-000000000601";
    private static final String TUBED_WHEEL = "/wheels/d0000000-0000-4000-8000-000000000603";
    private static final String BIKE = "/bikes/d0000000-0000-4000-8000-000000000301";

    /** A visitor's address: a bike whose size asks which, and one that is told. */
    private static final String ASKS = "/pressure?asked=1&same=on&rear-size=26+x+1+3/8&rear-setup=TUBELESS&rider=70";

    private static final String TOLD =
            "/pressure?asked=1&rear-size=29x2.25&rear-rimWidth=30&rear-tireMax=50&rear-setup="
                    + "TUBELESS&front-size=29x2.4&front-rimWidth=30&front-setup=BUTYL_TUBE&posture=MOUNTAIN"
                    + "&ground1=CROSS_COUNTRY&share1=100&rider=70&bike=13&massUnit=KG";

    /** Every page that the demo rider can open, some of them faulty. */
    private static final String TIRE = "/tires/d0000000-0000-4000-8000-000000000701";

    private static final List<String> PAGES = List.of(
            "/",
            SKYLARK,
            SKYLARK + "?bike=9999&luggageRear=300",
            "/log",
            "/log?words=seal&topic=READINGS&topic=HOLES&hide=on",
            "/garage",
            WHEEL,
            TUBED_WHEEL,
            WHEEL + "/history",
            TIRE + "/history",
            "/tires/compare?tire=" + TIRE.substring(7) + "&tire=d0000000-0000-4000-8000-000000000709",
            WHEEL + "/fit",
            WHEEL + "/needs?onHand=28",
            TUBED_WHEEL + "/needs",
            WHEEL + "/leak",
            TUBED_WHEEL + "/leak",
            WHEEL + "/pace",
            TUBED_WHEEL + "/pace?holeFrom=30",
            "/leak",
            "/leak/search?system=TUBELESS&mode=MEND_SOON&known=hit&step=seen.shake.silent&at=BEAD_LEFT@4.0",
            "/leak/search?system=TUBELESS&mode=NAME_IT&step=seen.soap-valve-tip.bubbles&step=seen.shake.slosh",
            "/leak/search?system=TUBE&mode=MEND_SOON&hour=4",
            "/drill",
            WHEEL + "/what-if?b-width=62&c-load=80",
            WHEEL + "/air?chamberL=1&chamberCharge=160&cartridgeG=25&stroke=90&pumpMost=100",
            WHEEL + "/cards",
            WHEEL + "/cards/new?job=CHANGE_TIRE",
            TUBED_WHEEL + "/cards/new?job=CONVERT",
            "/cards",
            "/cards/d0000000-0000-4000-8000-000000000901",
            "/shelf",
            "/shelf/new?kind=SEALANT",
            "/shelf/d0000000-0000-4000-8000-000000000807",
            "/rims/new",
            "/gauges/new",
            "/gauges/d0000000-0000-4000-8000-000000000202",
            BIKE + "/edit",
            BIKE + "/pocket",
            BIKE + "/kit",
            BIKE + "/trail-card",
            "/trailside",
            "/trailside/plan",
            "/trailside/plan?size=57-622&plugs=2&cartridges=1&grams=16&unit=PSI&pump=ROUND&tube=on&most=-2",
            "/trailside/plan?size=57-622&plugs=2&cartridges=1&grams=16&unit=PSI&pump=ROUND&tube=on",
            BIKE + "/elsewhere",
            BIKE + "/dialling",
            "/exchange",
            "/agenda",
            "/agenda/month",
            "/agenda/ride",
            "/matters/d0000000-0000-4000-8000-000000000602-SEALANT_REFRESH",
            "/digest",
            WHEEL + "/cards/new?job=REFRESH_THROUGH_VALVE",
            WHEEL + "/gauge",
            WHEEL + "/sealant",
            TUBED_WHEEL + "/sealant",
            BIKE + "/rides/new",
            "/places",
            "/places/new",
            "/places/d0000000-0000-4000-8000-000000000105",
            BIKE + "/wheelsets/new",
            "/bikes/new",
            "/bikes/new?asked=1",
            "/tires/new",
            ASKS,
            TOLD,
            "/settings",
            "/keys",
            "/calculators",
            "/sign-up",
            "/sign-in",
            "/recover",
            "/nothing");

    private static final String SLEDGE = "/bikes/d0000000-0000-4000-8000-000000000303/pressure";

    private static Browser browser;

    private final Site site;

    EveryPageTest(Site site) {
        this.site = site;
    }

    @BeforeAll
    static void openBrowser() {
        browser = Browser.desktop();
    }

    @AfterAll
    static void closeBrowser() {
        browser.close();
    }

    @Test
    void onAPhoneNothingScrollsSidewaysAndRearStaysLeft() {
        for (int width : new int[] {360, 390}) {
            try (Browser phone = Browser.phone(width)) {
                for (String path : PAGES) {
                    phone.open(site.address() + path);
                    assertThat(phone.sidewaysScroll()).as(path + " at " + width).isZero();
                }
                phone.open(site.address() + SKYLARK);
                assertThat(phone.find("#told-rear").getLocation().x)
                        .isLessThan(phone.find("#told-front").getLocation().x);
                assertThat(phone.find("#told-rear").getLocation().y)
                        .isEqualTo(phone.find("#told-front").getLocation().y);
                for (WebElement target : phone.all("button, select, input[type=text], .act, nav a")) {
                    if (target.isDisplayed()) {
                        assertThat(target.getSize().height)
                                .as(target.getAttribute("outerHTML"))
                                .isGreaterThanOrEqualTo(44);
                    }
                }
            }
        }
    }

    @Test
    void noPageHasAnAccessibilityFaultInEitherTheme() {
        for (boolean dark : new boolean[] {false, true}) {
            browser.darkTheme(dark);
            List<String> paths = new ArrayList<>(PAGES);
            paths.add(SLEDGE + "?luggageRear=250");
            paths.add("/log/" + entry() + "/correct");
            paths.add("/log/" + entry());
            paths.add("/tires/d0000000-0000-4000-8000-000000000701");
            paths.add("/rims/d0000000-0000-4000-8000-000000000501");
            for (String path : paths) {
                browser.open(site.address() + path);
                List<Rule> violations = axe().analyze(browser.driver()).getViolations();
                assertThat(violations)
                        .as(path + (dark ? " dark" : " light"))
                        .extracting(Rule::getId)
                        .isEmpty();
            }
        }
        browser.darkTheme(false);
    }

    @Test
    void theContentPolicyStopsNothingOfOurs() {
        browser.complaints();
        for (String path : PAGES) {
            if (!path.equals("/nothing")) {
                browser.open(site.address() + path);
            }
        }
        assertThat(browser.complaints()).isEmpty();
        assertThat(browser.driver()
                        .executeScript("return document.fonts.ready.then(() => document.fonts.check('16px Saira'))"))
                .isEqualTo(true);
    }

    /** Without a window of its own for each look: our pages have no frames, and a loaded machine opens windows late. */
    private static AxeBuilder axe() {
        return new AxeBuilder().setLegacyMode();
    }

    /** An entry of the log that can be put right. */
    private String entry() {
        return new Guest(site).ids(WHEEL, "/log/").get(0);
    }
}
