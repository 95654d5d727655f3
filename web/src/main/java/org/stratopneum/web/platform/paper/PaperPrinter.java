package org.stratopneum.web.platform.paper;

import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.wording.Wording;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** Sets a page as a PDF, with the fonts that ship with it; nothing is fetched. */
@Component
public class PaperPrinter {

    private static final String FAMILY = "National Park";
    private static final int REGULAR = 400;
    private static final int SEMI_BOLD = 600;

    private final ITemplateEngine templates;

    PaperPrinter(ITemplateEngine templates) {
        this.templates = templates;
    }

    /** @param template written in XHTML, with its styles in it */
    public byte[] print(String template, String name, Object value) throws IOException {
        Context context = new Context(Wording.LOCALE);
        context.setVariable(name, value);
        String page = templates.process(template, context);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (BatikSVGDrawer drawer = new BatikSVGDrawer()) {
            new PdfRendererBuilder()
                    .useFastMode()
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
            try {
                return new ClassPathResource("static/paper/" + file).getInputStream();
            } catch (IOException exception) {
                throw new UncheckedIOException(exception);
            }
        };
    }
}
