package org.stratopneum.web.exchange;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.stratopneum.web.exchange.archive.ArchiveSchema;
import org.stratopneum.web.exchange.archive.ArchiveWriter;
import org.stratopneum.web.exchange.csv.CsvExport;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.rider.Riders;

/** Everything out, in open formats; a file is written while it is sent. */
@Controller
class ExportController {

    private final ArchiveWriter archive;
    private final ArchiveSchema schema;
    private final CsvExport csv;
    private final Riders riders;
    private final Logbook logbook;

    ExportController(ArchiveWriter archive, ArchiveSchema schema, CsvExport csv, Riders riders, Logbook logbook) {
        this.archive = archive;
        this.schema = schema;
        this.csv = csv;
        this.riders = riders;
        this.logbook = logbook;
    }

    @GetMapping("/exchange/garage.json")
    void garage(HttpServletResponse response) throws IOException {
        answer(response, "garage", "json", MediaType.APPLICATION_JSON_VALUE);
        send(response, archive::write);
    }

    @GetMapping("/exchange/table.{form:csv|xlsx}")
    void table(@PathVariable String form, @RequestParam String sort, HttpServletResponse response) throws IOException {
        CsvExport.Sort known = Arrays.stream(CsvExport.Sort.values())
                .filter(one -> one.name().toLowerCase(Locale.ROOT).equals(sort))
                .findFirst()
                .orElseThrow(NotThereException::new);
        CsvExport.Form written = CsvExport.Form.valueOf(form.toUpperCase(Locale.ROOT));
        answer(response, sort, form, written.mediaType());
        send(response, out -> csv.write(known, written, out));
    }

    /** Writes a file. */
    private interface Sender {
        void write(OutputStream out) throws IOException;
    }

    /** What breaks off is told as a fault, or where a part is on its way already, is cut off, and never looks whole. */
    private static void send(HttpServletResponse response, Sender sender) throws IOException {
        try {
            sender.write(response.getOutputStream());
        } catch (RuntimeException broken) {
            if (!response.isCommitted()) {
                response.reset();
            }
            throw broken;
        }
    }

    private void answer(HttpServletResponse response, String name, String ending, String type) {
        LocalDate today = LocalDate.ofInstant(logbook.now(), riders.self().zoneId());
        response.setContentType(type);
        response.setHeader("Cache-Control", "no-store");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename("stratopneum-" + name + "-" + today + "." + ending)
                        .build()
                        .toString());
    }

    /** The published schema of an archive; it is nobody's secret. */
    @GetMapping("/archive-1.schema.json")
    @ResponseBody
    ResponseEntity<String> schema() {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/schema+json"))
                .body(schema.text());
    }
}
