package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
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
        assertThat(browser.text(".outcome")).contains("Written", "rear read 15.0 psi", "front read 19.0 psi");
        assertThat(browser.text(".stand-note.stand-rear")).contains("below the window", "pump before riding");
        assertThat(browser.text(".title-block")).contains("To the shed today: Plover rear");

        browser.press("#undo");
        assertThat(browser.text(".outcome")).contains("Struck through");
        assertThat(browser.text(".stand-note.stand-rear")).contains("not read yet");

        browser.press("button[formaction]");
        assertThat(browser.text(".outcome")).contains("rear set to", "front set to");
        assertThat(browser.text(".stand-note.stand-rear")).contains("inside the window");
        assertThat(browser.driver().getCurrentUrl()).startsWith(site.address() + "/?written=");
    }

    @Test
    void aWrongReadingIsPutRightAndStaysReadable() {
        browser.open(site.address() + "/");
        browser.type("[name=rear]", "91");
        browser.press(".write-acts button");
        browser.press(".stand-note.stand-rear a");
        assertThat(browser.text("h1")).isEqualTo("Rear wheel of Plover");
        assertThat(browser.text("main")).contains("read 91.0 psi", "above the window");
        browser.press(".entry-acts a");
        assertThat(rider.value("#value")).isEqualTo("91");
        browser.type("#value", "19,x");
        browser.press("#keep");
        assertThat(browser.text("#fault-value")).contains("is not what belongs here");
        browser.type("#value", "19");
        browser.press("#keep");
        assertThat(browser.text(".outcome")).contains("read 19.0 psi");
        assertThat(browser.text(".wheel-facts")).contains("last 19.0 psi").doesNotContain("91");
        assertThat(browser.text(".entry-line")).contains("19.0 psi", "corrected");

        browser.press(".entry-line button");
        assertThat(browser.text(".wheel-facts")).doesNotContain("last 19.0 psi");
        assertThat(browser.all(".log-struck")).isNotEmpty();
        browser.press("#undo");
        assertThat(browser.text(".wheel-facts")).contains("last 19.0 psi");
    }

    @Test
    void anotherTireGoesOnAndTheHistoryKeepsTheFirst() {
        browser.open(site.address() + "/garage");
        browser.press(".bench-wheel");
        browser.press("#fit");
        browser.type("#size", "27.5 x 2.4");
        browser.press("#keep");
        assertThat(browser.text("#fault-size")).contains("its bead seat is 584 mm, the rim's 622 mm");
        browser.type("#size", "700 x 40C");
        browser.type("#tireMax", "60");
        browser.press("#keep");
        assertThat(browser.text("#fault-size")).contains("30 mm is too wide for this tire: 26 mm");
        browser.type("#size", "54-622");
        browser.press("#keep");
        assertThat(browser.text(".outcome")).contains("fitted 54-622");
        assertThat(browser.all(".section")).hasSize(1);
        List<WebElement> periods = browser.all("section:last-of-type .entry-line strong");
        assertThat(periods).extracting(WebElement::getText).containsExactly("54-622", "57-622");

        browser.press("#fit");
        new Select(browser.find("#shelf")).selectByVisibleText("57-622");
        assertThat(browser.find("#size").isDisplayed())
                .as("a tire from the shelf is not described again")
                .isFalse();
        browser.press("#keep");
        assertThat(browser.text(".facts")).contains("57-622");

        assertThat(browser.text(".facts").split("57-622", -1))
                .as("a tire without a name of its own is named once")
                .hasSize(2);

        browser.press("#take-off");
        assertThat(browser.text("main")).contains("No tire is on this wheel");
        browser.press("#undo");
        assertThat(browser.text(".facts")).contains("57-622");
    }

    @Test
    void aSecondPairOfWheelsGoesInAndABikeIsRetiredAndRestored() {
        browser.open(site.address() + "/garage");
        browser.press("a[href$='/wheelsets/new']");
        browser.type("#wheelset", "Winter");
        browser.type("#rear-size", "42-622");
        browser.type("#rear-rimWidth", "23");
        browser.type("#rear-tireMax", "70");
        browser.press("#keep");
        assertThat(browser.text("main")).contains("Winter", "on the wall");
        browser.press("form[action$='/mount'] button");
        assertThat(browser.text(".outcome")).isEqualTo("Written: put in Winter\nUndo");
        browser.press("#undo");
        assertThat(browser.text(".outcome")).contains("Struck through");
        browser.press("#undo");
        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("wheels: Winter", "42-622");

        browser.open(site.address() + "/garage");
        browser.press("form[action*='/bikes/'][action$='/retire'] button");
        assertThat(browser.text(".bench-head")).contains("retired");
        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("No bike stands here yet");
        browser.open(site.address() + "/garage");
        browser.press("form[action*='/bikes/'][action$='/restore'] button");
        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("Plover");
    }

    @Test
    void settingsChangeHowPagesLookAndKeysLeadAround() {
        browser.open(site.address() + "/settings");
        String light = background();
        browser.find("input[name=theme][value=DARK]").click();
        browser.find("input[name=pressure][value=BAR]").click();
        browser.find("input[name=mass][value=LB]").click();
        browser.find("input[name=length][value=IN]").click();
        browser.press("#keep");
        assertThat(browser.text(".outcome")).isEqualTo("Kept.");
        assertThat(background()).isNotEqualTo(light);

        browser.pressKey("b");
        assertThat(browser.driver().getCurrentUrl()).isEqualTo(site.address() + "/");
        assertThat(browser.text("main")).contains("system 183 lb", "Rear gauge shows, bar");
        browser.pressKey("?");
        assertThat(browser.driver().getCurrentUrl()).endsWith("/keys");
        assertThat(browser.text("#key-list")).contains("bikes as they stand");

        browser.open(site.address() + "/settings");
        browser.find("input[name=letterKeys]").click();
        browser.press("#keep");
        browser.find("body").sendKeys("g");
        assertThat(browser.driver().getCurrentUrl()).as("letters are off").contains("/settings");
    }

    private String background() {
        return browser.find("html").getCssValue("background-color");
    }
}
