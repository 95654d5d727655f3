package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.interactions.Actions;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** What a phone has kept beside the trail meets what comes fresh, what is in the log, and other riders. */
@ExtendWith(RunningApplication.class)
class TrailsideOutboxTest {

    private final Site site;

    TrailsideOutboxTest(Site site) {
        this.site = site;
    }

    @Test
    void whatStandsInTheLogUnderTheSameNameIsShownBesideWhatTheDeviceHas() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            TrailPhone.keep(phone, site);
            phone.click("[data-act=walk]");
            phone.click("#write");
            phone.waitFor(there -> phone.text("#written").equals("It is in the log."));
            // the answer was lost on the way, and the entry was changed on the device meanwhile
            phone.driver().executeAsyncScript("""
                            const done = arguments[0];
                            import(document.getElementById("module-device").href).then(async (device) => {
                              const mine = await device.kept("mine");
                              const wheel = mine.bikes[0].wheels[0];
                              const stop = await device.kept("stop");
                              await device.wait({
                                rider: mine.rider.id, name: mine.rider.name, state: "WAITS", words: "Another end",
                                body: { id: stop.written, kind: "READING", bikeId: mine.bikes[0].id, wheelId: wheel.id,
                                        tireId: wheel.tire, at: null, kpa: 150, unit: "BAR" },
                              });
                              done();
                            });
                            """);
            phone.open(site.address() + "/trailside");
            phone.find("#outbox [data-waits=CONFLICT]");
            assertThat(phone.text("#outbox")).contains("Flat: Walk", "Another end");
            phone.click("[data-act='as-new']");
            phone.waitFor(there -> phone.all("#outbox").isEmpty());
            phone.open(site.address() + "/log");
            assertThat(phone.text("main")).contains("1.50 bar", "Flat: Walk");
        }
    }

    @Test
    void whatIsAnsweredAndTypedStaysWhenSomethingFreshCame() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            TrailPhone.keep(phone, site);
            phone.click("#ask-where [data-answer=FLANK]");
            phone.click("#ask-sealant [data-answer=DRY]");
            phone.waitFor(there -> phone.all("#ask-sealant").isEmpty());
            phone.click("#quick summary");
            phone.type("#reading", "21");
            phone.driver().executeScript("window.dispatchEvent(new Event('device-changed'))");
            phone.driver().executeScript("window.dispatchEvent(new Event('online'))");
            phone.waitFor(there -> phone.text("#meanwhile").contains("dried up"));
            assertThat(phone.text("#meanwhile")).contains("Sidewall", "Tubeless, dried up");
            assertThat(phone.find("#reading").getDomProperty("value")).isEqualTo("21");
            phone.click("#write-reading");
            phone.waitFor(there -> "".equals(phone.find("#reading").getDomProperty("value")));
            phone.type("#reading", "a lot");
            // what was sent goes from the list above meanwhile, and the button moves up
            phone.waitFor(there -> {
                phone.click("#write-reading");
                return phone.text("#fault-reading").contains("A number from 0 to 174 psi");
            });
            phone.waitFor(there -> phone.all("#outbox").isEmpty());
            assertThat(phone.find("#reading").getDomProperty("value")).isEqualTo("a lot");
        }
    }

    @Test
    void nothingMovesAwayUnderAFingerThatIsDown() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            TrailPhone.keep(phone, site);
            phone.click("#quick summary");
            phone.type("#reading", "a lot");
            Actions finger = new Actions(phone.driver());
            phone.waitFor(there -> {
                WebElement button = phone.find("#write-reading");
                phone.driver().executeScript("arguments[0].scrollIntoView({block: 'center'})", button);
                finger.moveToElement(button).clickAndHold().perform();
                return true;
            });
            // a list comes to stand above the button
            leaveWaiting(phone);
            phone.driver().executeScript("window.dispatchEvent(new Event('device-changed'))");
            finger.pause(Duration.ofMillis(300)).release().perform();
            assertThat(phone.text("#of-others")).contains("Somebody");
            assertThat(phone.text("#fault-reading")).contains("A number from 0 to 174 psi");
        }
    }

    /** While the last of a sending is under way, which is to fetch what is the rider's anew. */
    @Test
    void whatComesToWaitWhileOthersAreSentIsSentToo() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            TrailPhone.keep(phone, site);
            Object wrong = phone.driver().executeAsyncScript("""
                            const done = arguments[0];
                            (async () => {
                              const [device, outbox] = await Promise.all(
                                ["module-device", "module-outbox"].map((one) => import(document.getElementById(one).href)));
                              let mine;
                              while ((mine = await device.kept("mine")) === undefined) {
                                await new Promise((later) => setTimeout(later, 50));
                              }
                              const wheel = mine.bikes[0].wheels[0];
                              const waits = (state, words) => device.wait({
                                rider: mine.rider.id, name: mine.rider.name, state, words,
                                body: { id: crypto.randomUUID(), kind: "READING", bikeId: mine.bikes[0].id,
                                        wheelId: wheel.id, tireId: wheel.tire, at: null, kpa: 150, unit: "BAR" },
                              });
                              await waits("GONE", "Stays");
                              let asked = 0;
                              const { fetch } = window;
                              window.fetch = async (what, ...how) => {
                                asked += String(what).endsWith("/mine.json") ? 1 : 0;
                                if (asked === 2) {
                                  await waits("WAITS", "Comes later");
                                  outbox.send();
                                }
                                return fetch(what, ...how);
                              };
                              await outbox.send();
                            })().then(() => done(null), (wrong) => done(String(wrong)));
                            """);
            assertThat(wrong).isNull();
            phone.waitFor(there -> phone.text("#outbox").contains("Stays"));
            phone.waitFor(there -> !phone.text("#outbox").contains("Comes later"));
            phone.open(site.address() + "/log");
            assertThat(phone.text("main")).contains("1.50 bar");
        }
    }

    /** Something of another rider, whose name is Somebody, that waits on this phone. */
    private static void leaveWaiting(Browser phone) {
        phone.driver().executeAsyncScript("""
                        const done = arguments[0];
                        import(document.getElementById("module-device").href).then(async (device) => {
                          await device.wait({
                            rider: "00000000-0000-4000-8000-00000000abcd", name: "Somebody", state: "WAITS",
                            words: "Their stop", body: { id: crypto.randomUUID(), kind: "TRACES" },
                          });
                          done();
                        });
                        """);
    }

    /** What another rider told on this phone is theirs: it is neither sent nor shown, only told and dropped. */
    @Test
    void whatAnotherRiderLeftWaitingIsNotSentInThisOnesName() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            TrailPhone.keep(phone, site);
            leaveWaiting(phone);
            phone.open(site.address() + "/trailside");
            assertThat(phone.text("#of-others")).contains("Somebody").doesNotContain("Their stop");
            phone.open(site.address() + "/log");
            assertThat(phone.text("main")).doesNotContain("traces");
            phone.open(site.address() + "/trailside");
            assertThat(phone.text("#of-others")).as("it still waits").contains("Somebody");
            phone.click("[data-act='drop-others']");
            phone.waitFor(there -> phone.all("#of-others").isEmpty());
        }
    }
}
