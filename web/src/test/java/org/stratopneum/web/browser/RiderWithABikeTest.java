package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** What a rider does day by day with a bike of their own: reading, putting right, changing tires and wheels. */
@ExtendWith(RunningApplication.class)
class RiderWithABikeTest {

    private final Site site;
    private Browser browser;
    private Newcomer rider;

    RiderWithABikeTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void openBrowserAndEnterABike() {
        browser = Browser.desktop();
        rider = new Newcomer(browser, site);
        rider.entersABike();
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    @Test
    void readingsOfBothWheelsAreRearFrontOneEnterOnTheFirstPage() {
        browser.open(site.address() + "/");
        browser.find("body").sendKeys("r");
        WebElement rear = browser.driver().switchTo().activeElement();
        assertThat(rear.getAttribute("name"))
                .as("the key r leads to the first gauge")
                .isEqualTo("rear");
        WebElement page = browser.find("html");
        rear.sendKeys("15", Keys.TAB);
        browser.driver().switchTo().activeElement().sendKeys("19", Keys.ENTER);
        browser.waitFor(there -> Browser.isStale(page));
        assertThat(browser.text(".saved")).contains("Saved", "rear read 15.0 psi", "front read 19.0 psi");
        assertThat(browser.text(".reads")).contains("Too low");
        assertThat(browser.text(".call")).contains("Pump ", "then ride");

        browser.press("#undo");
        assertThat(browser.text(".saved")).contains("Deleted");
        assertThat(browser.text(".reads")).contains("No reading yet");

        browser.press(".set-both");
        assertThat(browser.text(".saved")).contains("rear set to", "front set to");
        assertThat(browser.text(".reads")).contains("On target");
        assertThat(browser.driver().getCurrentUrl()).startsWith(site.address() + "/?written=");
    }

    @Test
    void aWrongReadingIsEditedAndStaysReadable() {
        browser.open(site.address() + "/");
        browser.type("[name=rear]", "47");
        browser.press(".enter .save");
        browser.press(".reads a");
        assertThat(browser.text("h1")).endsWith("rear wheel: Pressure");
        assertThat(browser.text("#state")).contains("Too high");
        browser.press("#tab-history");
        assertThat(browser.text(".entry-line")).contains("read 47.0 psi");
        browser.click(".entry-acts summary");
        browser.press(".entry-acts .edit");
        assertThat(rider.value("#value")).isEqualTo("47");
        browser.type("#value", "19,x");
        browser.press("#keep");
        assertThat(browser.text("#fault-value")).contains("Enter a number, e.g. 21.5");
        browser.type("#value", "19");
        browser.press("#keep");
        assertThat(browser.text(".saved")).contains("read 19.0 psi");
        assertThat(browser.text(".entry-line")).contains("19.0 psi", "edited").doesNotContain("47.0");

        browser.click(".entry-acts summary");
        browser.press(".entry-acts .delete");
        assertThat(browser.text(".saved")).contains("Deleted", "19.0 psi");
        browser.press("#undo");
        assertThat(browser.text(".entry-line")).contains("19.0 psi");
    }

    @Test
    void anotherTireGoesOnAndTheHistoryKeepsTheFirst() {
        browser.open(site.address() + "/garage");
        browser.press(".bench-wheel");
        fromTheMenu("#fit");
        browser.type("#size", "27.5 x 2.4");
        browser.press("#keep");
        assertThat(browser.text("#fault-size")).contains("its bead seat is 584 mm, the rim's 622 mm");
        browser.type("#size", "700 x 40C");
        browser.type("#tireMax", "60");
        browser.press("#keep");
        assertThat(browser.text("#fault-size")).contains("30 mm is too wide for this tire: at most 26 mm");
        browser.type("#size", "54-622");
        browser.press("#keep");
        assertThat(browser.text(".saved")).contains("fitted 54-622");
        assertThat(browser.all("figure svg")).hasSize(1);
        browser.press("#tab-history");
        assertThat(browser.text(".stays")).contains("54-622", "57-622");

        fromTheMenu("#fit");
        new Select(browser.find("#shelf")).selectByVisibleText("57-622");
        assertThat(browser.find("#size").isDisplayed())
                .as("a tire from the shelf is not described again")
                .isFalse();
        browser.press("#keep");
        assertThat(browser.text(".title-plate").split("57-622", -1))
                .as("a tire without a name of its own is named once")
                .hasSize(2);

        fromTheMenu("#take-off");
        assertThat(browser.text("main")).contains("No tire fitted");
        browser.press("#undo");
        assertThat(browser.text(".title-plate")).contains("57-622");
    }

    @Test
    void aSecondPairOfWheelsGoesInAndABikeIsRetiredAndRestored() {
        browser.open(site.address() + "/garage");
        browser.click(".bench-head .menu summary");
        browser.press("a[href$='/wheelsets/new']");
        browser.type("#wheelset", "Winter");
        browser.type("#rear-size", "42-622");
        browser.type("#rear-rimWidth", "23");
        browser.type("#rear-tireMax", "70");
        browser.press("#keep");
        assertThat(browser.text("main")).contains("Winter", "not in use");
        browser.press("form[action$='/mount'] button");
        assertThat(browser.text(".saved")).contains("Winter", "Undo");
        browser.press("#undo");
        assertThat(browser.text(".saved")).contains("Deleted");
        browser.press("#undo");
        browser.open(site.address() + "/");
        assertThat(browser.find(".bike-name .menu").getDomProperty("textContent"))
                .contains("Change wheels (Winter)");

        browser.open(site.address() + "/garage");
        browser.click(".bench-head .menu summary");
        browser.press("form[action*='/bikes/'][action$='/retire'] button");
        assertThat(browser.text(".bench-head")).contains("retired");
        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("No bikes yet");
        browser.open(site.address() + "/garage");
        browser.click(".bench-head .menu summary");
        browser.press("form[action*='/bikes/'][action$='/restore'] button");
        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("Plover");
    }

    @Test
    void settingsChangeHowPagesLookAndKeysLeadAround() {
        browser.open(site.address() + "/settings");
        String light = background();
        browser.click("input[name=theme][value=DARK]");
        browser.click("input[name=pressure][value=BAR]");
        browser.click("input[name=mass][value=LB]");
        browser.click("input[name=length][value=IN]");
        browser.press("#keep");
        assertThat(browser.text(".saved")).contains("Saved");
        assertThat(background()).isNotEqualTo(light);

        browser.pressKey("b");
        assertThat(browser.driver().getCurrentUrl()).isEqualTo(site.address() + "/");
        assertThat(browser.text("main")).contains("bar").doesNotContain("psi");
        browser.pressKey("?");
        assertThat(browser.driver().getCurrentUrl()).endsWith("/keys");
        assertThat(browser.text("#key-list")).contains("bikes");

        browser.open(site.address() + "/settings");
        browser.click("input[name=letterKeys]");
        browser.press("#keep");
        browser.find("body").sendKeys("g");
        assertThat(browser.driver().getCurrentUrl()).as("letters are off").contains("/settings");
    }

    /** What is rarely done with a wheel stands in its menu. */
    private void fromTheMenu(String css) {
        browser.click(".title-plate .menu summary");
        browser.press(css);
    }

    private String background() {
        return browser.find("html").getCssValue("background-color");
    }
}
