package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.results.Rule;
import com.deque.html.axecore.selenium.AxeBuilder;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.WebElement;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** What must hold on every page, whatever it is about. */
@ExtendWith(RunningApplication.class)
class EveryPageTest {

    private static final String SKYLARK = "/bikes/d0000000-0000-4000-8000-000000000301/pressure";
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
                for (String path : List.of(
                        "/",
                        SKYLARK,
                        SKYLARK + "?bike=9999",
                        "/log",
                        "/calculators",
                        "/sign-up",
                        "/sign-in",
                        "/recover",
                        "/nothing")) {
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
            for (String path : List.of(
                    "/",
                    SKYLARK,
                    SKYLARK + "?bike=9999&luggageRear=300",
                    SLEDGE + "?luggageRear=250",
                    "/log",
                    "/calculators",
                    "/nothing")) {
                browser.open(site.address() + path);
                List<Rule> violations =
                        new AxeBuilder().analyze(browser.driver()).getViolations();
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
        for (String path : List.of("/", SKYLARK, "/log", "/calculators")) {
            browser.open(site.address() + path);
        }
        assertThat(browser.complaints()).isEmpty();
        assertThat(browser.driver()
                        .executeScript("return document.fonts.ready.then(() => document.fonts.check('16px Saira'))"))
                .isEqualTo(true);
    }
}
