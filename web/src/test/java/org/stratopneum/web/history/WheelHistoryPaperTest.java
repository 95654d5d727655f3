package org.stratopneum.web.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.PdfUa;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** A wheel's history as a PDF, read back by the library that reads PDFs. */
@ExtendWith(RunningApplication.class)
class WheelHistoryPaperTest {

    private final Guest guest;

    WheelHistoryPaperTest(Site site) {
        guest = Guest.withAccount(site);
    }

    @Test
    void whatHoldsStandsOnPaperInItsOrderOverSeveralSheets() throws IOException {
        TypedBike.enter(guest, "since", "2024-03-01");
        StringBuilder notes = new StringBuilder("date,rear psi,note\n");
        for (int day = 1; day <= 28; day++) {
            for (int month = 4; month <= 6; month++) {
                notes.append("2025-%02d-%02d,%d.5,\n".formatted(month, day, 20 + day % 5));
            }
        }
        notes.append(
                "2025-06-30,19,took it off: stiff and baffling\n2025-07-01,19,<b>would not seal</b> & more\n2025-07-02,31,typed wrong\n");
        Sent.table(guest, notes.toString()).press("bring-in");
        guest.post(
                "/log/strike",
                Map.of("entry", guest.ids("/log?words=wrong", "/log/").get(0)));
        String rear = guest.ids("/log?words=rear+seal", "wheel-").get(0);
        String path = "/wheels/" + rear + "/history.pdf";
        assertThat(PdfUa.faults(guest.bytes(path))).isEmpty();
        try (PDDocument document = Loader.loadPDF(guest.bytes(path + "?paper=letter"))) {
            assertThat(document.getPage(0).getMediaBox().getWidth())
                    .as("8.5 in")
                    .isEqualTo(612);
        }
        try (PDDocument document = Loader.loadPDF(guest.bytes(path))) {
            assertThat(document.getNumberOfPages()).isGreaterThan(1);
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains(
                            "Plover, rear",
                            "2024",
                            "fitted 57-622",
                            "2025",
                            "<b>would not seal</b> & more",
                            "took it off: stiff and baffling")
                    .contains("Deleted and not included: 1.", "1 / " + document.getNumberOfPages())
                    .doesNotContain("typed wrong");
            assertThat(text.indexOf("fitted 57-622")).isLessThan(text.indexOf("would not seal"));
            assertThat(text.split("read 2\\d\\.5 psi", -1)).hasSize(84 + 1);
        }
    }
}
