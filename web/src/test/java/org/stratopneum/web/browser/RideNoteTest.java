package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.support.ui.Select;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** Noting a ride on a phone, from a recorded track, until what is told has moved. */
@ExtendWith(RunningApplication.class)
@ResourceLock("demo garage")
class RideNoteTest {

    private final Site site;

    RideNoteTest(Site site) {
        this.site = site;
    }

    private static Path track(Path folder, int points) throws IOException {
        StringBuilder text = new StringBuilder("<gpx version=\"1.1\"><trk><trkseg>\n");
        for (int i = 0; i < points; i++) {
            text.append(
                    "<trkpt lat=\"%.5f\" lon=\"-21.40\"><ele>940</ele><time>2026-03-01T%02d:%02d:00Z</time></trkpt>%n"
                            .formatted(47.3105 + i * 0.0005, 8 + i / 60 % 12, i % 60));
        }
        return Files.writeString(folder.resolve("round.gpx"), text.append("</trkseg></trk></gpx>"));
    }

    @Test
    void aTrackIsSentWithItsProgressAndTheNoteMovesWhatIsTold(@TempDir Path folder) throws IOException {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            phone.open(site.address() + "/");
            phone.click(".bike-name .menu summary");
            phone.click(".bike-name a[href*='/rides/new']");
            WebElement page = phone.find("html");
            phone.find("#file").sendKeys(track(folder, 121).toString());
            phone.click("#read-file");
            phone.waitFor(there -> Browser.isStale(page));
            assertThat(phone.text(".verdict")).contains("round.gpx", "121 points", "7 km");
            assertThat(phone.find("#distance").getDomProperty("value")).startsWith("6.7");

            phone.type("#rear-start", "20");
            new Select(phone.find("#rear-feel")).selectByVisibleText("too hard");
            phone.find("#rear-feel").sendKeys(Keys.TAB);
            phone.press("#note");
            assertThat(phone.text("main")).contains("ridden 7 km, rear too hard", "From 1 ride");
            phone.press("#undo");
            assertThat(phone.text("main")).contains("No feedback yet: for 80 % of riders it is between");
        }
    }

    @Test
    void whatIsNoTrackIsSaidOnThePageThatStays(@TempDir Path folder) throws IOException {
        Path notes = Files.writeString(folder.resolve("notes.gpx"), "name;km");
        try (Browser browser = Browser.desktop()) {
            browser.open(site.address() + "/bikes/d0000000-0000-4000-8000-000000000301/rides/new");
            browser.type("#distance", "12");
            browser.find("#file").sendKeys(notes.toString());
            browser.click("#read-file");
            browser.waitFor(there -> browser.text("#fault-file").contains("not well-formed XML"));
            assertThat(browser.find("#distance").getDomProperty("value"))
                    .as("nothing typed is lost")
                    .isEqualTo("12");
        }
    }
}
