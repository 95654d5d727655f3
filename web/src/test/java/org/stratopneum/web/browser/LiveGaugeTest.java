package org.stratopneum.web.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.openqa.selenium.support.ui.FluentWait;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** Watching the simulated gauge while pumping and letting air out, and taking its value into the log. */
@ExtendWith(RunningApplication.class)
@ResourceLock("demo garage")
class LiveGaugeTest {

    private static final String WHEEL = "/wheels/d0000000-0000-4000-8000-000000000606";
    private static final RiderPrincipal DEMO_RIDER =
            new RiderPrincipal(UUID.fromString("d0000000-0000-4000-8000-000000000001"), true);

    private static final Pattern TAKEN = Pattern.compile("set to ([\\d.]+) psi");

    private final Site site;

    LiveGaugeTest(Site site) {
        this.site = site;
    }

    private static void until(Browser browser, String what, java.util.function.Predicate<String> state) {
        new FluentWait<>(browser)
                .withTimeout(Duration.ofSeconds(60))
                .pollingEvery(Duration.ofMillis(50))
                .withMessage(what)
                .until(open -> state.test(open.text("[data-state]")));
    }

    private static double number(Browser browser) {
        return Double.parseDouble(browser.text("[data-number]"));
    }

    @Test
    void itMovesWhilePumpedRestsAfterwardsAndGoesIntoTheLog(RiderMapper riders, TransactionTemplate transaction) {
        CurrentRider.runAs(
                DEMO_RIDER, () -> transaction.executeWithoutResult(status -> riders.rememberUnit(PressureUnit.PSI)));
        try (Browser phone = Browser.phone(390)) {
            phone.open(site.address() + WHEEL + "/gauge");
            assertThat(phone.find("[data-take]").isEnabled()).isFalse();
            phone.click("[data-connect]");
            until(phone, "at rest at first", "at rest"::equals);
            double before = number(phone);
            phone.click("[data-word=pump]");
            until(phone, "moving", "moving"::equals);
            new FluentWait<>(phone).withTimeout(Duration.ofSeconds(60)).until(open -> number(open) > before + 3);
            phone.click("[data-word=rest]");
            until(phone, "at rest after pumping", "at rest"::equals);
            double pumped = number(phone);
            assertThat(pumped).isGreaterThan(before + 2);
            phone.click("[data-word=bleed]");
            new FluentWait<>(phone).withTimeout(Duration.ofSeconds(60)).until(open -> number(open) < pumped - 1);
            phone.click("[data-word=rest]");
            until(phone, "at rest after letting out", "at rest"::equals);
            double settled = number(phone);
            phone.press("#take");
            Matcher taken = TAKEN.matcher(phone.text(".saved"));
            assertThat(taken.find()).isTrue();
            assertThat(Double.parseDouble(taken.group(1)))
                    .as("a gauge at rest still trembles")
                    .isCloseTo(settled, within(0.2));
            phone.press("#undo");
            assertThat(phone.text(".saved")).contains(taken.group());
        }
    }
}
