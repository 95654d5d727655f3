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
import org.openqa.selenium.By;
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

    private static final String SKYLARK = "/wheels/d0000000-0000-4000-8000-000000000601";
    private static final String SLEDGE = "/wheels/d0000000-0000-4000-8000-000000000605";
    private static final String SLEDGE_BIKE = "#bike-d0000000-0000-4000-8000-000000000303 ";

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
        assertThat(browser.all(".bike h2"))
                .extracting(WebElement::getText)
                .containsExactly("Skylark", "Heron", "Sledge");
        List<WebElement> wheels = browser.all(".reads a");
        assertThat(wheels)
                .hasSize(6)
                .allSatisfy(wheel -> assertThat(wheel.findElements(By.cssSelector(".state")))
                        .as("its state by word and shape")
                        .hasSize(1));
        assertThat(wheels.get(0).getLocation().x)
                .as("rear is left")
                .isLessThan(wheels.get(1).getLocation().x);
        assertThat(browser.all(".reads .now"))
                .hasSize(6)
                .allSatisfy(
                        number -> assertThat(Double.parseDouble(number.getText().replaceAll("[^0-9.].*", "")))
                                .isBetween(10.0, 72.5));
        // an image hides its text from those who hear the page, so its name must say the numbers
        assertThat(browser.find(".bike-drawing").getAttribute("aria-label"))
                .startsWith("Skylark. ")
                .contains("rear: ", " psi", "front: ");
        assertThat(browser.all(".enter input[name=rear]"))
                .as("no page is left to save a reading")
                .hasSize(3);
    }

    @Test
    void theRiderReadsWhatToSetAndWhy() {
        browser.open(site.address() + "/");
        browser.press(".bike-name a");
        assertThat(browser.text("h1")).endsWith("rear wheel: Pressure");
        assertThat(browser.text("#told")).contains("Target range");
        assertThat(browser.text("#why")).contains("Base pressure", "Terrain", "highest 50.8 psi, printed on the tire");
        // the last line of the calculation is what is recommended
        assertThat(Double.parseDouble(browser.find("#why li:last-child b").getDomProperty("textContent")))
                .isEqualTo(toldRear());
        double rear = toldRear();
        browser.pressKey("o");
        assertThat(browser.text("h1")).contains("Skylark", "front wheel");
        assertThat(told("#told-front")).isLessThan(rear);
    }

    @Test
    void changingTheRideChangesWhatIsToldWithoutANewPage() {
        browser.open(site.address() + SKYLARK);
        double before = toldRear();
        WebElement form = browser.find("#ride");
        browser.click("#ride > summary");
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
        browser.click("#ride > summary");
        browser.type("#share1", "70");
        browser.waitFor(there -> browser.text("#fault-ground").contains("they make 120 %"));
        assertThat(browser.text("#told")).contains("No recommendation yet");
        browser.type("#rider", "abc");
        browser.waitFor(there -> browser.text("#fault-rider").contains("Enter a number, e.g. 21.5"));
        assertThat(browser.find("#rider").getAttribute("aria-invalid")).isEqualTo("true");

        browser.type("#share1", "50");
        browser.type("#rider", "64");
        browser.waitFor(there -> !browser.all("#told-rear").isEmpty());
        assertThat(browser.text("#fault-rider")).isEmpty();
        assertThat(browser.text("#fault-ground")).isEmpty();
    }

    @Test
    void bothReadingsAreTypedByKeyboardAloneAndCanBeUndone() {
        browser.open(site.address() + "/");
        WebElement page = browser.find("html");
        browser.find(SLEDGE_BIKE + "input[name=rear]").sendKeys("27", Keys.TAB);
        WebElement front = browser.driver().switchTo().activeElement();
        assertThat(front.getAttribute("name")).isEqualTo("front");
        front.sendKeys("24,5", Keys.ENTER);
        browser.waitFor(there -> Browser.isStale(page));

        assertThat(browser.text(SLEDGE_BIKE + ".saved")).contains("rear read 27.0 psi", "front read 24.5 psi");
        assertThat(browser.text(SLEDGE_BIKE + ".reads")).contains("27.0", "24.5");

        browser.press("#undo");
        assertThat(browser.text(".saved")).contains("Deleted", "27.0 psi");
        assertThat(browser.text(SLEDGE_BIKE + ".reads")).doesNotContain("27.0");

        browser.press("#undo");
        assertThat(browser.text(".saved")).contains("Saved", "27.0 psi");
        browser.press("#undo");
        assertThat(browser.text(SLEDGE_BIKE + ".reads")).doesNotContain("27.0");
    }

    @Test
    void pumpedAsRecommendedIsSavedInOneTouchAndItIsThereForAnotherServer() {
        browser.open(site.address() + SKYLARK + "?asked=1&ground1=MUD&share1=100&share2=&share3=&ground2=&ground3="
                + "&rider=64&gear=5&bike=12.8&drop=BALANCED");
        String rear = browser.text("#told-rear");
        browser.press("#set");

        assertThat(browser.text(".saved")).contains("set to " + rear);
        assertThat(browser.driver().getCurrentUrl()).as("the ride stays").contains("ground1=MUD");
        assertThat(browser.text("#state")).contains("On target");

        browser.open(started.other().address() + "/log");
        assertThat(browser.text("main")).contains(rear + " psi", "after pumping", "recommended " + rear + " psi");
        browser.open(site.address() + "/log");
        assertThat(browser.text(".log-bike")).contains("Skylark", "after pumping");
    }

    @Test
    void aNumberInAnotherUnitIsAskedAboutOnTheSamePage() {
        browser.open(site.address() + "/");
        browser.type(SLEDGE_BIKE + "input[name=rear]", "2.05");
        browser.press(SLEDGE_BIKE + ".save");
        assertThat(browser.text(SLEDGE_BIKE + ".asked")).contains("2.05 psi? Did you mean 2.05 bar?");
        assertThat(browser.driver().switchTo().activeElement().getAttribute("name"))
                .as("the focus is there")
                .isEqualTo("rear");
        browser.press(SLEDGE_BIKE + "button[name=yes]");
        assertThat(browser.text(SLEDGE_BIKE + ".saved")).contains("rear read 2.05 bar (29.7 psi)");
        browser.press("#undo");
    }

    @Test
    void theUnitTypedLastIsOfferedNextTime() {
        browser.open(site.address() + SLEDGE);
        type("1.95", "BAR");
        assertThat(browser.text(".saved")).contains("1.95 bar (28.3 psi)");
        assertThat(browser.find("#reading .u").getAttribute("textContent")).isEqualTo("bar");
        assertThat(browser.text("#told")).contains("bar");
        type("25", "PSI");
        assertThat(browser.find("#reading .u").getAttribute("textContent")).isEqualTo("psi");
    }

    @Test
    void aFaultyReadingKeepsWhatWasTyped() {
        browser.open(site.address() + SLEDGE);
        type("9000", "BAR");
        assertThat(browser.text("#read-said")).isEqualTo("must be at most 12 bar, was 9000 bar");
        assertThat(browser.find("#read").getAttribute("value")).isEqualTo("9000");
        assertThat(browser.find("#unit").getDomProperty("value")).isEqualTo("BAR");
    }

    /** A reading in a unit that is chosen from what is folded away. */
    private static void type(String reading, String unit) {
        if (!browser.find("#unit").isDisplayed()) {
            browser.click("#reading details summary");
        }
        new Select(browser.find("#unit")).selectByValue(unit);
        browser.type("#read", reading);
        browser.press("#write");
    }

    @Test
    void anEntryOfTheLogIsDeletedAndRestored() {
        browser.open(site.address() + "/log");
        String said = browser.text(".log-line .what");
        int before = browser.all(".log-line").size();
        browser.click(".log-line .menu summary");
        browser.press(".log-line .delete");
        assertThat(browser.text(".saved")).contains("Deleted");
        String undone = browser.driver().getCurrentUrl();
        browser.open(site.address() + "/log?deleted=on");
        assertThat(browser.all(".log-struck")).anyMatch(line -> line.getText().contains(said));
        assertThat(browser.all(".log-struck .delete")).isNotEmpty();
        browser.open(undone);
        browser.press("#undo");
        browser.open(site.address() + "/log");
        assertThat(browser.all(".log-line")).hasSize(before);
        assertThat(browser.all(".log-struck")).as("deleted ones are hidden").isEmpty();
    }

    @Test
    void withoutScriptsThePageDoesTheSameByItsButton() {
        try (Browser plain = Browser.withoutScripts()) {
            plain.open(site.address() + SKYLARK);
            double before = Double.parseDouble(plain.text("#told-rear"));
            plain.click("#ride summary");
            new Select(plain.find("#ground1")).selectByValue("ROCK");
            plain.click("#ride button");
            plain.waitFor(there -> there.getCurrentUrl().contains("ground1=ROCK"));
            assertThat(Double.parseDouble(plain.text("#told-rear"))).isGreaterThan(before);
            plain.type("#read", "21");
            plain.click("#write");
            plain.waitFor(there -> there.getCurrentUrl().contains("written="));
            assertThat(plain.text(".saved")).contains("read 21.0 psi");
            assertThat(plain.driver().getCurrentUrl()).contains("ground1=ROCK");
            plain.click("#undo");
            plain.waitFor(there -> there.getCurrentUrl().contains("struck="));
        }
    }

    @Test
    void whenTheServerDoesNotAnswerThePageSaysThatItsNumbersAreOld() {
        browser.open(site.address() + SKYLARK);
        double before = toldRear();
        browser.click("#ride > summary");
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
