package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.WebElement;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.MovableClock;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** A rider converts a wheel: begins at the bench, goes on with the phone, and it holds in the morning. */
@ExtendWith(RunningApplication.class)
class JobCardAtTheBenchTest {

    private final Site site;

    JobCardAtTheBenchTest(Site site) {
        this.site = site;
    }

    private static String step(Browser browser) {
        List<WebElement> step = browser.all(".card-answers [name=step]");
        return step.isEmpty() ? "" : step.get(0).getAttribute("value");
    }

    private static void usual(Browser browser) {
        if (browser.all("#value").isEmpty()) {
            browser.press(".card-answers button");
            return;
        }
        if (browser.find("#value").getAttribute("value").isEmpty()) {
            browser.type("#value", "20");
        }
        browser.press("#write");
    }

    /** What is asked to be read stays so on the next step; the browser's own voice is not listened to here. */
    private void isReadAloudFromStepToStep(Browser bench) {
        bench.driver()
                .executeScript(
                        "window.said = []; speechSynthesis.speak = (one) => window.said.push(one.text); speechSynthesis.cancel = () => {}");
        bench.click("#aloud");
        assertThat(bench.text("#aloud")).isEqualTo("Stop reading");
        assertThat((List<?>) bench.driver().executeScript("return window.said"))
                .asInstanceOf(InstanceOfAssertFactories.list(String.class))
                .startsWith("Begin with the lever at the valve, between two spokes.", "Done")
                .anyMatch(text -> text.startsWith("Plastic levers only"));
        bench.press(".card-answers button");
        bench.waitFor(there -> bench.text("#aloud").equals("Stop reading"));
        bench.click("#aloud");
        assertThat(bench.text("#aloud")).isEqualTo("Read aloud");
        bench.press("#take-back");
    }

    @Test
    void convertingAWheelWithAFailedSeatingAPauseAndThePhone() {
        String card;
        Guest guest;
        JobCard beside;
        try (Browser bench = Browser.desktop()) {
            guest = new Newcomer(bench, site).signsUp();
            TypedBike.enter(guest, "rear-setup", "BUTYL_TUBE");
            bench.open(site.address() + "/garage");
            bench.press(".bench-wheel");
            bench.press("#tab-jobs");
            bench.press("a[href*='job=CONVERT']");
            bench.press("#begin");
            card = bench.driver().getCurrentUrl();
            beside = JobCard.at(guest, card.substring(site.address().length()));

            beside.goTo("lever-at-valve");
            bench.open(card);
            assertThat(bench.text(".clock figcaption")).isEqualTo("valve at 12 o'clock");
            assertThat(bench.find(".clock g").getAttribute("transform")).isEqualTo("rotate(180)");
            assertThat(bench.text(".step")).contains("Why?", "Plastic levers only");
            assertThat(bench.find(".part").getAttribute("aria-label")).isEqualTo("Lever between two spokes");
            isReadAloudFromStepToStep(bench);
            bench.open(card);
            beside.goTo("seat-pump.up");
            bench.open(card);
            bench.press("#answer-NOT_UP");
            assertThat(step(bench)).isEqualTo("seat-wetted");
            assertThat(bench.text("#step")).contains("39.9 psi", "never above 50.0 psi");
            WebElement page = bench.find("html");
            bench.find("body").sendKeys("u");
            bench.waitFor(there -> Browser.isStale(page));
            bench.waitFor(there -> !bench.all(".card-answers").isEmpty());
            assertThat(step(bench)).as("u takes the last answer back").isEqualTo("seat-pump.up");
            bench.press("#answer-NOT_UP");
            bench.press("#pause");
            assertThat(bench.text("main")).contains("Convert to tubeless");
        }
        try (Browser phone = Browser.phone(390)) {
            Guest rider = guest;
            phone.takes(rider.cookies());
            phone.open(site.address() + "/jobs");
            phone.press("main a[href*='/cards/']");
            assertThat(phone.driver().getCurrentUrl()).startsWith(card);
            assertThat(step(phone)).isEqualTo("seat-wetted");
            assertThat(phone.sidewaysScroll()).isZero();
            for (WebElement answer : phone.all(".card-answers button")) {
                assertThat(answer.getSize().height).as("for gloves").isGreaterThanOrEqualTo(64);
            }
            beside.goTo("hold-start");
            phone.open(card);
            phone.type("#value", "40");
            phone.type("#temperature", "21");
            phone.press("#write");
            assertThat(step(phone)).isEqualTo("hold-wait");
            assertThat(phone.all(".card-answers button"))
                    .as("nothing to press yet")
                    .isEmpty();
            assertThat(phone.text(".card-wait")).contains("Waits until");

            MovableClock.after(rider, Duration.ofHours(11), () -> {
                phone.open(card);
                phone.press(".card-answers button");
                phone.type("#value", "39.5");
                phone.type("#temperature", "20");
                phone.press("#write");
                phone.click("#done > summary");
                assertThat(phone.text("#done")).contains("It holds");
                while (!step(phone).isEmpty()) {
                    usual(phone);
                }
            });
            assertThat(phone.text(".card-end")).contains("Done", "in the log");
            phone.press("#to-wheel");
            phone.press("#tab-history");
            assertThat(phone.text("main"))
                    .contains("leak-down test started at", "leak-down test ended at", "rim taped", "sealant in");
        }
    }
}
