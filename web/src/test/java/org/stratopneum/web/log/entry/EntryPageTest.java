package org.stratopneum.web.log.entry;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.Pictures;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** One entry with its words and pictures, over HTTP. */
@ExtendWith(RunningApplication.class)
class EntryPageTest {

    private final Site site;
    private final Guest guest;
    private String entry;

    EntryPageTest(Site site) {
        this.site = site;
        guest = Guest.withAccount(site);
    }

    @BeforeEach
    void entry() {
        TypedBike.enter(guest);
        entry = guest.ids("/log", "/log/").get(0);
    }

    @Test
    void whatIsSaidOfItIsKeptAndFindsIt() {
        HttpResponse<String> kept = note("Went on with soap & patience,\r\nthen it held");
        String now = kept.headers().firstValue("Location").orElseThrow();
        assertThat(guest.get(now).body())
                .contains("Went on with soap &amp; patience", "saved", "edited")
                .doesNotContain("entry-struck");
        assertThat(guest.ids("/log?words=patience", "/log/")).contains(now.substring("/log/".length()));
        assertThat(guest.get("/log/" + entry).body())
                .as("an older state leads to the same")
                .contains("patience");
        // from a page that was opened before: somebody else's words are not written over
        assertThat(note("This entry was edited again or deleted already. Edit that one instead.")
                        .statusCode())
                .isEqualTo(409);
    }

    @Test
    void tooManyWordsAreKeptInTheForm() {
        HttpResponse<String> answer = note("bead ".repeat(500));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("must have at most 2000 characters, has 2499", "bead bead");
    }

    @Test
    void aPictureStaysWithTheEntryWhateverBecomesOfIt() {
        assertThat(add(Pictures.png(30, 20)).statusCode()).isEqualTo(302);
        String photo = guest.ids("/log/" + entry, "/photos/").get(0);
        assertThat(guest.bytes("/photos/" + photo)).startsWith((byte) 0x89, 'P', 'N', 'G');
        String now = note("with a picture").headers().firstValue("Location").orElseThrow();
        assertThat(guest.ids(now, "/photos/")).containsExactly(photo);

        HttpResponse<String> removed = guest.post("/photos/" + photo + "/remove", Map.of());
        String there = removed.headers().firstValue("Location").orElseThrow();
        assertThat(guest.get("/photos/" + photo).statusCode()).isEqualTo(404);
        assertThat(guest.get(there).body()).contains("Restore", "/photos/" + photo + "/put-back");
        guest.post("/photos/" + photo + "/put-back", Map.of());
        assertThat(guest.ids(now, "/photos/")).containsExactly(photo);
        assertThat(Guest.withAccount(site).get("/photos/" + photo).statusCode()).isEqualTo(404);
    }

    @Test
    void whatIsNoPhotoIsRefusedByItsField() {
        HttpResponse<String> refused =
                add("<svg onload='alert(1)'/>".getBytes(java.nio.charset.StandardCharsets.UTF_8));
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains("is no JPEG and no PNG");
        assertThat(add(new byte[0]).body()).contains("Required");
        assertThat(guest.get("/log/" + UUID.randomUUID()).statusCode()).isEqualTo(404);
    }

    private HttpResponse<String> note(String words) {
        return guest.post("/log/" + entry + "/note", Map.of("note", words));
    }

    private HttpResponse<String> add(byte[] file) {
        return guest.upload("/log/" + entry + "/photos?photo=" + UUID.randomUUID(), "file", "a.png", file);
    }
}
