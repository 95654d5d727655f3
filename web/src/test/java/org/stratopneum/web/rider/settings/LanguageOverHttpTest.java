package org.stratopneum.web.rider.settings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Settings;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** A second language, of which the tests have one file of two lines: nothing but that file is needed for it. */
@ExtendWith(RunningApplication.class)
class LanguageOverHttpTest {

    private final Site site;
    private final Guest guest;

    LanguageOverHttpTest(Site site) {
        this.site = site;
        guest = Guest.withAccount(site);
    }

    @BeforeEach
    void aBikeWithNotes() {
        TypedBike.enter(guest, "since", "2025-01-01");
        Sent.table(guest, "date,time,rear bar,note\n2025-10-03,18:05,1.75,neue Reifen\n2025-10-04,7:05,1.80,pumping\n")
                .press("bring-in");
    }

    private int read(String language) {
        return Settings.choose(guest, "language", language).statusCode();
    }

    private List<String> found(String words) {
        return guest.ids("/log?words=" + words, "/log/");
    }

    @Test
    void wordsMonthsAndTheLanguageOfThePageFollow() {
        assertThat(guest.get("/settings").body()).contains("<html lang=\"en\"", ">Deutsch</span>", ">Bikes<");
        assertThat(read("de")).isEqualTo(302);
        assertThat(guest.get("/settings").body()).contains("<html lang=\"de\"", ">Räder<", "Single-letter shortcuts");
        assertThat(guest.get("/todo/month?of=2026-10").body()).contains("Oktober 2026");
        String table = guest.get("/exchange/table.csv?sort=readings").body();
        assertThat(table).contains(",hinten,");
        assertThat(Sent.table(guest, table).press("check")).contains(": 0 would be new");
        assertThat(read("en")).isEqualTo(302);
        assertThat(guest.get("/settings").body()).contains("<html lang=\"en\"", ">Bikes<");
    }

    /** The stems of the database (the Snowball algorithms) tell languages apart: "neuer" is "neue" in German alone. */
    @Test
    void theLogIsFoundByTheStemsOfTheLanguage() {
        assertThat(found("pumped")).hasSize(1);
        assertThat(found("neuer")).isEmpty();
        assertThat(read("de")).isEqualTo(302);
        assertThat(found("pumped")).isEmpty();
        assertThat(found("neuer")).hasSize(1);
        assertThat(found("pumping")).hasSize(1);
        assertThat(read("en")).isEqualTo(302);
        assertThat(found("pumped")).hasSize(1);
        assertThat(found("neuer")).isEmpty();
    }

    @Test
    void aLanguageThatNobodyWroteIsRefused() {
        assertThat(read("xx")).isEqualTo(422);
        assertThat(guest.get("/settings").body()).contains("<html lang=\"en\"");
    }

    @Test
    void aStrangerReadsTheFirstThatWeSpeakOfTheirBrowser() {
        Guest stranger = new Guest(site);
        assertThat(stranger.get("/sign-in", "Accept-Language", "fr, de-AT;q=0.8, en;q=0.5")
                        .body())
                .contains("<html lang=\"de\"");
        assertThat(stranger.get("/sign-in", "Accept-Language", "fr").body()).contains("<html lang=\"en\"");
        assertThat(stranger.get("/sign-in").body()).contains("<html lang=\"en\"");
        assertThat(guest.get("/settings", "Accept-Language", "de").body()).contains("<html lang=\"en\"");
    }
}
