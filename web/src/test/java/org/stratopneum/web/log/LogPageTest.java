package org.stratopneum.web.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
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

/** The log as a rider meets it, over HTTP. */
@ExtendWith(RunningApplication.class)
class LogPageTest {

    private final Guest guest;
    private String wheel;

    LogPageTest(Site site) {
        guest = Guest.withAccount(site);
    }

    @BeforeEach
    void readings() {
        TypedBike.enter(guest);
        wheel = guest.ids("/garage", "/wheels/").get(0);
        String bike = guest.ids("/garage", "/bikes/").get(0);
        for (String value : List.of("20", "21", "22")) {
            HttpResponse<String> sent = guest.post(
                    "/bikes/" + bike + "/readings",
                    Map.of("entry", UUID.randomUUID().toString(), "rear", value, "unit", "PSI", "state", "SET"));
            assertThat(sent.statusCode()).isEqualTo(302);
        }
    }

    @Test
    void whatIsAskedStandsInTheAddressAndInTheFormAgain() {
        String page = guest.get("/log?words=read&topic=READINGS&topic=RIDES&about=wheel-" + wheel
                        + "&since=2026-01-01&deleted=on")
                .body();
        assertThat(page)
                .contains("value=\"read\"", "name=\"topic\" value=\"READINGS\"", "name=\"topic\" value=\"RIDES\"")
                .contains("value=\"wheel-" + wheel + "\" selected", "value=\"2026-01-01\"")
                .contains("Deleted entries too", "from 2026-01-01")
                .doesNotContain("name=\"topic\" value=\"SEALANT\"");
        assertThat(guest.get("/log?topic=READINGS").body())
                .contains("20.0 psi</a>", "after pumping")
                .doesNotContain("fitted 57-622");
        assertThat(guest.get("/log?topic=SEALANT").body()).contains("id=\"none\"");
        assertThat(guest.get("/log?about=wheel-" + UUID.randomUUID()).body()).contains("id=\"none\"");
    }

    @Test
    void faultsStandByTheirFieldsAndNothingTypedIsLost() {
        HttpResponse<String> faulty = guest.get("/log?words=marmot&since=2026-05-01&until=2026-04-01&about=everything");
        assertThat(faulty.statusCode()).isEqualTo(422);
        assertThat(faulty.body()).contains("must not be before 1 May 2026", "is not one of the known values", "marmot");
        assertThat(guest.get("/log?words=" + "a".repeat(300)).statusCode()).isEqualTo(422);
        assertThat(guest.get("/log?topic=NONSENSE&words=%00%27%3B--").statusCode())
                .isIn(200, 422);
        assertThat(guest.get("/log?since=0000-00-00").statusCode()).isEqualTo(422);
    }

    @Test
    void severalAreStruckThroughAtOnceAndPutBackWhereTheyWereFound() {
        String page = "/log?words=set&topic=READINGS";
        List<String> entries = guest.ids(page, "/log/");
        assertThat(entries).hasSize(3);
        String fields = "words=set&topic=READINGS";
        HttpResponse<String> struck = guest.postAll("/log/strike", fields, "entry", entries.subList(0, 2));
        String back = struck.headers().firstValue("Location").orElseThrow();
        assertThat(back).startsWith("/log?words=set&topic=READINGS&struck=");
        assertThat(guest.get(back).body()).contains("id=\"undo\"", "set to 21", "set to 22");
        assertThat(guest.get(page).body()).contains("20.0 psi</a>").doesNotContain("21.0 psi</a>");
        assertThat(guest.get(page + "&deleted=on").body()).contains("21.0 psi</a>", "Restore");
        List<String> gone = guest.ids(back, "name=\"entry\" value=\"");
        HttpResponse<String> restored = guest.postAll("/log/put-back", fields, "entry", gone.subList(0, 2));
        assertThat(restored.statusCode()).isEqualTo(302);
        assertThat(guest.get(page).body()).contains("20.0 psi</a>", "21.0 psi</a>", "22.0 psi</a>");
    }

    /** Whatever was typed comes through the address unharmed. */
    @Test
    void whatWasTypedComesBackLetterByLetter() {
        String typed = "50% {set} a+b & c=d \"# ü";
        HttpResponse<String> back = guest.post("/log/strike", Map.of("words", typed));
        String page =
                guest.get(back.headers().firstValue("Location").orElseThrow()).body();
        assertThat(page).contains("value=\"50% {set} a+b &amp; c=d &quot;# ü\"");
    }

    @Test
    void nothingTickedIsNoFault() {
        HttpResponse<String> answer = guest.post("/log/strike", Map.of());
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(answer.headers().firstValue("Location")).contains("/log?nothing=true");
        assertThat(guest.get("/log?nothing=true").body()).contains("No entries selected.");
    }
}
