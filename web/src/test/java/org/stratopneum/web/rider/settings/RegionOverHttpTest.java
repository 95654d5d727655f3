package org.stratopneum.web.rider.settings;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Settings;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Days, hours and numbers as a rider writes them: on pages, in forms, in tables and on paper. */
@ExtendWith(RunningApplication.class)
class RegionOverHttpTest {

    private final Guest guest;

    RegionOverHttpTest(Site site) {
        guest = Guest.withAccount(site);
    }

    private void choose(String... pairs) {
        assertThat(Settings.choose(guest, pairs).statusCode()).isEqualTo(302);
    }

    @Test
    void everythingIsWrittenAsTheRiderChose() throws IOException {
        TypedBike.enter(guest, "since", "2025-01-01");
        Sent.table(guest, "date,time,rear bar,note\n2025-04-03,18:05,1.75,one\n2025-04-04,7:05 AM,1.80,two\n")
                .press("bring-in");
        choose("dates", "MONTH_FIRST", "hours", "TO_12", "week", "SUNDAY", "decimal", "COMMA");

        String entry = "/log/" + guest.ids("/log?words=one", "/log/").get(0);
        assertThat(guest.get(entry).body())
                .contains("Apr 3, 2025, 6:05 PM", "1,75 bar")
                .doesNotContain("1.75 bar");
        assertThat(guest.get("/todo/month").body().replaceAll("(?s).*<thead>(.*?)</thead>.*", "$1"))
                .containsSubsequence("Sun", "Mon", "Sat");
        String table = guest.get("/exchange/table.csv?sort=readings").body();
        assertThat(table).contains("id;date (mm/dd/yyyy);time;", ";04/03/2025;6:05:00 PM;Plover;rear;1,75;");
        assertThat(Sent.table(guest, table).press("check")).contains(": 0 would be new");
        String rear = guest.ids("/log?words=one", "wheel-").get(0);
        try (PDDocument document = Loader.loadPDF(guest.bytes("/wheels/" + rear + "/history.pdf"))) {
            assertThat(new PDFTextStripper().getText(document)).contains("1,75 bar", "6:05 PM", "Apr 3");
        }
        for (String page :
                new String[] {"/", "/wheels/" + rear, "/wheels/" + rear + "/sealant", "/garage", "/settings"}) {
            String text = guest.get(page)
                    .body()
                    .replaceAll("(?s)<(script|style|svg).*?</\\1>", "")
                    .replaceAll("<[^>]+>", " ");
            assertThat(text).as(page).doesNotContainPattern("\\d\\.\\d+ (bar|psi|kg|mm|ml|%)");
        }
        assertThat(guest.get("/wheels/" + rear + "/sealant").body()).doesNotContainPattern("[xy]\\d?=\"-?\\d+,\\d");
    }

    /** Somebody else's page, asked for by the same threads, is theirs. */
    @Test
    void nothingOfItIsLeftForTheNextRider() {
        choose("decimal", "COMMA", "dates", "YEAR_FIRST");
        Guest other = Guest.withAccount(
                new Site(guest.get("/settings").uri().resolve("/").toString().replaceAll("/$", "")));
        TypedBike.enter(other);
        for (int i = 0; i < 20; i++) {
            guest.get("/settings");
            assertThat(other.get("/").body()).doesNotContainPattern("\\d,\\d+ (bar|psi)");
        }
    }

    @Test
    void aNewRiderStartsAsTheirBrowserIs() {
        assertThat(guest.get("/settings").body()).contains("name=\"dates\" value=\"DAY_FIRST\" checked");
    }
}
