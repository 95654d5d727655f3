package org.stratopneum.web.trailside.trailcard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.PdfUa;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

@ExtendWith(RunningApplication.class)
@ResourceLock("demo garage")
class TrailCardTest {

    private static final String SKYLARK = "/bikes/d0000000-0000-4000-8000-000000000301";
    private static final String HERON = "/bikes/d0000000-0000-4000-8000-000000000302";

    private final Site site;

    TrailCardTest(Site site) {
        this.site = site;
    }

    private PDDocument pdf(String bike) throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(site.address() + bike + "/trail-card.pdf"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("Content-Type")).hasValue("application/pdf");
        return Loader.loadPDF(answer.body());
    }

    /** Read back by the library that reads PDFs: one sheet that holds what the page holds. */
    @Test
    void onePageHoldsPressuresAirLadderAndCautions() throws IOException, InterruptedException {
        for (String bike : new String[] {SKYLARK, HERON}) {
            try (PDDocument document = pdf(bike)) {
                assertThat(document.getNumberOfPages()).as(bike).isEqualTo(1);
                assertThat(document.getPage(0).getMediaBox().getWidth())
                        .isGreaterThan(document.getPage(0).getMediaBox().getHeight());
                String text = new PDFTextStripper().getText(document);
                assertThat(text)
                        .contains("off")
                        .doesNotContain("\uFB00", "\uFB01", "\uFB02")
                        .contains("target range", "Never above", "strokes", "Cautions", "Walk out", "psi", "bar");
                document.getPage(0)
                        .getResources()
                        .getFontNames()
                        .forEach(name ->
                                assertThat(embedded(document, name.getName())).isTrue());
            }
        }
    }

    /** Both sheets that printers hold, and the card for the pocket on a quarter of each. */
    @Test
    void allThatIsPrintedCanBeReadAloud() throws IOException {
        Guest rider = new Guest(site);
        for (String path : new String[] {"/trail-card.pdf", "/trail-card.pdf?paper=letter", "/pocket.pdf"}) {
            assertThat(PdfUa.faults(rider.bytes(SKYLARK + path))).as(path).isEmpty();
        }
        try (PDDocument document = Loader.loadPDF(rider.bytes(SKYLARK + "/trail-card.pdf?paper=letter"))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(document.getPage(0).getMediaBox().getWidth()).as("11 in").isEqualTo(792);
        }
        try (PDDocument document = Loader.loadPDF(rider.bytes(SKYLARK + "/pocket.pdf"))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(document.getPage(0).getMediaBox().getWidth()).isCloseTo(105 / 25.4f * 72, within(0.5f));
            assertThat(new PDFTextStripper().getText(document)).contains("Skylark", "psi", "bar", "rear", "front");
        }
        try (PDDocument document = Loader.loadPDF(rider.bytes(SKYLARK + "/pocket.pdf?paper=letter"))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(document.getPage(0).getMediaBox().getWidth())
                    .as("4.25 in")
                    .isEqualTo(306);
        }
    }

    /** A short ladder may be read from farther away: both halves of the sheet are filled. */
    @Test
    void thePrintIsAsLargeAsTheStepsAllow() {
        assertThat(site.get(SKYLARK + "/trail-card").body()).contains("print-small");
        assertThat(site.get(HERON + "/trail-card").body()).contains("print-large");
    }

    /** Nobody counted the bag: it is not empty, and on paper the whole ladder stands. */
    @Test
    void withoutACountedBagThePageHoldsTheWholeLadder() {
        Guest rider = Guest.withAccount(site);
        String page =
                rider.get("/bikes/" + TypedBike.enter(rider) + "/trail-card").body();
        assertThat(page).contains("Push the plug in", "Put the tube in", "Lay the boot over the cut", "Walk out");
        assertThat(page).contains("CO2, in its order", "core snug before");
    }

    /** The longest there is: both systems, and everything in the bag. */
    @Test
    void aBikeWithATubeInOneWheelHasOnePageAsWell() throws IOException {
        Guest rider = Guest.withAccount(site);
        String bike = "/bikes/"
                + TypedBike.enter(
                        rider,
                        "same",
                        "",
                        "front-size",
                        "29x2.25",
                        "front-rimWidth",
                        "30",
                        "front-tireMax",
                        "50",
                        "front-setup",
                        "BUTYL_TUBE");
        Map<String, String> kit = new HashMap<>(Map.of(
                "version", "0", "plugs", "4", "plugTool", "on", "cartridges", "3", "cartridgeG", "16", "opened", "50"));
        kit.putAll(
                Map.of("headShuts", "on", "pump", "ROUND", "boots", "1", "patches", "4", "cores", "1", "tubes", "1"));
        kit.putAll(Map.of("tubeMin", "47", "tubeMax", "62", "tubeBsd", "622"));
        rider.post(bike + "/kit", kit);
        try (PDDocument document = Loader.loadPDF(rider.bytes(bike + "/trail-card.pdf"))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            assertThat(new PDFTextStripper().getText(document).replaceAll("\\s+", " "))
                    .contains("Tubeless: step by step", "Tube: step by step", "an opened cartridge, 50 % left");
        }
    }

    private static boolean embedded(PDDocument document, String font) {
        try {
            var found = document.getPage(0).getResources().getFont(COSName.getPDFName(font));
            return found.isEmbedded() || found.getName().contains("Dingbats");
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    @Test
    void thePageShowsTheSameAndFollowsTheSystemOfTheBike() {
        assertThat(site.get(SKYLARK + "/trail-card").body())
                .contains(
                        "Tubeless: step by step", "Let the sealant do it", "mini-pump, about 60 ml", "trail-card.pdf");
        assertThat(site.get(HERON + "/trail-card").body())
                .contains("Tube: step by step", "Patch the tube")
                .doesNotContain("Tubeless: step by step", "A second plug");
    }
}
