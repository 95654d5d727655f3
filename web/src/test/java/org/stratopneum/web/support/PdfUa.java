package org.stratopneum.web.support;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import org.verapdf.core.EncryptedPdfException;
import org.verapdf.core.ModelParsingException;
import org.verapdf.core.ValidationException;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.PDFAParser;
import org.verapdf.pdfa.PDFAValidator;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import org.verapdf.pdfa.results.TestAssertion;

/** Judges PDFs by PDF/UA-1 (ISO 14289-1) with an independent validator, as far as machines can. */
public final class PdfUa {

    private PdfUa() {}

    /** What is wrong with it, by clauses of the standard. */
    public static List<String> faults(byte[] pdf) throws IOException {
        VeraGreenfieldFoundryProvider.initialise();
        try (PDFAParser parser =
                        Foundries.defaultInstance().createParser(new ByteArrayInputStream(pdf), PDFAFlavour.PDFUA_1);
                PDFAValidator validator = Foundries.defaultInstance().createValidator(PDFAFlavour.PDFUA_1, false)) {
            return validator.validate(parser).getTestAssertions().stream()
                    .filter(one -> one.getStatus() != TestAssertion.Status.PASSED)
                    .map(one -> one.getRuleId().getClause() + ": " + one.getMessage())
                    .distinct()
                    .toList();
        } catch (ValidationException | ModelParsingException | EncryptedPdfException exception) {
            throw new IOException(exception);
        }
    }
}
