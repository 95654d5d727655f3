package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** Parts and rides in from a table, a tread measured, the years looked at, tires side by side: on a phone. */
@ExtendWith(RunningApplication.class)
class YearsWalkTest {

    private final Site site;

    YearsWalkTest(Site site) {
        this.site = site;
    }

    @Test
    void aTireIsMeasuredAndFollowedOnAPhone(@TempDir Path folder) throws IOException {
        Path parts =
                Files.writeString(folder.resolve("parts.csv"), "part,name,size,price\ntire,Spare tread,57-622,40\n");
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            phone.open(site.address() + "/exchange");
            phone.find("#file").sendKeys(parts.toString());
            phone.click("#send");
            phone.waitFor(there -> there.getCurrentUrl().contains("/imports/"));
            assertThat(phone.text("#preview")).contains("tire Spare tread");
            phone.click("#check");
            assertThat(phone.text("#checked")).contains("1 would be new");
            phone.click("#bring-in");
            assertThat(phone.text("#done")).contains("1 new");

            phone.open(site.address() + "/garage");
            phone.click("a[href*='/wheels/']");
            phone.waitFor(there -> !phone.all("#tab-history").isEmpty());
            phone.click("#tab-history");
            assertThat(phone.text("#figures")).contains("Ridden").contains("no ride logged");
            assertThat(phone.all(".life-band .stay")).hasSize(1);
            assertThat(phone.sidewaysScroll()).isZero();
            phone.click("#stays a");
            phone.waitFor(there -> !phone.all("#note-tread").isEmpty());
            phone.click("#note-tread");
            phone.waitFor(there -> !phone.text("#fault-middle").isEmpty());
            assertThat(phone.text("#fault-middle")).isNotEmpty();
            phone.find("#middle").sendKeys("3.4");
            phone.click("#note-tread");
            assertThat(phone.text(".saved")).contains("tread 3.4 mm in the middle");
            assertThat(phone.text("#tread")).contains("One more depth");
            assertThat(phone.text(".chart-said")).isEmpty();
            phone.click(".life-band .tread-mark");
            phone.waitFor(there -> !phone.text(".chart-said").isEmpty());
            assertThat(phone.text(".chart-said")).contains("tread 3.4 mm");
            assertThat(phone.find(".chart-said a").getDomAttribute("href")).startsWith("/log?about=tire-");
            assertThat(phone.sidewaysScroll()).isZero();
            phone.click("#undo");
            phone.waitFor(there -> phone.text("#tread").contains("No depth logged"));

            phone.click("#compare");
            phone.waitFor(there -> !phone.all("#side-by-side").isEmpty());
            phone.all("input[name=tire]").forEach(tick -> tick.click());
            phone.click("#side-by-side");
            assertThat(phone.text(".compare")).contains("Spare tread", "in stock");
            assertThat(phone.all(".compare thead th")).hasSize(4);
            assertThat(phone.sidewaysScroll()).isZero();
        }
    }
}
