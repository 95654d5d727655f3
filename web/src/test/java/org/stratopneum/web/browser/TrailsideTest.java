package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** A flat tire in a valley without signal: a phone, and a server that is really away. */
@ExtendWith(RunningApplication.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
@ResourceLock("demo garage")
class TrailsideTest {

    private final RunningApplication.Started started;
    private ConfigurableApplicationContext context;
    private Site site;

    TrailsideTest(RunningApplication.Started started) {
        this.started = started;
    }

    /** An application of its own on a port that stays, so that it can go away and come back. */
    @BeforeAll
    void startAnother() throws IOException {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        context = started.startAnother("--server.port=" + port, "--stratopneum.demo=false");
        site = RunningApplication.siteOf(context);
    }

    @AfterAll
    void stop() {
        context.close();
    }

    private void away() {
        ((ServletWebServerApplicationContext) context).getWebServer().stop();
    }

    private void back() {
        ((ServletWebServerApplicationContext) context).getWebServer().start();
    }

    /** Answers the step {@code code}, and waits until it is over. */
    private static void reply(Browser phone, String code, String reply) {
        phone.find("#step[data-code='" + code + "']");
        phone.click("#step [data-reply='" + reply + "']");
        phone.waitFor(there -> phone.all("#step[data-code='" + code + "']").isEmpty());
    }

    /** Says that it is in the bag. */
    private static void has(Browser phone, String what) {
        phone.click("[data-has=" + what + "]");
        phone.waitFor(there ->
                !phone.all("[data-has=" + what + "][aria-pressed=true]").isEmpty());
    }

    @Test
    void withoutSignalFromOpeningToTheLogThatIsWrittenOnceItIsBack() {
        try (Browser phone = Browser.phone(390)) {
            Guest rider = new Newcomer(phone, site).signsUp();
            TypedBike.enter(rider);
            String wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
            JobCard job = JobCard.begin(rider, wheel, "HOLD_TEST");
            String firstStep = job.step();
            TrailPhone.keep(phone, site);
            String before = phone.text("#kept");
            phone.open(site.address() + "/");
            away();
            try {
                // what is typed on a page that is still open waits
                phone.type(".enter [name=rear]", "18.5");
                phone.click(".enter .save");
                phone.waitFor(there -> phone.text("[data-kept]").contains("saved on this device"));

                // another page of the site, asked for without signal, is what the phone keeps of the bikes
                phone.open(site.address() + "/");
                phone.waitFor(there -> phone.text("#kept").contains("No signal"));
                assertThat(phone.text("#home"))
                        .contains("Plover", "57-622", "Never above")
                        .contains("Leak-down test", "Shake it, tilt it", "Next steps");
                phone.type("#home form input", "17,5");
                phone.click("#home form button");
                phone.waitFor(there -> phone.all("#outbox [data-waits=WAITS]").size() == 2);
                assertThat(phone.text("#todo")).contains("To do", "Plover");
                // a step that is done there waits too, and the next one is shown
                String step = phone.text("[data-card] strong");
                phone.click("[data-card] [data-answer=DONE]");
                phone.waitFor(there -> phone.all("#outbox [data-waits=WAITS]").size() == 3);
                assertThat(phone.text("[data-card] strong")).isNotEqualTo(step);
                assertThat(phone.sidewaysScroll()).isZero();
                phone.click("a[href='/trailside']");

                assertThat(phone.text("#step h2")).isEqualTo("Turn the hole to the bottom");
                assertThat(phone.text(".trail-minute")).matches("\\d+ s|The minute is over");
                phone.waitFor(there -> phone.text("#kept").contains("No signal"));
                assertThat(phone.text("#kept")).contains("Synced").isNotEqualTo(before);
                assertThat(phone.sidewaysScroll()).isZero();
                for (WebElement target : phone.all("main button, main select, main summary, main input")) {
                    if (target.isDisplayed()) {
                        assertThat(target.getSize().height)
                                .as(target.getAttribute("outerHTML"))
                                .isGreaterThanOrEqualTo(64);
                    }
                }

                // a bag that nobody counted: a touch each, then what is known better
                phone.click("#ask-where [data-answer=TREAD]");
                phone.click("#ask-size [data-answer=UP_TO_6]");
                has(phone, "PLUG");
                has(phone, "GAS");
                phone.click("[data-act='bag-known']");
                phone.click("[data-change=bag]");
                new Select(phone.find("#bag-grams")).selectByValue("25");
                phone.click("[data-item='GAS'] [data-act='more']");
                phone.waitFor(there -> phone.text("[data-item='GAS'] strong").equals("2"));
                phone.click("[data-act='bag-right']");
                phone.waitFor(there -> phone.all("#ask-bag").isEmpty());
                reply(phone, "hole-down", "still-open");
                reply(phone, "plug-ream", "done");
                reply(phone, "plug-in", "in");
                assertThat(phone.text("#step"))
                        .contains("of a cartridge of 25 g", "likely", "The gas freezes skin")
                        .contains("push-on head", "tip all the way", "At home: let it out")
                        .doesNotContain("go over the limit");
                reply(phone, "plug-air", "weeps");
                phone.click("[data-act=back]");
                reply(phone, "plug-air", "holds");
                assertThat(phone.text("#step h2")).isEqualTo("Ride on");
                assertThat(phone.text("#chores"))
                        .contains("Let the carbon dioxide out", "Look at the plug", "Dip", "Restock the repair kit");
                phone.click("#write");
                assertThat(phone.text("#written")).contains("Saved on this device. It is sent when there is signal.");
                phone.type("#reading", "20,5");
                phone.click("#write-reading");
                phone.waitFor(there -> phone.all("#outbox [data-waits=WAITS]").size() == 5);

                // left, and opened again: the old stop is offered, not simply opened
                phone.open(site.address() + "/trailside");
                phone.waitFor(there -> phone.all("#outbox [data-waits=WAITS]").size() == 5);
                assertThat(phone.text("#step h2")).isEqualTo("Turn the hole to the bottom");
                assertThat(phone.text("#offer")).matches("(?s)Continue the flat from \\d\\d:\\d\\d\\s+New flat");
                phone.click("#continue");
                phone.waitFor(there -> phone.text("#step h2").equals("Ride on"));
            } finally {
                back();
            }
            phone.click("#send");
            phone.waitFor(there -> phone.all("#outbox").isEmpty());
            assertThat(phone.text("#written")).isEqualTo("It is in the log.");
            assertThat(job.step()).as("the step that was done without signal").isNotEqualTo(firstStep);
            phone.open(site.address() + "/log");
            assertThat(phone.all(".log-line .what").stream().map(WebElement::getText))
                    .filteredOn(line -> line.contains("Flat:"))
                    .as("once")
                    .hasSize(1);
            String log = phone.text("main");
            assertThat(log)
                    .contains("20.5 psi", "a hole sealed itself", "18.5 psi")
                    .doesNotContain("set to 18.5");
            phone.open(site.address() + "/todo");
            assertThat(phone.text("main")).contains("Look at the plug", "Restock the repair kit");
        }
    }

    @Test
    void signingOutAsksForWhatWaitsAndLeavesNothingBehind() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            TrailPhone.keep(phone, site);
            phone.click("[data-act=walk]");
            away();
            try {
                phone.click("#write");
                phone.waitFor(there -> phone.all("#outbox [data-waits=WAITS]").size() == 1);
            } finally {
                back();
            }
            // the page of the account sends what waits as every page does: this entry cannot be taken
            phone.driver().executeAsyncScript("""
                            const done = arguments[0];
                            import(document.getElementById("module-device").href).then(async (device) => {
                              for (const entry of await device.waiting()) {
                                await device.change({ ...entry, state: "FAULTY", said: "From your log; change what is wrong:" });
                              }
                              done();
                            });
                            """);
            phone.open(site.address() + "/account");
            phone.click("#sign-out");
            phone.waitFor(there -> phone.text("#sign-out-text").contains("not in the log yet: 1"));
            phone.click("[data-act=send]");
            phone.waitFor(there -> phone.text("[data-act=failed]").contains("could not be sent"));
            phone.click("[data-act=stay]");
            assertThat(phone.driver().getCurrentUrl()).endsWith("/account");
            phone.click("#sign-out");
            phone.click("[data-act=drop]");
            phone.waitFor(there -> there.getCurrentUrl().endsWith("/sign-in"));

            phone.open(site.address() + "/trailside");
            phone.find("#step");
            phone.waitFor(there -> phone.text("#kept").contains("Nobody is signed in"));
            assertThat(phone.text("body")).doesNotContain("Plover");
            assertThat(phone.all("#outbox")).isEmpty();
            Object left = phone.driver().executeAsyncScript("""
                            const done = arguments[0];
                            import(document.getElementById("module-device").href).then(async (device) => {
                              done(JSON.stringify([await device.kept("mine"), await device.kept("stop"), await device.waiting()]));
                            });
                            """);
            assertThat(String.valueOf(left)).doesNotContain("Plover").endsWith("[]]");
        }
    }

    @Test
    void aVisitorWithoutAccountIsLedAsWell() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).signsUp();
            phone.open(site.address() + "/account");
            phone.click("#sign-out");
            phone.waitFor(there -> there.getCurrentUrl().endsWith("/sign-in"));
            TrailPhone.keep(phone, site);
            away();
            try {
                phone.open(site.address() + "/trailside");
                phone.click("#ask-wheel [data-answer='50-622']");
                phone.click("#ask-sealant [data-answer=TUBE]");
                // nobody is sent walking before they were asked what they have
                phone.find("#step[data-code=bag]");
                has(phone, "TUBE");
                has(phone, "PUMP");
                phone.click("[data-act='bag-known']");
                phone.find("#step[data-code=wheel-out]");
                assertThat(phone.text("#step")).contains("beginning at the valve", "the other one stays on");
                phone.click("#budget summary");
                assertThat(phone.text("#budget")).contains("strokes to", "Nothing here goes above");
                phone.click("[data-change=wheel]");
                phone.type("#other-size", "62-584");
                phone.click("#other-get");
                phone.waitFor(there -> phone.text("#ask-wheel")
                        .contains("Another size needs signal once. Take the nearest of the list, or a smaller one."));
            } finally {
                back();
            }
        }
    }
}
