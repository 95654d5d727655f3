package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.openqa.selenium.Keys;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** What a rider does with the first pages, in a real browser on the demo garage. */
@ExtendWith(RunningApplication.class)
@ResourceLock("demo garage")
class RiderAtTheBenchTest {

    private static final String SKYLARK = "/bikes/d0000000-0000-4000-8000-000000000301/pressure";
    private static final String SLEDGE = "/bikes/d0000000-0000-4000-8000-000000000303/pressure";

    private static final RiderPrincipal DEMO_RIDER =
            new RiderPrincipal(UUID.fromString("d0000000-0000-4000-8000-000000000001"), true);

    private static Browser browser;

    private final Site site;
    private final RunningApplication.Started started;

    RiderAtTheBenchTest(Site site, RunningApplication.Started started) {
        this.site = site;
        this.started = started;
    }

    /** Other tests type in other units; here the demo rider reads psi, as at the first start. */
    @BeforeEach
    void readPsi(RiderMapper riders, TransactionTemplate transaction) {
        CurrentRider.runAs(
                DEMO_RIDER, () -> transaction.executeWithoutResult(status -> riders.rememberUnit(PressureUnit.PSI)));
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
    void theFirstPageShowsEveryBikeAsItStands() {
        browser.open(site.address() + "/");
        assertThat(browser.all(".stand h2"))
                .extracting(WebElement::getText)
                .containsExactly("Skylark", "Heron", "Sledge");
        WebElement rear = browser.find(".stand-wheel.stand-rear");
        WebElement front = browser.find(".stand-wheel.stand-front");
        assertThat(rear.getLocation().x).isLessThan(front.getLocation().x);
        assertThat(browser.all(".wheel-number"))
                .hasSize(6)
                .allSatisfy(number ->
                        assertThat(Double.parseDouble(number.getText())).isBetween(10.0, 72.5));
        // an image hides its text from those who hear the page, so its name must say the number
        assertThat(browser.find(".wheel-face").getAttribute("aria-label"))
                .startsWith("Set rear " + browser.text(".wheel-number") + " psi");
        assertThat(browser.text(".stand-note.stand-rear")).contains("last", "psi", "the window");
    }

    @Test
    void theRiderReadsWhatToSetAndWhy() {
        browser.open(site.address() + "/");
        browser.press(".stand-go a");
        assertThat(browser.text("h1")).isEqualTo("Pressure of Skylark");
        assertThat(toldRear()).isGreaterThan(toldFront());
        assertThat(browser.text("#told")).contains("window");
        assertThat(browser.text("#why"))
                .contains("Charted pressure", "Ground", "ceiling 50.8 psi, printed on the tire");
        // the last line of the reckoning is the told one
        List<WebElement> last = browser.all(".chain tbody tr:last-child td");
        assertThat(Double.parseDouble(last.get(1).getText())).isEqualTo(toldRear());
    }

    @Test
    void changingTheRideChangesWhatIsToldWithoutANewPage() {
        browser.open(site.address() + SKYLARK);
        double before = toldRear();
        WebElement form = browser.find("#ride");
        new Select(browser.find("#ground1")).selectByValue("ROCK");
        browser.waitFor(there -> toldRear() > before);

        double onRock = toldRear();
        browser.type("#luggageRear", "14,5");
        browser.waitFor(there -> toldRear() > onRock);

        assertThat(Browser.isStale(form)).as("still the same page").isFalse();
        assertThat(browser.driver().getCurrentUrl()).contains("ground1=ROCK", "luggageRear=14");
        double told = toldRear();
        browser.driver().navigate().refresh();
        assertThat(toldRear()).as("the address holds the ride").isEqualTo(told);
    }

    @Test
    void aFaultInTheRideIsShownBesideItsFieldAndGoesAway() {
        browser.open(site.address() + SKYLARK);
        browser.type("#share1", "70");
        browser.waitFor(there -> browser.text("#fault-ground").contains("they make 120 %"));
        assertThat(browser.text("#told")).contains("Nothing can be told");
        browser.type("#rider", "abc");
        browser.waitFor(there -> browser.text("#fault-rider").contains("is not what belongs here"));
        assertThat(browser.find("#rider").getAttribute("aria-invalid")).isEqualTo("true");

        browser.type("#share1", "50");
        browser.type("#rider", "64");
        browser.waitFor(there -> !browser.all("#told-rear").isEmpty());
        assertThat(browser.text("#fault-rider")).isEmpty();
        assertThat(browser.text("#fault-ground")).isEmpty();
    }

    @Test
    void bothReadingsAreTypedByKeyboardAloneAndCanBeUndone() {
        browser.open(site.address() + SLEDGE + "?luggageRear=7");
        WebElement page = browser.find("html");
        browser.find("#rear").sendKeys("27", Keys.TAB);
        WebElement front = browser.driver().switchTo().activeElement();
        assertThat(front.getAttribute("id")).isEqualTo("front");
        front.sendKeys("24,5", Keys.ENTER);
        browser.waitFor(there -> Browser.isStale(page));

        assertThat(browser.text(".outcome")).contains("rear read 27.0 psi", "front read 24.5 psi");
        assertThat(browser.text("#told")).contains("last 27.0 psi, just now", "last 24.5 psi, just now");

        browser.press("#undo");
        assertThat(browser.text(".outcome")).contains("Struck through", "27.0 psi");
        assertThat(browser.text("#told")).doesNotContain("last 27.0 psi");

        browser.press("#undo");
        assertThat(browser.text(".outcome")).contains("Written", "27.0 psi");
        assertThat(browser.find("#luggageRear").getAttribute("value"))
                .as("the ride stays")
                .isEqualTo("7");
        browser.press("#undo");
        assertThat(browser.text("#told")).doesNotContain("last 27.0 psi");
    }

    @Test
    void setAsToldWritesBothWheelsInOneTouchAndItIsThereForAnotherServer() {
        browser.open(site.address() + SKYLARK + "?asked=1&ground1=MUD&share1=100&share2=&share3=&ground2=&ground3="
                + "&rider=64&gear=5&bike=12.8&drop=BALANCED");
        String rear = browser.text("#told-rear");
        String front = browser.text("#told-front");
        browser.press("#set-as-told");

        assertThat(browser.text(".outcome")).contains("rear set to " + rear, "front set to " + front);
        assertThat(browser.driver().getCurrentUrl()).as("the ride stays").contains("ground1=MUD");
        assertThat(browser.all("#told .state-inside")).hasSize(2);

        browser.open(started.other().address() + "/log");
        assertThat(browser.text("main")).contains("set to " + rear + " psi", "told " + rear + " psi");
        browser.open(site.address() + "/log");
        assertThat(browser.text(".log-line")).contains("Skylark", "set to");
    }

    @Test
    void theUnitTypedLastIsOfferedNextTime() {
        browser.open(site.address() + SLEDGE);
        new Select(browser.find("#unit")).selectByValue("BAR");
        browser.type("#rear", "1.95");
        browser.press("#write");
        assertThat(browser.text(".outcome")).contains("1.95 bar (28.3 psi)");
        assertThat(new Select(browser.find("#unit")).getFirstSelectedOption().getText())
                .isEqualTo("bar");
        assertThat(browser.text("#told")).contains("bar");

        new Select(browser.find("#unit")).selectByValue("PSI");
        browser.type("#front", "25");
        browser.press("#write");
        assertThat(browser.text("#told")).contains("psi");
    }

    @Test
    void aFaultyReadingKeepsWhatWasTyped() {
        browser.open(site.address() + SLEDGE);
        new Select(browser.find("#unit")).selectByValue("BAR");
        browser.type("#rear", "27");
        browser.type("#front", "1.7");
        browser.press("#write");
        assertThat(browser.text("#fault-rear")).isEqualTo("must be at most 12 bar, was 27 bar");
        assertThat(browser.find("#rear").getAttribute("value")).isEqualTo("27");
        assertThat(browser.find("#front").getAttribute("value")).isEqualTo("1.7");
        assertThat(new Select(browser.find("#unit")).getFirstSelectedOption().getText())
                .isEqualTo("bar");
    }

    @Test
    void anEntryOfTheLogIsStruckThroughAndPutBack() {
        browser.open(site.address() + "/log");
        String struckLine = "//div[contains(@class, 'log-struck')]";
        int before = browser.all(".log-struck").size();
        browser.press(".log-line:not(.log-struck) button");
        assertThat(browser.all(".log-struck")).as(struckLine).hasSize(before + 1);
        browser.press(".log-struck button");
        assertThat(browser.all(".log-struck")).hasSize(before);
    }

    @Test
    void withoutScriptsThePageDoesTheSameByItsButton() {
        try (Browser plain = Browser.withoutScripts()) {
            plain.open(site.address() + SKYLARK);
            double before = Double.parseDouble(plain.text("#told-rear"));
            new Select(plain.find("#ground1")).selectByValue("ROCK");
            plain.find("#ride button").click();
            plain.waitFor(there -> there.getCurrentUrl().contains("ground1=ROCK"));
            assertThat(Double.parseDouble(plain.text("#told-rear"))).isGreaterThan(before);
            plain.type("#rear", "21");
            plain.find("#write").click();
            plain.waitFor(there -> there.getCurrentUrl().contains("written="));
            assertThat(plain.text(".outcome")).contains("rear read 21.0 psi");
            assertThat(plain.driver().getCurrentUrl()).contains("ground1=ROCK");
            plain.find("#undo").click();
            plain.waitFor(there -> there.getCurrentUrl().contains("struck="));
        }
    }

    @Test
    void whenTheServerDoesNotAnswerThePageSaysThatItsNumbersAreOld() {
        browser.open(site.address() + SKYLARK);
        double before = toldRear();
        browser.driver().executeCdpCommand("Network.enable", Map.of());
        browser.driver().executeCdpCommand("Network.setBlockedURLs", Map.of("urls", List.of("*/advice*")));
        try {
            browser.type("#rider", "90");
            browser.waitFor(there -> browser.find("[data-live-failed]").isDisplayed());
            assertThat(toldRear()).isEqualTo(before);
        } finally {
            browser.driver().executeCdpCommand("Network.setBlockedURLs", Map.of("urls", List.of()));
        }
        browser.type("#rider", "91");
        browser.waitFor(there -> toldRear() > before);
        assertThat(browser.find("[data-live-failed]").isDisplayed()).isFalse();
    }

    private double toldRear() {
        return told("#told-rear");
    }

    private double toldFront() {
        return told("#told-front");
    }

    private static double told(String css) {
        List<WebElement> shown = browser.all(css);
        try {
            return shown.isEmpty()
                    ? Double.NaN
                    : Double.parseDouble(shown.get(0).getText());
        } catch (StaleElementReferenceException exception) {
            return Double.NaN;
        }
    }
}
