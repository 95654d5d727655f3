package org.stratopneum.web.parts.needs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** What a wheel takes, on its page; the numbers are the docs/handbook's worked ones. */
@ExtendWith(RunningApplication.class)
class NeedsTest {

    private final Site site;

    NeedsTest(Site site) {
        this.site = site;
    }

    private String needs(Guest rider, String query) {
        String wheel = rider.ids("/garage", "/wheels/").get(0);
        var answer = rider.get("/wheels/" + wheel + "/needs" + query);
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    /** 622, 32 spokes, one turn: 1.93 m and 0.10, 0.37 or 0.30 m over it. */
    @ParameterizedTest
    @CsvSource({"OPPOSITE, 2.03 m", "THREE_HOLES, 2.30 m", "BEFORE_VALVE, 2.23 m"})
    void theTapeOfAWheel(String start, String length) {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-spokes", "32", "rear-rimDepth", "20");
        String page = needs(rider, "?start=" + start + "&turns=1&roll=10&onHand=28");
        assertThat(page)
                .contains(length, "A roll of 10 m does 4 wheels", "32 mm", "two passes cover 32 mm")
                .contains("lie 24 mm over each other", "At least 35 mm for a pump head, 40 mm for comfort")
                .contains("rim tape, 32 mm wide: " + length, "valve, 40 mm long or longer");
    }

    /** 60-622 on 30 mm: 60, 100, 130 ml; a casing that was not made tubeless takes half as much again. */
    @Test
    void theSealantOfAWheelBySchool() {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-size", "60-622", "rear-measuringRim", "30");
        assertThat(needs(rider, "")).contains(">60 ml<", ">100 ml<", ">130 ml<").doesNotContain("Includes:");
        assertThat(needs(rider, "?newTire=on")).contains(">110 ml<", "a tenth more for a brand-new tire");

        Guest other = Guest.withAccount(site);
        TypedBike.enter(other, "rear-size", "60-622", "rear-measuringRim", "30", "rear-tubeless", "no");
        assertThat(needs(other, "")).contains(">150 ml<", "half as much again");
    }

    @Test
    void aWheelWithATubeTakesNoTapeAndNoSealant() {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-setup", "BUTYL_TUBE");
        assertThat(needs(rider, ""))
                .contains(
                        "tube for this size",
                        "54/65-622",
                        "fits, not stretched",
                        "622, 630, 635",
                        "about 38 ml of a thin one")
                .contains("Look at the hole: 6.5 mm takes the thin valve only", "never patched")
                .doesNotContain("<h2>Tape</h2>", "<h2>Sealant</h2>");
        assertThat(needs(rider, "?as=TUBELESS"))
                .as("planned before anything is bought")
                .contains("<h2>Tape</h2>", "round, square or wedge-shaped", "If it had a tube")
                .doesNotContain("tube for this size");
    }

    /** A gauge lies under gauges and is not lacked; holes of 6.5 and 8.5 mm (handbook). */
    @Test
    void theValveFollowsTheHoleAndTheGaugeIsThere() {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider, "rear-valveHole", "8.5", "rear-valveSeat", "WEDGE", "rear-insert", "on");
        assertThat(needs(rider, ""))
                .contains("the wide valve (Schrader), or the thin one with a sleeve", "wedge-shaped.")
                .contains("made for inserts", "gauge</strong> <span class=\"quiet lacks\">not in stock");
        rider.post("/gauges", Map.of("newId", UUID.randomUUID().toString(), "name", "Hut gauge", "unit", "BAR"));
        assertThat(needs(rider, "")).contains("in stock: Hut gauge");
    }

    @Test
    void faultsStandBesideTheirFieldsAndTheRestStays() {
        Guest rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        assertThat(needs(rider, "?turns=7&roll=long&onHand=1"))
                .contains("must be at most 4, was 7", "Enter a number, e.g. 21.5", "must be at least 5 mm")
                .contains("value=\"long\"", "Sealant");
        assertThat(needs(rider, "?start=THREE_HOLES"))
                .as("nobody counted the spokes")
                .contains("Required: counting spoke holes needs their number");
    }
}
