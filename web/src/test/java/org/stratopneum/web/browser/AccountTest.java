package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.Cookie;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** A stranger's way from the first page to an account and out again, in a real browser. */
@ExtendWith(RunningApplication.class)
class AccountTest {

    private static final String PASSWORD = "gneiss teapot umlaut";

    private final Site site;
    private final RunningApplication.Started started;
    private final String name = "Rider " + UUID.randomUUID().toString().substring(0, 8);
    private Browser browser;

    AccountTest(Site site, RunningApplication.Started started) {
        this.site = site;
        this.started = started;
    }

    @BeforeEach
    void openBrowser() {
        browser = Browser.desktop();
    }

    @AfterEach
    void closeBrowser() {
        browser.close();
    }

    @Test
    void aStrangerSignsUpSeesTheCodesOnceAndHasAGarageOfTheirOwn() {
        browser.open(site.address() + "/");
        browser.press(".demo-note a");
        browser.type("#name", name);
        browser.type("#password", "password1234");
        browser.waitFor(there -> browser.text("[data-strength]").contains("is easy to guess"));
        browser.type("#password", PASSWORD);
        browser.waitFor(there -> browser.text("[data-strength]").contains("hard to guess"));
        browser.press("#enter");

        assertThat(browser.all(".codes li")).hasSize(8);
        assertThat(browser.driver().getCurrentUrl()).endsWith("/account/codes");
        browser.driver().navigate().refresh();
        assertThat(browser.all(".codes li")).as("shown once").isEmpty();
        assertThat(browser.text("main")).contains("signed in as " + name, "8 codes left");

        browser.open(site.address() + "/");
        assertThat(browser.text("main")).contains("No bikes yet").doesNotContain("Skylark");
        browser.open(site.address() + "/log");
        assertThat(browser.text("main"))
                .contains("No entries yet. Save a first reading on the Bikes page, and it is listed here.");
        browser.open(site.address() + "/bikes/d0000000-0000-4000-8000-000000000301/pressure");
        assertThat(browser.text("h1")).as("the demo's bike is somebody else's").isEqualTo("Page not found");
    }

    @Test
    void aFaultySignUpKeepsWhatWasTypedButNotThePassword() {
        browser.open(site.address() + "/sign-up");
        browser.type("#name", "?");
        browser.type("#password", "short");
        browser.type("#email", "nowhere");
        browser.press("#enter");
        assertThat(browser.text("#fault-name")).contains("2 to 40 letters");
        assertThat(browser.text("#fault-password")).isEqualTo("must have at least 12 characters, has 5");
        assertThat(browser.text("#fault-email")).contains("Enter an email address, e.g. name@example.org");
        assertThat(browser.find("#name").getAttribute("value")).isEqualTo("?");
        assertThat(browser.find("#email").getAttribute("value")).isEqualTo("nowhere");
        assertThat(browser.find("#password").getAttribute("value")).isEmpty();
    }

    @Test
    void signingOutAndInAgainByKeyboardAndOnAnotherServer() {
        signUp();
        String before = sessionCookie().getValue();
        assertThat(sessionCookie().isHttpOnly()).isTrue();
        browser.open(started.other().address() + "/account");
        assertThat(browser.text("main")).contains("signed in as " + name);
        browser.open(site.address() + "/account");
        browser.press("#sign-out");
        assertThat(browser.text("h1")).isEqualTo("Sign in");

        browser.type("#name", name);
        browser.type("#password", "not the right one");
        WebElement page = browser.find("html");
        browser.find("#password").sendKeys(Keys.ENTER);
        browser.waitFor(there -> Browser.isStale(page));
        assertThat(browser.text(".err")).isEqualTo("Wrong name or password.");
        assertThat(browser.find("#name").getAttribute("value")).isEqualTo(name);

        browser.type("#password", PASSWORD);
        browser.press("#enter");
        assertThat(browser.text("main")).contains("No bikes yet");
        assertThat(sessionCookie().getValue()).as("a new session").isNotEqualTo(before);
    }

    @Test
    void thePasswordIsChangedAndTheLostOneRecovered() {
        List<String> codes = signUp();
        browser.open(site.address() + "/account");
        browser.type("#current", "not the right one");
        browser.type("#password", "another long password");
        browser.press("#change");
        assertThat(browser.text("#fault-current")).contains("nothing was changed");
        try (Browser elsewhere = Browser.desktop()) {
            signIn(elsewhere);
            elsewhere.open(site.address() + "/account");
            assertThat(elsewhere.text(".tabs [aria-current]")).isEqualTo("Account");

            browser.type("#current", PASSWORD);
            browser.type("#password", "another long password");
            browser.press("#change");
            assertThat(browser.text("main")).contains("Password changed.");

            elsewhere.driver().navigate().refresh();
            assertThat(elsewhere.text("h1"))
                    .as("the session elsewhere has ended")
                    .isEqualTo("You were signed out");
        }
        browser.press("#sign-out");

        browser.open(site.address() + "/recover");
        browser.type("#name", name);
        browser.type("#code", codes.get(0));
        browser.type("#password", "the third long password");
        browser.press("#enter");
        browser.open(site.address() + "/account");
        assertThat(browser.text("main")).contains("signed in as " + name, "7 codes left");
    }

    @Test
    void deletingTheAccountAsksForThePasswordAndEndsTheSession() {
        signUp();
        browser.open(site.address() + "/account");
        browser.press("#delete");
        assertThat(browser.text("#fault-delete")).contains("nothing was changed");
        browser.type("#current-for-delete", PASSWORD);
        browser.press("#delete");
        assertThat(browser.text("h1")).isEqualTo("Create account");
        browser.open(site.address() + "/sign-in");
        browser.type("#name", name);
        browser.type("#password", PASSWORD);
        browser.press("#enter");
        assertThat(browser.text(".err")).contains("Wrong name or password");
    }

    private Cookie sessionCookie() {
        return browser.driver().manage().getCookieNamed("stratopneum-session");
    }

    private void signIn(Browser at) {
        at.open(site.address() + "/sign-in");
        at.type("#name", name);
        at.type("#password", PASSWORD);
        at.press("#enter");
    }

    private List<String> signUp() {
        browser.open(site.address() + "/sign-up");
        browser.type("#name", name);
        browser.type("#password", PASSWORD);
        browser.press("#enter");
        List<String> codes =
                browser.all(".codes code").stream().map(WebElement::getText).toList();
        assertThat(codes).hasSize(8);
        browser.press("#go");
        return codes;
    }
}
