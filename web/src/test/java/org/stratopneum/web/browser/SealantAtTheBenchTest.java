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

/** On a phone: fill, dip, read how much that is, plan what comes, put it off, and take that back. */
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
    void aDipOfNineIsToldInMillilitresWithWhatToAddAndWhenToRefresh() {
        try (Browser phone = Browser.phone(390)) {
            new Newcomer(phone, site).entersABike();
            phone.open(site.address() + "/garage");
            String wheel = wheelOf(phone);
            phone.open(wheel + "/sealant");
            phone.click("#dose summary");
            assertThat(phone.text("#dose")).contains("light", "standard", "heavy", "fl oz");
            phone.click("a[data-open=fill]");
            phone.type("#volume", "40");
            phone.press("#note-filling");
            assertThat(phone.text("#left")).isEqualTo("40");

            phone.click("a[data-open=dip]");
            phone.type("#depths", "12 9 9 9");
            phone.press("#note-dips");
            assertThat(phone.text("main"))
                    .contains("Refresh it", "80 % likely", "refresh by")
                    .doesNotContain("check by");
            assertThat(phone.find("#why").getDomProperty("textContent"))
                    .contains("Dipstick: 9.0 mm deep", "ml, give or take");
            assertThat(phone.find("#volume").getDomProperty("value"))
                    .as("what to add")
                    .matches("\\d+");
            assertThat(phone.all("figure .milk")).as("in the section").hasSize(1);
            aChartStandsByItself(phone);

            phone.click("#care summary");
            new Select(phone.find("#plan")).selectByVisibleText("by the calendar, every few months");
            phone.press("#keep-care");
            assertThat(phone.text("#fault-months")).as("its months").contains("Required");
            phone.type("#months", "3");
            phone.press("#keep-care");
            assertThat(phone.text("main")).contains("Saved");
            assertThat(phone.sidewaysScroll()).isZero();
        }
    }

    /** What is saved is XML, holds its words and what it is filled with, and no class of the page. */
    private static void aChartStandsByItself(Browser phone) {
        phone.driver().executeScript("URL.createObjectURL = (blob) => { window.saved = blob; return '#'; };");
        phone.click(".chart-save");
        Object saved = phone.driver()
                .executeAsyncScript("const done = arguments[0]; window.saved.text().then((text) => {"
                        + " const tree = new DOMParser().parseFromString(text, 'image/svg+xml');"
                        + " const ids = [...text.matchAll(/url\\(#(.*?)\\)/g)].map((one) => one[1]);"
                        + " done([tree.documentElement.nodeName, text.includes('refresh by'), text.includes('class='),"
                        + " ids.every((id) => tree.getElementById(id) !== null)].join(' ')); });");
        assertThat(saved).isEqualTo("svg true false true");
    }

    @Test
    void whatIsDueIsPutOffByATouchAndTakenBackByAKey() {
        try (Browser service = Browser.desktop()) {
            service.open(site.address() + "/matters/d0000000-0000-4000-8000-000000000602-SEALANT_REFRESH");
            LocalDate until = LocalDate.now(ZoneId.systemDefault()).plusDays(150);
            service.find("#until").sendKeys(until.getMonthValue() < 10 ? "0" : "", month(until));
            service.press("#put-off");
            assertThat(service.text(".saved")).contains("Skylark front: Refresh the sealant", "snoozed until");
            assertThat(service.find("#put").getDomProperty("textContent")).contains("snoozed until");
            service.pressKey("u");
            assertThat(service.all("#put")).isEmpty();

            service.pressKey("d");
            service.press("#month");
            assertThat(service.text("h1")).contains("To do in");
            assertThat(service.all(".month .today")).hasSize(1);
            service.press("#after");
            service.open(site.address() + "/todo");
            new Select(service.find("#bike")).selectByVisibleText("Skylark");
            service.press("#look");
            assertThat(service.text("#ride")).contains("Skylark", "must");
        }
    }

    /** As it is typed into a day of an English browser, from its month on. */
    private static String month(LocalDate day) {
        return "%d%02d%d".formatted(day.getMonthValue(), day.getDayOfMonth(), day.getYear());
    }
}
