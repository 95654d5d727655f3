package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.openqa.selenium.support.ui.Select;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** On a phone: fill, dip, read how much that is, plan the next look, put it off, and take that back. */
@ExtendWith(RunningApplication.class)
@ResourceLock("demo garage")
class SealantAtTheBenchTest {

    private final Site site;

    SealantAtTheBenchTest(Site site) {
        this.site = site;
    }

    private static String wheelOf(Browser phone) {
        return phone.find("a[href*='/wheels/']").getDomProperty("href").replaceAll("(/wheels/[^/?#]+).*", "$1");
    }

    @Test
    void aDipOfNineIsToldInMillilitresWithWhatToAddAndWhenToLook() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            phone.open(site.address() + "/garage");
            String wheel = wheelOf(phone);
            phone.open(wheel + "/sealant");
            assertThat(phone.text("#dose")).contains("lean", "standard", "generous", "fl oz");
            phone.type("#volume", "40");
            phone.press("#note-filling");
            assertThat(phone.text("#left")).isEqualTo("40");

            phone.type("#depths", "12 9 9 9");
            phone.press("#note-dips");
            assertThat(phone.text("main"))
                    .contains("The stick stood 9.0 mm deep", "ml, give or take", "A look has been worth it");
            assertThat(phone.find("#volume").getDomProperty("value"))
                    .as("what to add")
                    .matches("\\d+");
            assertThat(phone.all(".pool-liquid"))
                    .as("in the section and along the wheel")
                    .hasSize(2);

            new Select(phone.find("#plan")).selectByVisibleText("by the calendar, every few months");
            phone.press("#keep-care");
            assertThat(phone.text("#fault-months")).as("its months").contains("is missing");
            phone.type("#months", "3");
            phone.press("#keep-care");
            assertThat(phone.text("#care")).contains("Kept");
            assertThat(phone.sidewaysScroll()).isZero();
        }
    }

    @Test
    void whatIsDueIsPutOffByATouchAndTakenBackByAKey() {
        try (Browser service = Browser.desktop()) {
            service.open(site.address() + "/matters/d0000000-0000-4000-8000-000000000602-SEALANT_REFRESH");
            LocalDate until = LocalDate.now(ZoneId.systemDefault()).plusDays(150);
            service.find("#until").sendKeys(until.getMonthValue() < 10 ? "0" : "", month(until));
            service.press("#put-off");
            assertThat(service.text(".outcome")).contains("Skylark front: refresh the sealant", "put off until");
            assertThat(service.text("#put")).contains("put off until");
            service.pressKey("u");
            assertThat(service.all("#put")).isEmpty();

            service.pressKey("d");
            service.press("#month");
            assertThat(service.text("h1")).contains("Due in");
            assertThat(service.all(".month .today")).hasSize(1);
            service.press("#after");
            service.open(site.address() + "/agenda/ride");
            service.press("#look");
            assertThat(service.text("main")).contains("before you ride", "Skylark, Saturday");
        }
    }

    /** As it is typed into a day of an English browser, from its month on. */
    private static String month(LocalDate day) {
        return "%d%02d%d".formatted(day.getMonthValue(), day.getDayOfMonth(), day.getYear());
    }
}
