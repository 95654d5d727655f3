package org.stratopneum.web.fleet.correction;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Entries are put right by others that take their place; what was written stays readable, and the order stays true. */
@ExtendWith(RunningApplication.class)
class CorrectionsTest {

    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Vienna"));

    private final Site site;
    private Guest rider;
    private String wheel;

    CorrectionsTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "since", TODAY.minusDays(40).toString());
        wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
    }

    @Test
    void aCorrectedReadingTakesThePlaceOfTheFirstWhichCannotBeCorrectedAgain() {
        String entry = read("61");
        String form = "/log/" + entry + "/correct";
        HttpResponse<String> answer =
                rider.post(form, Map.of("at", momentOf(form), "value", "19", "unit", "PSI", "state", "FOUND"));
        assertThat(answer.statusCode()).isEqualTo(302);
        String page = rider.get(wheel + "/history").body();
        assertThat(page).contains("read 19.0 psi", "edited").doesNotContain("read 61.0 psi");

        assertThat(rider.get(form).body())
                .contains("This entry was edited again or deleted already. Edit that one instead.");
        assertThat(rider.post(form, Map.of("at", TODAY.minusDays(1) + "T07:00", "value", "20", "unit", "PSI"))
                        .statusCode())
                .isEqualTo(409);
        assertThat(rider.get(wheel + "/history").body()).contains("read 19.0 psi");
    }

    @Test
    void anUntouchedReadingKeepsItsNumberInWhateverUnitItWasRead() {
        String entry = read("21.37");
        String form = "/log/" + entry + "/correct";
        rider.post(form, Map.of("at", momentOf(form), "value", "21.37", "unit", "PSI", "state", "SET"));
        assertThat(rider.get(wheel + "/history").body()).contains("set to 21.4 psi (1.47 bar)");
    }

    @Test
    void faultsStandBesideTheirFieldsAndWhatWasTypedStays() {
        String form = "/log/" + read("21") + "/correct";
        HttpResponse<String> answer =
                rider.post(form, Map.of("at", "2999-01-01T10:00", "value", "21x", "unit", "PSI", "temperature", "900"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body())
                .contains("lies in the future", "value=\"21x\"", "Enter a number, e.g. 21.5", "must be at most 90 °C");
    }

    @Test
    void tiresGoOnAndComeOffInTheOrderInWhichTheyDid() {
        fit("50-622", TODAY.minusDays(10));
        List<String> fittings = historyIds();
        assertThat(fittings).as("on, off, on").hasSize(3);
        String first = "/log/" + fittings.get(2) + "/correct";

        HttpResponse<String> late = rider.post(first, Map.of("at", TODAY.minusDays(5) + "T12:00", "setup", "TUBELESS"));
        assertThat(late.statusCode()).isEqualTo(422);
        assertThat(late.body()).contains("would change the order in which tires went on and came off");

        HttpResponse<String> earlier =
                rider.post(first, Map.of("at", TODAY.minusDays(60) + "T12:00", "setup", "BUTYL_TUBE"));
        assertThat(earlier.statusCode()).isEqualTo(302);
        assertThat(rider.get(wheel + "/history").body()).contains("butyl tube");

        HttpResponse<String> before = rider.post(
                wheel + "/fit",
                Map.of(
                        "newId",
                        UUID.randomUUID().toString(),
                        "size",
                        "54-622",
                        "setup",
                        "TUBELESS",
                        "since",
                        TODAY.minusDays(20).toString()));
        assertThat(before.statusCode()).isEqualTo(422);
        assertThat(before.body()).contains("must come after what the log has for this wheel or tire; edit that first");
    }

    /** Sent twice, as by an impatient finger, a fitting is written once. */
    @Test
    void aFittingSentTwiceIsWrittenOnce() {
        Map<String, String> fit = Map.of("newId", UUID.randomUUID().toString(), "size", "50-622", "setup", "TUBELESS");
        assertThat(rider.post(wheel + "/fit", fit).statusCode()).isEqualTo(302);
        assertThat(rider.post(wheel + "/fit", fit).statusCode()).isEqualTo(302);
        assertThat(historyIds()).as("on, off, on").hasSize(3);
    }

    private String read(String psi) {
        String bike = rider.ids("/garage", "/bikes/").get(0);
        String entry = UUID.randomUUID().toString();
        HttpResponse<String> answer =
                rider.post("/bikes/" + bike + "/readings", Map.of("rear", psi, "unit", "PSI", "rearEntry", entry));
        assertThat(answer.statusCode()).isEqualTo(302);
        return entry;
    }

    private void fit(String size, LocalDate since) {
        HttpResponse<String> answer = rider.post(
                wheel + "/fit",
                Map.of(
                        "newId",
                        UUID.randomUUID().toString(),
                        "size",
                        size,
                        "setup",
                        "TUBELESS",
                        "since",
                        since.toString()));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
    }

    /** What was done with the tires of the wheel, newest first. */
    private List<String> historyIds() {
        return rider.ids(wheel + "/history", "/log/");
    }

    /** The moment as it stands in the form. */
    private String momentOf(String form) {
        var found = java.util.regex.Pattern.compile("name=\"at\" value=\"([^\"]+)\"")
                .matcher(rider.get(form).body());
        assertThat(found.find()).isTrue();
        return found.group(1);
    }
}
