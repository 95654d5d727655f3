package org.stratopneum.web.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** The years of a wheel and of a tire, what is measured of a tread, and tires side by side. */
@ExtendWith(RunningApplication.class)
class HistoryPagesTest {

    private static final String SPRING = """
            date,km,wheel,psi,ml
            2025-04-01,120,,,
            2025-04-01,,rear,22,
            2025-05-01,,rear,21,60
            2025-06-01,380,,,
            """;

    private final Guest guest;
    private String wheel;
    private String tire;

    HistoryPagesTest(Site site) {
        guest = Guest.withAccount(site);
    }

    @BeforeEach
    void aBikeWithATireSinceMarch() {
        TypedBike.enter(guest, "since", "2025-03-01");
        wheel = "/wheels/" + guest.ids("/garage", "/wheels/").get(0);
        tire = "/tires/" + guest.ids(wheel, "/tires/").get(0);
    }

    private String measure(String at, String middle, String... more) {
        Map<String, String> form =
                new HashMap<>(Map.of("entry", UUID.randomUUID().toString(), "middle", middle));
        if (!at.isEmpty()) {
            form.put("treadAt", at);
        }
        for (int i = 0; i < more.length; i += 2) {
            form.put(more[i], more[i + 1]);
        }
        return guest.post(tire + "/tread", form).body();
    }

    private String text(String path) {
        return guest.get(path)
                .body()
                .replaceAll("<title>[^<]*</title>", "")
                .replaceAll("<[^>]+>", " ")
                .replaceAll("\\s+", " ");
    }

    @Test
    void whatWasRiddenAndFilledIsToldForWheelAndTire() {
        Sent.table(guest, SPRING).press("bring-in");
        assertThat(text(wheel + "/history")).contains("Ridden 500 km in 2 rides", "60 ml", "57-622", "still on");
        assertThat(text(tire + "/history"))
                .contains("Ridden 500 km in 2 rides", "Punctures in 1000 km 0 (0 in all) between 0 and 4.6")
                .contains("a tire's price is not entered".replace("'", "&#39;"));
        assertThat(guest.get(wheel + "/history?span=YEAR").statusCode()).isEqualTo(200);
    }

    @Test
    void thePlacesOfTheDrawingSayWhatHappened() {
        Sent.table(guest, SPRING).press("bring-in");
        measure("2025-06-02T10:00", "3.4");
        String all = guest.get(wheel + "/history/spots").body();
        assertThat(all)
                .contains("\"day\":\"2025-04-01\"", ": 120 km\"", ": 380 km\"", "read 22.0 psi", "sealant in, 60 ml")
                .contains("tread 3.4 mm");
        assertThat(guest.get(tire + "/history/spots").body()).isEqualTo(all);
        String april = guest.get(wheel + "/history/spots?from=2025-03-20&until=2025-04-20")
                .body();
        assertThat(april).contains(": 120 km\"").doesNotContain("380 km", "60 ml");
        assertThat(guest.get(wheel + "/history").body())
                .contains("data-spots=\"" + wheel + "/history/spots?span=ALL")
                .doesNotContain(": 120 km");
    }

    /** Whatever is remembered of a page ends with what is written next: a reading, a ride. */
    @Test
    void aPageThatWasSeenBeforeShowsWhatCameSince() {
        Sent.table(guest, SPRING).press("bring-in");
        assertThat(text(wheel + "/history")).isEqualTo(text(wheel + "/history")).contains("rides: 2; readings: 2");
        Sent.table(guest, "date,wheel,psi\n2025-06-03,rear,19\n").press("bring-in");
        assertThat(text(wheel + "/history")).contains("rides: 2; readings: 3", "read 19.0 psi");
        Sent.table(guest, "date,km\n2025-06-04,77\n").press("bring-in");
        assertThat(text(wheel + "/history")).contains("Ridden 577 km in 3 rides", "readings: 3");
        assertThat(guest.get(wheel + "/history/spots").body()).contains("read 19.0 psi", "77 km");
    }

    @Test
    void twoDepthsTellHowLongTheTreadWillLast() {
        Sent.table(guest, "date,km\n2025-04-01,1000\n").press("bring-in");
        assertThat(text(tire + "/history")).contains("No depth logged");
        measure("2025-03-02T10:00", "4", "worn", "1", "shoulder", "4.5", "flanks", "SOUND");
        assertThat(text(tire + "/history")).contains("One more depth");
        measure("2025-05-02T10:00", "3");
        assertThat(text(tire + "/history"))
                .contains("Middle: 1.0 mm in 1000 km", "Down to 1.0 mm after 2,000 km more (between")
                .contains(
                        "tread 4.0 mm in the middle, 4.5 mm at the shoulder, sidewalls sound",
                        "1,000 km ridden by then");
        assertThat(text("/log?topic=CARE")).contains("tread 3.0 mm in the middle");
        String entry = guest.ids(tire + "/history", "/log/").get(0);
        String back = guest.post("/log/strike", Map.of("entry", entry, "tire", tire.substring(7)))
                .headers()
                .firstValue("location")
                .orElseThrow();
        assertThat(back).startsWith(tire + "/history?struck=");
        assertThat(text(back)).contains("One more depth", "Restore");
    }

    @Test
    void whatCannotBeADepthIsSaidByItsFieldAndKept() {
        String page = measure("2999-01-01T10:00", "44", "shoulder", "two", "worn", "1.5");
        assertThat(page)
                .contains("value=\"44\"", "value=\"two\"", "value=\"1.5\"", "2999-01-01T10:00")
                .contains("id=\"fault-middle\"", "15");
        assertThat(measure("", "")).contains("id=\"fault-middle\"");
        assertThat(text(tire + "/history")).contains("No depth logged");
    }

    @Test
    void aTireOnTheShelfHasADepthToo() {
        String spare = UUID.randomUUID().toString();
        guest.post(
                "/tires",
                Map.of("newId", spare, "size", "57-622", "casing", "STANDARD", "tireName", "Spare", "name", "Spare"));
        tire = "/tires/"
                + guest.ids("/garage", "/tires/").stream()
                        .filter(id -> !tire.endsWith(id))
                        .findFirst()
                        .orElseThrow();
        assertThat(text(tire + "/history")).contains("has not been on a wheel yet");
        measure("", "3.9");
        assertThat(text(tire + "/history")).contains("tread 3.9 mm in the middle", "0 km ridden by then");
    }

    @Test
    void tiresGoSideBySideAndOneAloneDoesNot() {
        String first = tire.substring(7);
        String second = guest.ids("/wheels/" + guest.ids("/garage", "/wheels/").get(1), "/tires/")
                .get(0);
        Sent.table(guest, "date,km\n2025-04-01,250\n").press("bring-in");
        assertThat(text("/tires/compare?tire=" + first)).contains("Choose at least two");
        assertThat(text("/tires/compare?tire=" + first + "&tire=" + second))
                .contains("250 km in one ride")
                .contains("Is it the tire, or chance?", "had a puncture yet");
        assertThat(guest.get("/tires/compare?tire=" + UUID.randomUUID()).statusCode())
                .isEqualTo(200);
        assertThat(guest.get("/tires/compare?tire=x").statusCode()).isEqualTo(400);
    }

    @Test
    void nobodyElsesTireIsShown() {
        assertThat(guest.get("/tires/" + UUID.randomUUID() + "/history").statusCode())
                .isEqualTo(404);
        assertThat(guest.get("/wheels/" + UUID.randomUUID() + "/history").statusCode())
                .isEqualTo(404);
        assertThat(guest.get("/tires/" + UUID.randomUUID() + "/history/spots").statusCode())
                .isEqualTo(404);
        assertThat(guest.get("/wheels/" + UUID.randomUUID() + "/history/spots").statusCode())
                .isEqualTo(404);
    }
}
