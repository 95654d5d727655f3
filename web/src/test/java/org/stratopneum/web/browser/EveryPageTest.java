package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.openqa.selenium.WebElement;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** What must hold on every page, whatever it is about. */
@ExtendWith(RunningApplication.class)
@ResourceLock("demo garage")
class EveryPageTest {

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
            WHEEL + "?bike=9999&luggageRear=300",
            WHEEL + "?asked=1&ground1=MUD&share1=100&rider=64&bike=12.8",
            "/log",
            "/log?words=seal&topic=READINGS&topic=HOLES&deleted=on&select=on",
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
            WHEEL + "/leaks",
            TUBED_WHEEL + "/leaks?holeFrom=30",
            "/leak",
            "/leak/search?system=TUBELESS&mode=MEND_SOON&known=hit&step=seen.shake.silent&at=BEAD_LEFT@4.0",
            "/leak/search?system=TUBELESS&mode=NAME_IT&step=seen.soap-valve-tip.bubbles&step=seen.shake.slosh",
            "/leak/search?system=TUBE&mode=MEND_SOON&hour=4",
            "/drill",
            WHEEL + "/what-if?b-width=62&c-load=80",
            WHEEL + "/air?chamberL=1&chamberCharge=160&cartridgeG=25&stroke=90&pumpMost=100",
            WHEEL + "/jobs",
            WHEEL + "/jobs/new?job=CHANGE_TIRE",
            TUBED_WHEEL + "/jobs/new?job=CONVERT",
            "/jobs",
            "/cards/d0000000-0000-4000-8000-000000000901",
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
            "/todo",
            "/todo/month",
            "/todo?at=07:30&ground=ROCK",
            "/matters/d0000000-0000-4000-8000-000000000602-SEALANT_REFRESH",
            "/digest",
            WHEEL + "/jobs/new?job=REFRESH_THROUGH_VALVE",
            WHEEL + "/gauge",
            WHEEL + "/sealant",
            TUBED_WHEEL + "/sealant",
            BIKE + "/rides/new",
            "/places/new",
            "/places/d0000000-0000-4000-8000-000000000105",
            BIKE + "/wheelsets/new",
            "/bikes/new",
            "/bikes/new?asked=1",
            "/tires/new",
            ASKS,
            TOLD,
            "/practice",
            "/practice?seed=3&step=look.spray",
            "/settings",
            "/keys",
            "/calculators",
            "/sign-up",
            "/sign-in",
            "/recover",
            "/nothing");

    private static final List<String> MAIN = List.of(
            "/",
            "/garage",
            WHEEL,
            WHEEL + "/sealant",
            WHEEL + "/leaks",
            WHEEL + "/leak",
            WHEEL + "/history",
            "/leak/search?system=TUBELESS&mode=NAME_IT&step=seen.soap-valve-tip.bubbles&step=seen.shake.slosh",
            "/jobs",
            WHEEL + "/jobs/new?job=CHANGE_TIRE",
            "/todo",
            "/todo/month",
            "/log",
            "/exchange",
            "/bikes/new",
            BIKE + "/kit",
            "/trailside",
            "/settings",
            TOLD,
            "/sign-up",
            "/nothing");

    private static final String SLEDGE = "/wheels/d0000000-0000-4000-8000-000000000605";

    /** What a phone shows, narrow and usual (px). */
    private static final int[] PHONES = {360, 390};

    private static final int PHONE_HEIGHT = 844;

    private static final String AXE = axe();

    /** The themes differ in colors alone: all rules look at the light one, those about colors at the dark one as well. */
    private static final String FAULTS = """
            const done = arguments[arguments.length - 1];
            const options = { resultTypes: ["violations"] };
            if (arguments[0]) options.runOnly = ["cat.color"];
            axe.run(document, options).then(
              (found) => done(found.violations.map((rule) => rule.id + " " + rule.nodes.map((node) => node.target))),
              (failed) => done(["axe failed: " + failed]));
            """;

    private final Site site;

    EveryPageTest(Site site) {
        this.site = site;
    }

    /** One of each sort of page: all rules in light, at the desk and on a phone. */
    @Test
    void everyMainViewIsAccessibleFitsAPhoneAndComplainsOfNothing() {
        List<String> faults = new ArrayList<>();
        try (Browser browser = Browser.desktop()) {
            MAIN.forEach(path -> look(browser, path, false, faults));
        }
        assertThat(faults).isEmpty();
    }

    /** Half of the pages beside the other: a browser and the application use a processor each. */
    @Test
    @Tag("all")
    void everyPageIsAccessibleInBothThemesFitsAPhoneAndComplainsOfNothing() {
        List<String> paths = new ArrayList<>(PAGES);
        paths.add(SLEDGE + "?luggageRear=250");
        String entry = new Guest(site).ids(WHEEL + "/history", "/log/").get(0);
        paths.add("/log/" + entry + "/correct");
        paths.add("/log/" + entry);
        paths.add("/rims/d0000000-0000-4000-8000-000000000501");
        paths.add(TIRE);
        ConcurrentLinkedQueue<String> left = new ConcurrentLinkedQueue<>(paths);
        List<String> faults = IntStream.range(0, 2)
                .parallel()
                .mapToObj(half -> look(left))
                .flatMap(List::stream)
                .toList();
        assertThat(faults).isEmpty();
    }

    private List<String> look(Queue<String> left) {
        List<String> faults = new ArrayList<>();
        try (Browser browser = Browser.desktop()) {
            browser.driver().manage().timeouts().scriptTimeout(Duration.ofSeconds(60));
            for (String path = left.poll(); path != null; path = left.poll()) {
                look(browser, path, true, faults);
            }
            assertThat(
                            browser.driver()
                                    .executeScript(
                                            "return document.fonts.ready.then(() => document.fonts.check('16px \"National Park\"'))"))
                    .isEqualTo(true);
        }
        return faults;
    }

    private void look(Browser browser, String path, boolean darkToo, List<String> faults) {
        browser.open(site.address() + path);
        if (!path.equals("/nothing")) {
            browser.complaints().forEach(said -> faults.add(path + " complains: " + said));
        }
        browser.complaints();
        browser.driver().executeScript(AXE);
        browser.darkTheme(false);
        faults(browser, false).forEach(found -> faults.add(path + " light: " + found));
        if (darkToo) {
            browser.darkTheme(true);
            faults(browser, true).forEach(found -> faults.add(path + " dark: " + found));
        }
        for (int width : PHONES) {
            browser.sized(width, 844, true);
            if (browser.sidewaysScroll() != 0) {
                faults.add(path + " scrolls sideways at " + width);
            }
        }
        browser.sized(1280, 800, false);
    }

    @SuppressWarnings("unchecked")
    private static List<String> faults(Browser browser, boolean colorsOnly) {
        return (List<String>) browser.driver().executeAsyncScript(FAULTS, colorsOnly);
    }

    @Test
    void onAPhoneRearStaysLeftAndWhatIsTouchedIsLarge() {
        try (Browser phone = Browser.phone(390)) {
            phone.open(site.address() + "/");
            List<WebElement> fields = phone.all(".bike:first-child .enter input[type=text]");
            assertThat(fields.get(0).getLocation().x).isLessThan(fields.get(1).getLocation().x);
            assertThat(fields.get(0).getLocation().y).isEqualTo(fields.get(1).getLocation().y);
            assertThat(phone.all(".bike").get(1).getLocation().y)
                    .as("the second bike shows without scrolling")
                    .isLessThan(PHONE_HEIGHT);
            for (String path : List.of("/", WHEEL, "/todo", "/jobs")) {
                phone.open(site.address() + path);
                for (WebElement target : phone.all("button, select, input[type=text], .btn, .tabs a, .nav a")) {
                    if (target.isDisplayed()) {
                        assertThat(target.getSize().height)
                                .as(path + " " + target.getAttribute("outerHTML"))
                                .isGreaterThanOrEqualTo(44);
                    }
                }
            }
        }
    }

    /** The script itself, from the library that ships it: given to a page once, it looks as often as it is asked. */
    private static String axe() {
        try (InputStream script = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
            return new String(script.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }
}
