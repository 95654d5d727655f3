package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** A stranger comes with a bike, and goes on from there. */
@ExtendWith(RunningApplication.class)
class NewRiderTest {

    private static final String PASSWORD = "pumice under the lichen";

    private final Site site;
    private Browser browser;

    NewRiderTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void openBrowser() {
        browser = Browser.desktop();
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    @Test
    void fromAnEmptyAccountToTheFirstAdvice() {
        signUp();
        browser.press("#new-bike");
        browser.type("#name", "Plover");
        typeTheBike();
        String rear = waitForTold("#told-rear");
        assertThat(browser.text("#rear-size-note")).isEqualTo("57-622, also called 29 x 2.25");
        assertThat(browser.all(".draft .section"))
                .as("the section of each wheel")
                .hasSize(2);

        browser.press("#keep");
        assertThat(browser.text("h1")).isEqualTo("Pressure of Plover");
        assertThat(browser.text("#told-rear")).as("what was told while typing").isEqualTo(rear);

        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("Plover", "57-622", "read it once");
        assertThat(browser.find(".wheel-face").getAttribute("aria-label")).startsWith("Set rear " + rear + " psi");
    }

    @Test
    void nothingThatWasTypedIsLostAndEveryFaultStandsBesideItsField() {
        signUp();
        browser.open(site.address() + "/bikes/new");
        browser.type("#rear-size", "57-559");
        browser.type("#rear-rimWidth", "300");
        browser.type("#rider", "seventy");
        browser.find("#rear-hookless").click();
        browser.press("#keep");
        assertThat(browser.text("#fault-name")).isEqualTo("is missing");
        assertThat(browser.text("#fault-rear-rimWidth")).isEqualTo("must be at most 120 mm, was 300 mm");
        assertThat(browser.text("#fault-rider")).contains("a number such as");
        assertThat(value("#rear-size")).isEqualTo("57-559");
        assertThat(value("#rear-rimWidth")).isEqualTo("300");
        assertThat(value("#rider")).isEqualTo("seventy");
        assertThat(browser.find("#rear-hookless").isSelected()).isTrue();

        browser.type("#name", "Plover");
        browser.type("#rear-rimWidth", "30");
        browser.type("#rider", "70");
        browser.press("#keep");
        assertThat(browser.text("#fault-rear-hooklessOk"))
                .as("a tire that does not say so must not go on a hookless rim")
                .contains("only a tire that says it may");
    }

    @Test
    void whereASizeMeansSeveralTheRiderIsAsked() {
        signUp();
        browser.open(site.address() + "/bikes/new");
        browser.type("#name", "Old one");
        typeTheBike();
        browser.type("#rear-size", "26 x 1 3/8");
        browser.type("#rear-rimWidth", "21");
        browser.type("#rear-tireMax", "75");
        new Select(browser.find("#ground1")).selectByValue("FINE_GRAVEL");
        browser.waitFor(there -> browser.all("#rear-size-note input").size() == 2);
        browser.waitFor(there -> browser.text("#fault-rear-size").contains("choose the one"));
        browser.waitFor(there -> clicked("input[value='37-590']"));
        waitForTold("#told-rear");
        browser.press("#keep");
        browser.open(site.address() + "/garage");
        assertThat(browser.text("main")).contains("37-590");
    }

    @Test
    void whatAVisitorTypesBecomesTheFirstBike() {
        browser.open(site.address() + "/pressure");
        new Select(browser.find("#massUnit")).selectByValue("LB");
        typeTheBike();
        browser.type("#rider", "154");
        browser.type("#bike", "29");
        String rear = waitForTold("#told-rear");
        browser.waitFor(there -> there.getCurrentUrl().contains("bike=29"));
        browser.driver().navigate().refresh();
        assertThat(waitForTold("#told-rear")).as("the address holds it").isEqualTo(rear);
        assertThat(browser.driver().manage().getCookieNamed("stratopneum-session"))
                .as("a visitor has no session")
                .isNull();

        browser.press("#keep");
        assertThat(browser.text("main")).contains("comes along");
        signUpHere();
        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("First bike", "183 lb");
        browser.press(".stand-go a");
        assertThat(browser.text("#told-rear")).isEqualTo(rear);
        assertThat(value("#rider"))
                .as("weights in the unit that they were typed in")
                .isEqualTo("154");
    }

    @Test
    void readingsOfBothWheelsAreRearFrontOneEnterOnTheFirstPage() {
        bike();
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
        bike();
        browser.open(site.address() + "/");
        browser.type("[name=rear]", "91");
        browser.press(".write-acts button");
        browser.press(".stand-note.stand-rear a");
        assertThat(browser.text("h1")).isEqualTo("Rear wheel of Plover");
        assertThat(browser.text("main")).contains("read 91.0 psi", "above the window");
        browser.press(".entry-acts a");
        assertThat(value("#value")).isEqualTo("91");
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
        bike();
        browser.open(site.address() + "/garage");
        browser.press(".bench-wheel");
        browser.press("#fit");
        browser.type("#size", "27.5 x 2.4");
        browser.press("#keep");
        assertThat(browser.text("#fault-size")).contains("its bead seat is 584 mm, the rim's 622 mm");
        browser.type("#size", "700 x 40C");
        browser.type("#tireMax", "60");
        browser.press("#keep");
        assertThat(browser.text(".outcome")).contains("fitted 40-622");
        assertThat(browser.all(".section")).hasSize(1);
        List<WebElement> periods = browser.all("section:last-of-type .entry-line strong");
        assertThat(periods).extracting(WebElement::getText).containsExactly("40-622", "57-622");

        browser.press("#fit");
        new Select(browser.find("#shelf")).selectByVisibleText("57-622, 57-622");
        assertThat(browser.find("#size").isDisplayed())
                .as("a tire from the shelf is not described again")
                .isFalse();
        browser.press("#keep");
        assertThat(browser.text(".facts")).contains("57-622");

        browser.press("#take-off");
        assertThat(browser.text("main")).contains("No tire is on this wheel");
        browser.press("#undo");
        assertThat(browser.text(".facts")).contains("57-622");
    }

    @Test
    void aSecondPairOfWheelsGoesInAndABikeIsRetiredAndRestored() {
        bike();
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
        bike();
        browser.open(site.address() + "/settings");
        String light = background();
        browser.find("input[name=theme][value=DARK]").click();
        browser.find("input[name=pressure][value=BAR]").click();
        browser.find("input[name=mass][value=LB]").click();
        browser.find("input[name=length][value=IN]").click();
        browser.press("#keep");
        assertThat(browser.text(".outcome")).isEqualTo("Kept.");
        assertThat(background()).isNotEqualTo(light);

        browser.find("body").sendKeys("b");
        browser.waitFor(there -> there.getCurrentUrl().equals(site.address() + "/"));
        assertThat(browser.text("main")).contains("system 183 lb", "Rear gauge shows, bar");
        browser.find("body").sendKeys("?");
        browser.waitFor(there -> there.getCurrentUrl().endsWith("/keys"));
        assertThat(browser.text("#key-list")).contains("bikes as they stand");

        browser.open(site.address() + "/settings");
        browser.find("input[name=letterKeys]").click();
        browser.press("#keep");
        browser.find("body").sendKeys("g");
        assertThat(browser.driver().getCurrentUrl()).as("letters are off").contains("/settings");
    }

    @Test
    void aBikeIsEnteredWithoutScripts() {
        try (Browser plain = Browser.withoutScripts()) {
            plain.open(site.address() + "/sign-up");
            signUpIn(plain);
            plain.find("#new-bike").click();
            plain.waitFor(there -> there.getCurrentUrl().endsWith("/bikes/new"));
            plain.type("#name", "Plover");
            new Select(plain.find("#posture")).selectByValue("MOUNTAIN");
            plain.type("#rear-size", "26 x 1 3/8");
            plain.type("#rear-rimWidth", "21");
            new Select(plain.find("#ground1")).selectByValue("FINE_GRAVEL");
            plain.type("#rider", "70");
            plain.type("#bike", "13");
            plain.find("#keep").click();
            plain.waitFor(there -> !plain.all("input[value='37-590']").isEmpty());
            plain.find("input[value='37-590']").click();
            plain.find("#keep").click();
            plain.waitFor(there -> there.getCurrentUrl().contains("/pressure"));
            assertThat(plain.text("h1")).isEqualTo("Pressure of Plover");
        }
    }

    /** Fills in what is asked of every bike, as printed and as weighed. */
    private void typeTheBike() {
        new Select(browser.find("#posture")).selectByValue("MOUNTAIN");
        browser.type("#rear-size", "29x2.25");
        browser.type("#rear-rimWidth", "30");
        browser.type("#rear-tireMax", "50");
        new Select(browser.find("#ground1")).selectByValue("CROSS_COUNTRY");
        browser.type("#rider", "70");
        browser.type("#bike", "13");
    }

    /** Whether it could be clicked; what the page is just putting in place cannot. */
    private boolean clicked(String css) {
        try {
            browser.find(css).click();
            return true;
        } catch (StaleElementReferenceException exception) {
            return false;
        }
    }

    private String waitForTold(String css) {
        return browser.waitFor(there -> {
            try {
                List<WebElement> told = browser.all(css);
                return told.isEmpty() || told.get(0).getText().isEmpty()
                        ? null
                        : told.get(0).getText();
            } catch (StaleElementReferenceException exception) {
                return null;
            }
        });
    }

    /** An account with a bike in it. */
    private void bike() {
        signUp();
        browser.press("#new-bike");
        browser.type("#name", "Plover");
        typeTheBike();
        browser.press("#keep");
    }

    private void signUp() {
        browser.open(site.address() + "/sign-up");
        signUpHere();
    }

    private void signUpHere() {
        signUpIn(browser);
    }

    private static void signUpIn(Browser at) {
        at.type("#name", "Rider " + UUID.randomUUID().toString().substring(0, 13));
        at.type("#password", PASSWORD);
        at.find("#enter").click();
        at.waitFor(there -> !at.all("#go").isEmpty());
        at.find("#go").click();
        at.waitFor(there -> at.all("#go").isEmpty());
    }

    private String value(String css) {
        return browser.find(css).getAttribute("value");
    }

    private String background() {
        return browser.find("html").getCssValue("background-color");
    }
}
