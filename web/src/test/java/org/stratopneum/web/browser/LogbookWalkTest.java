package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;
import org.openqa.selenium.support.ui.Select;
import org.stratopneum.web.support.Pictures;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** Years of notes in, found again, edited: in the real interface. */
@ExtendWith(RunningApplication.class)
class LogbookWalkTest {

    private static final String NOTES = """
            Date;Rear psi;Front psi;Remark
            03.04.2025;21,5;19;after the pass
            17.04.2025;22;;would not seal
            30.04.2025;20,5;18,5;
            """;

    private final Site site;

    LogbookWalkTest(Site site) {
        this.site = site;
    }

    @Test
    void notesComeInOnAPhoneAndAreFoundAgain(@TempDir Path folder) throws IOException {
        Path notes = Files.writeString(folder.resolve("notes.csv"), NOTES);
        Path photo = Files.write(folder.resolve("bead.png"), Pictures.png(40, 30));
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            phone.open(site.address() + "/exchange");
            phone.find("#file").sendKeys(notes.toString());
            phone.click("#send");
            phone.waitFor(there -> there.getCurrentUrl().contains("/imports/"));
            assertThat(new Select(phone.find("#order")).getFirstSelectedOption().getText())
                    .isEqualTo("day first");
            assertThat(phone.text("#preview")).contains("read 21.5 psi");
            assertThat(phone.sidewaysScroll()).isZero();
            phone.click("#check");
            assertThat(phone.text("#checked")).contains("5 would be new");
            phone.click("#bring-in");
            assertThat(phone.text("#done")).contains("5 new");

            phone.open(site.address() + "/log");
            phone.find("#words").sendKeys("rear seal", Keys.ENTER);
            phone.waitFor(there -> there.getCurrentUrl().contains("words="));
            assertThat(phone.all(".log-line")).hasSize(1);
            assertThat(phone.text(".log-line")).contains("would not seal");
            phone.click(".log-line .what a");
            phone.find("#note").sendKeys(" at the valve");
            phone.click("#keep-note");
            phone.waitFor(there -> phone.text("#states").contains("at the valve"));
            phone.find("#file").sendKeys(photo.toString());
            phone.click("#add-photo");
            phone.waitFor(there -> !phone.all(".entry-photo img").isEmpty());
            phone.waitFor(there -> phone.find(".entry-photo img")
                    .getDomProperty("naturalWidth")
                    .equals("40"));
            assertThat(phone.sidewaysScroll()).isZero();

            phone.open(site.address() + "/log?words=seal");
            phone.waitFor(there ->
                    phone.find(".log-photos img").getDomProperty("naturalWidth").equals("40"));
            phone.open(site.address() + "/log?words=read&topic=READINGS");
            phone.press("#select");
            phone.click("#tick-all");
            phone.click("#strike-ticked");
            assertThat(phone.text(".saved")).contains("Deleted", "read 21.5 psi");
            assertThat(phone.all(".log-line")).as("deleted ones are hidden").isEmpty();
            phone.click("#undo");
            phone.waitFor(there -> phone.all(".log-line").size() == 5);
            assertThat(phone.driver().getCurrentUrl()).contains("words=read");
        }
    }

    @Test
    void allOfItWorksWithoutScripts(@TempDir Path folder) throws IOException {
        Path notes = Files.writeString(folder.resolve("notes.csv"), NOTES + "31.04.2025;20;;no such day\n");
        try (Browser plain = Browser.withoutScripts()) {
            plain.open(site.address() + "/exchange");
            plain.find("#file").sendKeys(notes.toString());
            plain.click("#send");
            new Select(plain.find("#order")).selectByVisibleText("day first");
            new Select(plain.find("#bike")).selectByVisibleText("Skylark");
            plain.click("#understand");
            plain.click("#check");
            plain.waitFor(there -> {
                there.navigate().refresh();
                return !plain.all("#checked-partly").isEmpty();
            });
            assertThat(plain.text("#faults")).contains("Row 5", "is not a date in this order");
            plain.click("#drop");
            assertThat(plain.text(".saved")).contains("nothing was imported");
            plain.open(site.address() + "/log?words=bead");
            assertThat(plain.all(".log-line")).isNotEmpty();
            plain.click("#select");
            plain.waitFor(there -> !plain.all("#tick-all").isEmpty());
            assertThat(plain.all("#tick-all").get(0).isDisplayed()).isFalse();
        }
    }
}
