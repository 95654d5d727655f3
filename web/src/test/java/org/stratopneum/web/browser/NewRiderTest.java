package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** A stranger comes with a bike, and goes on from there. */
@ExtendWith(RunningApplication.class)
class NewRiderTest {

    private final Site site;
    private Browser browser;
    private Newcomer rider;

    NewRiderTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void openBrowser() {
        browser = Browser.desktop();
        rider = new Newcomer(browser, site);
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    @Test
    void fromAnEmptyAccountToTheFirstAdvice() {
        browser.open(site.address() + "/sign-up");
        rider.fillsInTheSignUp();
        browser.press("#new-bike");
        browser.type("#name", "Plover");
        rider.typesTheBike();
        String rear = waitForTold("#told-rear");
        assertThat(browser.text("#rear-size-note")).isEqualTo("57-622, also called 29 x 2.25");
        assertThat(browser.all(".drawn .section")).as("the section of both").hasSize(1);
        assertThat(browser.text("#keep")).isEqualTo("Add Plover");

        browser.press("#keep");
        assertThat(browser.text("h1")).endsWith("rear wheel: Pressure");
        assertThat(browser.text("#told-rear")).as("what was told while typing").isEqualTo(rear);

        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("Plover", "Read the gauges", "Take a first reading");
        assertThat(browser.find(".enter input[name=rear]").getAttribute("placeholder"))
                .isEqualTo(rear);
    }

    @Test
    void nothingThatWasTypedIsLostAndEveryFaultStandsBesideItsField() {
        rider.signsUp();
        browser.open(site.address() + "/bikes/new");
        browser.type("#rear-size", "57-559");
        browser.type("#rear-rimWidth", "300");
        browser.type("#rider", "seventy");
        browser.click("#rear-hookless");
        browser.press("#keep");
        assertThat(browser.text("#fault-rear-setup")).isEqualTo("Required");
        assertThat(browser.text("#fault-name")).as("no name is needed").isEmpty();
        assertThat(browser.text("#fault-rear-rimWidth")).isEqualTo("must be at most 120 mm, was 300 mm");
        assertThat(browser.text("#fault-rider")).contains("Enter a number, e.g. 21.5");
        assertThat(rider.value("#rear-size")).isEqualTo("57-559");
        assertThat(rider.value("#rear-rimWidth")).isEqualTo("300");
        assertThat(rider.value("#rider")).isEqualTo("seventy");
        assertThat(browser.find("#rear-hookless").isSelected()).isTrue();

        browser.type("#rear-rimWidth", "30");
        browser.type("#rider", "70");
        browser.click("#more > summary");
        browser.click("#rear-hooklessOk-no");
        browser.click("#rear-setup-TUBELESS");
        browser.press("#keep");
        assertThat(browser.text("#fault-rear-hooklessOk"))
                .as("a tire that does not say so must not go on a hookless rim")
                .contains(
                        "this rim is hookless and needs a hookless-compatible tire. Any other can come off while you ride");
    }

    @Test
    void whileABikeIsTypedItSaysWhatSpeaksAgainstThePair() {
        rider.signsUp();
        browser.open(site.address() + "/bikes/new");
        rider.typesTheBike();
        waitForTold("#told-rear");
        browser.type("#rear-rimWidth", "21");
        browser.waitFor(there -> browser.text("#told-more").contains(": narrow, so the tire squirms."));
        assertThat(browser.text("#told-more"))
                .contains("Both wheels: Warning", "A rim of 22.8 mm to 37.1 mm", "the tire is marked tubeless")
                .doesNotContain("not made for tubeless");
        browser.click("#more > summary");
        browser.click("#rear-tubeless-no");
        browser.waitFor(there -> browser.text("#told-more").contains("The tire is not made for tubeless"));
        browser.click("#told-more summary");
        assertThat(browser.text("#told-more")).contains("highest 43.5 psi, the tire is not made for tubeless");
    }

    /** Modules come after the page: whoever is quicker than the line is answered all the same. */
    @Test
    void whatIsTypedBeforeThePageIsWholeIsToldToo() {
        rider.signsUp();
        browser.open(site.address() + "/bikes/new");
        browser.driver().executeScript("""
                const typed = {"rear-size": "29x2.25", "rear-rimWidth": "30", "rear-tireMax": "50", rider: "70", bike: "13"};
                for (const [id, value] of Object.entries(typed)) {
                  document.getElementById(id).value = value;
                }
                for (const id of ["rear-setup-TUBELESS", "ground-CROSS_COUNTRY"]) {
                  document.getElementById(id).checked = true;
                }
                import(document.getElementById("modules").dataset.live + "?late");
                """);
        assertThat(waitForTold("#told-rear")).isNotEmpty();
    }

    @Test
    void whereASizeMeansSeveralTheRiderIsAsked() {
        rider.signsUp();
        browser.open(site.address() + "/bikes/new");
        browser.type("#name", "Old one");
        rider.typesTheBike();
        browser.type("#rear-size", "26 x 1 3/8");
        browser.type("#rear-rimWidth", "21");
        browser.type("#rear-tireMax", "75");
        browser.click("#ground-FINE_GRAVEL");
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
        rider.typesTheBike();
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
        assertThat(browser.text("main")).contains("The bike you entered is saved with your account.");
        rider.fillsInTheSignUp();
        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("Mountain bike");
        browser.press(".bike-name a");
        assertThat(browser.text("#told-rear")).isEqualTo(rear);
        assertThat(rider.value("#rider"))
                .as("weights in the unit that they were typed in")
                .isEqualTo("154");
    }

    @Test
    void aBikeIsEnteredWithoutScripts() {
        try (Browser plain = Browser.withoutScripts()) {
            plain.open(site.address() + "/sign-up");
            new Newcomer(plain, site).fillsInTheSignUp();
            plain.click("#new-bike");
            plain.waitFor(there -> there.getCurrentUrl().endsWith("/bikes/new"));
            plain.type("#name", "Plover");
            plain.type("#rear-size", "26 x 1 3/8");
            plain.click("#rear-setup-BUTYL_TUBE");
            plain.click("#ground-FINE_GRAVEL");
            plain.type("#rider", "70");
            plain.click("#keep");
            plain.waitFor(there -> !plain.all("input[value='37-590']").isEmpty());
            plain.click("input[value='37-590']");
            plain.click("#keep");
            plain.waitFor(there -> there.getCurrentUrl().contains("/wheels/"));
            assertThat(plain.text("h1")).contains("Plover", "rear wheel");
        }
    }

    @Test
    void aFrontWheelThatDiffersBeginsAsACopyAndGoingBackFindsAllOfIt() {
        rider.signsUp();
        browser.open(site.address() + "/bikes/new");
        browser.click("#more > summary");
        assertThat(rider.value("#rear-casing")).as("nobody chose a light one").isEqualTo("STANDARD");
        browser.type("#name", "Plover");
        rider.typesTheBike();
        browser.click("#same");
        assertThat(rider.value("#front-size")).isEqualTo("29x2.25");
        assertThat(rider.value("#front-rimWidth")).isEqualTo("30");
        assertThat(browser.find("#front-setup-TUBELESS").isSelected()).isTrue();
        browser.type("#front-size", "29x2.4");
        browser.click("nav a[href='/log']");
        browser.waitFor(there -> there.getCurrentUrl().endsWith("/log"));
        browser.driver().navigate().back();
        browser.waitFor(there -> there.getCurrentUrl().contains("/bikes/new"));
        assertThat(rider.value("#name")).isEqualTo("Plover");
        assertThat(rider.value("#rear-size")).isEqualTo("29x2.25");
        assertThat(rider.value("#front-size")).isEqualTo("29x2.4");
        assertThat(rider.value("#front-rimWidth")).isEqualTo("30");
        assertThat(browser.find("#same").isSelected()).isFalse();
        assertThat(browser.all("[id^=fault-]"))
                .as("what is still to come is not called missing")
                .allMatch(fault -> fault.getText().isEmpty());
    }

    /** Whether it could be clicked; what the page is just putting in place cannot. */
    private boolean clicked(String css) {
        try {
            browser.click(css);
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
}
