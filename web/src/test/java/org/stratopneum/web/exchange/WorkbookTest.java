package org.stratopneum.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.DateUtil;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Workbooks in and out, beside another library's reader and writer of them. */
@ExtendWith(RunningApplication.class)
class WorkbookTest {

    private final Guest guest;

    WorkbookTest(Site site) {
        guest = Guest.withAccount(site);
    }

    @BeforeEach
    void bike() {
        TypedBike.enter(guest, "since", "2025-01-01");
    }

    /** Days and numbers of a workbook are days and numbers, whatever they look like; what a formula came to counts. */
    @Test
    void aWorkbookOfAnotherProgramComesIn() throws IOException {
        Sent sent = Sent.file(guest, "notes.xlsx", workbook());
        assertThat(sent.form())
                .doesNotContainKeys("encoding", "separator")
                .containsEntry("order", "YMD")
                .containsEntry("unit2", "BAR")
                .containsEntry("column1", "TIME");
        assertThat(sent.page()).contains("3 Apr 2025, 07:30", "rear: set to 1.75 bar", "4 Apr 2025, 18:05", "1.80 bar");
        assertThat(sent.press("check")).contains("2 rows read without an error");
        assertThat(sent.press("bring-in")).contains("2 new");
        assertThat(sent.press("undo")).contains("id=\"undone\"");
    }

    private static byte[] workbook() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (XSSFWorkbook workbook = new XSSFWorkbook()) {
            Sheet sheet = workbook.createSheet("Notes");
            Row heading = sheet.createRow(0);
            String[] names = {"Date", "Time", "Rear (bar)", "State", "Note"};
            for (int i = 0; i < names.length; i++) {
                heading.createCell(i).setCellValue(names[i]);
            }
            CellStyle day = workbook.createCellStyle();
            day.setDataFormat(workbook.createDataFormat().getFormat("d/m/yy"));
            CellStyle clock = workbook.createCellStyle();
            clock.setDataFormat(workbook.createDataFormat().getFormat("h:mm AM/PM"));
            Row first = sheet.createRow(1);
            first.createCell(0).setCellValue(LocalDate.of(2025, 4, 3));
            first.getCell(0).setCellStyle(day);
            first.createCell(1).setCellValue(DateUtil.convertTime("07:30"));
            first.getCell(1).setCellStyle(clock);
            first.createCell(2).setCellValue(1.75);
            first.createCell(3).setCellValue("just pumped");
            first.createCell(4).setCellValue("=SUM(1) is only said");
            // a row between that holds nothing
            Row second = sheet.createRow(3);
            second.createCell(0).setCellValue(LocalDateTime.of(2025, 4, 4, 18, 5));
            second.getCell(0).setCellStyle(day);
            second.createCell(2).setCellFormula("0.9+0.9");
            workbook.getCreationHelper().createFormulaEvaluator().evaluateAll();
            workbook.write(bytes);
        }
        return bytes.toByteArray();
    }

    @Test
    void whatGoesOutIsReadByAnotherProgram() throws IOException {
        Sent.table(guest, "date,time,rear psi,note\n2025-04-03,7:30 AM,24,=1+1\n2025-04-03,18:05,24.5,\n")
                .press("bring-in");
        byte[] bytes = guest.bytes("/exchange/table.xlsx?sort=readings");
        try (XSSFWorkbook workbook = new XSSFWorkbook(new ByteArrayInputStream(bytes))) {
            Sheet sheet = workbook.getSheetAt(0);
            assertThat(sheet.getSheetName()).isEqualTo("readings");
            assertThat(sheet.getLastRowNum()).isEqualTo(2);
            assertThat(sheet.getRow(0).getCell(5).getStringCellValue()).startsWith("pressure (");
            Row row = sheet.getRow(1);
            assertThat(DateUtil.isCellDateFormatted(row.getCell(1))).isTrue();
            assertThat(row.getCell(1).getLocalDateTimeCellValue().toLocalDate()).isEqualTo("2025-04-03");
            assertThat(row.getCell(2).getLocalDateTimeCellValue().toLocalTime()).isEqualTo("07:30");
            assertThat(row.getCell(5).getNumericCellValue()).isCloseTo(24, within(1e-3));
            assertThat(row.getCell(10).getCellType()).isEqualTo(CellType.STRING);
            assertThat(row.getCell(10).getStringCellValue()).isEqualTo("=1+1");
        }
    }

    /** A small file that unpacks to more than a machine holds is not unpacked. */
    @Test
    void aFileThatUnpacksToFarMoreIsRefused() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("xl/workbook.xml"));
            zip.putNextEntry(new ZipEntry("xl/sharedStrings.xml"));
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 60; i++) {
                zip.write(zeros);
            }
        }
        var answer =
                guest.upload("/imports?newId=" + java.util.UUID.randomUUID(), "file", "a.xlsx", bytes.toByteArray());
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("when unpacked");
        byte[] cut = java.util.Arrays.copyOf(workbook(), 1500);
        assertThat(guest.upload("/imports?newId=" + java.util.UUID.randomUUID(), "file", "a.xlsx", cut)
                        .statusCode())
                .isEqualTo(422);
        assertThat(guest.post("/imports/" + java.util.UUID.randomUUID() + "/check", Map.of())
                        .statusCode())
                .isEqualTo(404);
    }
}
