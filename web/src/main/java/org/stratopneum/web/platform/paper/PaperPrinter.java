package org.stratopneum.web.platform.paper;

import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.wording.Region;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/**
 * Sets a page as a PDF that can be read aloud and found again (tagged, PDF/UA-1, ISO 14289-1), with the fonts that ship
 * with it; nothing is fetched.
 */
@Component
public class PaperPrinter {

    private static final String FAMILY = "National Park";
    private static final int REGULAR = 400;
    private static final int SEMI_BOLD = 600;
    private static final byte[] LIGATURES = "GSUB".getBytes(StandardCharsets.US_ASCII);
    private static final int FIRST_TABLE = 12;
    private static final int TABLE = 16;

    private final ITemplateEngine templates;

    PaperPrinter(ITemplateEngine templates) {
        this.templates = templates;
    }

    /**
     * A page to be shown or kept.
     *
     * @param template written in XHTML, with its styles in it; it finds the sheet as {@code paper}
     * @param file what it is called where it is kept
     */
    public ResponseEntity<byte[]> answer(String template, String file, String name, Object value, Paper paper)
            throws IOException {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .cacheControl(CacheControl.noStore())
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(file).build().toString())
                .body(print(template, name, value, paper));
    }

    private byte[] print(String template, String name, Object value, Paper paper) throws IOException {
        Context context = new Context(Region.current().words());
        context.setVariable(name, value);
        context.setVariable("paper", paper);
        String page = templates.process(template, context);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (BatikSVGDrawer drawer = new BatikSVGDrawer()) {
            new PdfRendererBuilder()
                    .useFastMode()
                    .usePdfUaAccessibility(true)
                    .useSVGDrawer(drawer)
                    .useFont(font("NationalPark_400Regular.ttf"), FAMILY, REGULAR, FontStyle.NORMAL, true)
                    .useFont(font("NationalPark_600SemiBold.ttf"), FAMILY, SEMI_BOLD, FontStyle.NORMAL, true)
                    .useUriResolver((base, uri) -> null)
                    .withHtmlContent(page, "")
                    .toStream(out)
                    .run();
        }
        return out.toByteArray();
    }

    private static FSSupplier<InputStream> font(String file) {
        return () -> {
            try (InputStream stream = new ClassPathResource("static/paper/" + file).getInputStream()) {
                return new ByteArrayInputStream(withoutLigatures(stream.readAllBytes()));
            } catch (IOException exception) {
                throw new UncheckedIOException(exception);
            }
        };
    }

    /**
     * A font whose letters stay letters: drawn as one, "ff" is no letter that anybody finds or hears. The table that joins
     * them (OpenType, GSUB) gets a name that nobody knows.
     */
    static byte[] withoutLigatures(byte[] font) {
        int tables = (font[4] & 0xFF) << 8 | font[5] & 0xFF;
        for (int i = 0; i < tables; i++) {
            int at = FIRST_TABLE + i * TABLE;
            if (java.util.Arrays.equals(font, at, at + LIGATURES.length, LIGATURES, 0, LIGATURES.length)) {
                byte[] unknown = "GSUB".toLowerCase(Locale.ROOT).getBytes(StandardCharsets.US_ASCII);
                System.arraycopy(unknown, 0, font, at, unknown.length);
            }
        }
        return font;
    }
}
