package org.stratopneum.web.due.digest;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.stratopneum.web.platform.mail.MailCatcher;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.MovableClock;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** What is due, by mail through the simulated server. */
@ExtendWith(RunningApplication.class)
@Isolated
class DigestTest {

    private static final ZoneId ZONE = ZoneId.of("Europe/Vienna");

    private final Site site;
    private final MailCatcher mail;
    private final DigestSender sender;
    private final String address = UUID.randomUUID() + "@quennar.example";
    private Guest rider;

    DigestTest(Site site, MailCatcher mail, DigestSender sender) {
        this.site = site;
        this.mail = mail;
        this.sender = sender;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider);
    }

    private int order(String to, String every) {
        return rider.post("/digest", Map.of("address", to, "every", every)).statusCode();
    }

    private String page() {
        return rider.get("/digest").body();
    }

    /** The link of the last mail that came, as it stands there. */
    private String link(String path) {
        Matcher found = Pattern.compile("https?://[^/]+(" + path + "\\?key=[\\w-]+)")
                .matcher(mail.to(address).get(0).text());
        assertThat(found.find()).as(mail.to(address).get(0).text()).isTrue();
        return found.group(1);
    }

    private void confirmed(String every) {
        assertThat(order(address, every)).isEqualTo(302);
        Guest reader = new Guest(site);
        String link = link("/digest/confirm");
        String key = link.substring(link.indexOf("key=") + 4);
        assertThat(reader.post("/digest/confirm", Map.of("key", key)).body())
                .contains("Confirmed. Every email has a link to stop it.");
    }

    @Test
    void nothingIsSentBeforeTheAddressWasConfirmedByItsReader() {
        assertThat(page()).contains("No email is sent.", "stays on this machine");
        assertThat(order(address, "DAY")).isEqualTo(302);
        assertThat(page())
                .contains("Check " + address + " for a link to confirm.")
                .doesNotContain("Send one now");
        assertThat(mail.to(address)).hasSize(1);
        assertThat(rider.post("/digest/now", Map.of()).statusCode()).isEqualTo(404);
        MovableClock.after(Duration.ofDays(2), sender::sendDue);
        assertThat(mail.to(address)).hasSize(1);

        String link = link("/digest/confirm");
        assertThat(new Guest(site).get(link).body())
                .as("following it changes nothing")
                .contains("Confirm");
        assertThat(page()).contains("for a link to confirm.");
        var again = rider.post("/digest", Map.of("address", address, "every", "DAY"));
        assertThat(again.statusCode()).isEqualTo(422);
        assertThat(again.body()).contains("was asked just now", address);
        assertThat(mail.to(address)).hasSize(1);
    }

    @Test
    void aConfirmedDigestIsSentWhenItsTimeComesAndOnce() {
        confirmed("DAY");
        assertThat(page()).contains("Email goes to " + address);
        int before = mail.to(address).size();
        MovableClock.after(Duration.ofHours(25), () -> {
            sender.sendDue();
            sender.sendDue();
        });
        assertThat(mail.to(address)).hasSize(before + 1);
        MailCatcher.Caught caught = mail.to(address).get(0);
        assertThat(caught.subject()).contains("due now");
        assertThat(caught.text()).contains("Plover rear", "Take a first reading", "/digest/stop?key=");
        assertThat(caught.header("List-Unsubscribe")).contains("/digest/unsubscribe?key=");
        assertThat(caught.header("List-Unsubscribe-Post")).isEqualTo("List-Unsubscribe=One-Click");
        assertThat(caught.header("Auto-Submitted")).isEqualTo("auto-generated");
        assertThat(caught.header("Message-ID")).endsWith("@127.0.0.1>");
        assertThat(page()).contains("Emails so far", "Plover rear");
        MovableClock.after(Duration.ofHours(49), sender::sendDue);
        assertThat(mail.to(address)).hasSize(before + 2);
    }

    @Test
    void whoeverReadsItEndsItByItsLink() {
        confirmed("WEEK");
        assertThat(rider.post("/digest/now", Map.of()).statusCode()).isEqualTo(302);
        String link = link("/digest/stop");
        Guest reader = new Guest(site);
        assertThat(reader.get(link).body()).contains("Stop emails");
        assertThat(page()).as("not by looking").contains("Email goes to");
        assertThat(reader.post("/digest/stop", Map.of("key", link.substring(link.indexOf("key=") + 4)))
                        .body())
                .contains("Stopped.");
        assertThat(page()).contains("No email is sent.");
        assertThat(reader.get(link).statusCode()).isEqualTo(404);
        for (String none : List.of("/digest/stop", "/digest/confirm?key=guessed")) {
            assertThat(reader.get(none).statusCode()).as(none).isEqualTo(404);
        }
    }

    /** Ending it and ordering it again is no way to fill somebody's mailbox. */
    @Test
    void questionsAreCountedBesideTheDigest() {
        assertThat(order(address, "DAY")).isEqualTo(302);
        rider.post("/digest/forget", Map.of());
        assertThat(order(address, "DAY")).isEqualTo(422);
        assertThat(mail.to(address)).hasSize(1);
        assertThat(order("b" + address, "DAY")).isEqualTo(302);
        assertThat(order("c" + address, "DAY")).isEqualTo(302);
        assertThat(order("d" + address, "DAY")).as("one rider, many addresses").isEqualTo(422);
        for (int i = 0; i < 3; i++) {
            Guest.withAccount(site).post("/digest", Map.of("address", address, "every", "DAY"));
        }
        assertThat(mail.to(address)).as("many riders, one address").hasSize(2);
    }

    /** RFC 8058: a mail program sends this by itself, without a page, a cookie or a form of ours. */
    @Test
    void aMailProgramEndsItByOneClick() {
        confirmed("WEEK");
        rider.post("/digest/now", Map.of());
        String target = mail.to(address).get(0).header("List-Unsubscribe").replaceAll("^<https?://[^/]+|>$", "");
        assertThat(site.post(target, "List-Unsubscribe=One-Click", "Content-Type", "application/x-www-form-urlencoded")
                        .statusCode())
                .isEqualTo(200);
        assertThat(page()).contains("No email is sent.");
    }

    @Test
    void anotherAddressIsAskedAgainAndOtherRidersSeeNothing() {
        confirmed("DAY");
        assertThat(order("other-" + address, "DAY")).isEqualTo(302);
        assertThat(page()).contains("Check other-" + address).doesNotContain("Plover");
        Guest stranger = Guest.withAccount(site);
        assertThat(stranger.get("/digest").body()).doesNotContain(address).contains("No email is sent.");
        stranger.post("/digest", Map.of("address", address, "every", "DAY"));
        String key = link("/digest/confirm");
        assertThat(stranger.get("/digest").body())
                .as("their own question only")
                .containsOnlyOnce("Somebody, most likely you");
        assertThat(mail.to(address).get(1).text()).doesNotContain(key);
        assertThat(rider.post("/digest/forget", Map.of()).statusCode()).isEqualTo(302);
        assertThat(page()).contains("No email is sent.");
    }

    @Test
    void whatIsNoAddressIsRefusedAndKept() {
        for (String typed : List.of("nobody", "two@signs@quennar.example", "line\nbreak@quennar.example", "")) {
            var answer = rider.post("/digest", Map.of("address", typed, "every", "DAY"));
            assertThat(answer.statusCode()).as(typed).isEqualTo(422);
        }
    }

    /** The next morning at six, and the next Thursday at eighteen, where the rider is. */
    @Test
    void theNextTimeIsThatOfTheRidersClock() {
        Instant wednesday = Instant.parse("2026-07-01T03:59:59Z");
        assertThat(Digest.Every.DAY.next(wednesday, ZONE)).isEqualTo(Instant.parse("2026-07-01T04:00:00Z"));
        assertThat(Digest.Every.DAY.next(wednesday.plusSeconds(1), ZONE))
                .isEqualTo(Instant.parse("2026-07-02T04:00:00Z"));
        assertThat(Digest.Every.WEEK.next(wednesday, ZONE)).isEqualTo(Instant.parse("2026-07-02T16:00:00Z"));
        Instant after = Instant.parse("2026-10-22T16:00:00Z");
        assertThat(Digest.Every.WEEK.next(after, ZONE))
                .as("over the change of the clocks")
                .isEqualTo(Instant.parse("2026-10-29T17:00:00Z"));
        assertThat(Digest.Every.WEEK.next(after, ZONE).atZone(ZONE).getDayOfWeek())
                .isEqualTo(DayOfWeek.THURSDAY);
    }
}
