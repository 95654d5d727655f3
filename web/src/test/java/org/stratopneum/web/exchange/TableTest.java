package org.stratopneum.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Script;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Settings;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Notes from a spreadsheet into the log and out, over HTTP. */
@ExtendWith(RunningApplication.class)
class TableTest {

    private static final String NOTES = """
            Date;Rear psi;Front psi;Remark
            03.04.2025;21,5;19;after the pass
            17.04.2025;22;;"soap; and patience"
            ;;;
            18.04.2025;20,5;18,5;
            """;

    private final Site site;
    private final Guest guest;

    TableTest(Site site) {
        this.site = site;
        guest = Guest.withAccount(site);
    }

    @BeforeEach
    void bike() {
        TypedBike.enter(guest, "since", "2025-01-01");
    }

    @Test
    void aNotebookIsGuessedShownCheckedAndBroughtIn() {
        Sent sent = Sent.table(guest, NOTES);
        assertThat(sent.form())
                .containsEntry("order", "DMY")
                .containsEntry("unit1", "PSI")
                .containsEntry("column1", "REAR")
                .containsEntry("heading", "on");
        assertThat(sent.page()).contains("3 Apr 2025, 12:00", "rear: read 21.5 psi", "id=\"check\"");
        assertThat(guest.ids("/log?topic=READINGS", "/log/"))
                .as("nothing is written by looking")
                .isEmpty();

        assertThat(sent.press("check")).contains("3 rows read without an error: 5 would be new, 0 are there already");
        assertThat(guest.ids("/log?topic=READINGS", "/log/"))
                .as("nor by checking")
                .isEmpty();

        assertThat(sent.press("bring-in")).contains("3 rows, 5 new, 0 were there already");
        assertThat(guest.ids("/log?topic=READINGS", "/log/")).hasSize(5);
        String found = guest.get("/log?words=patience").body();
        assertThat(found).contains("read 22.0 psi (1.52 bar)", "soap; and patience");
        String entry = guest.get(
                        "/log/" + guest.ids("/log?words=patience", "/log/").get(0))
                .body();
        assertThat(entry).contains("57-622", "17 Apr 2025, 12:00", "<dd>file</dd>");
    }

    @Test
    void thePageSaysHowFarAFileHasCome() {
        assertThat(guest.get("/exchange").body()).contains("aria-current=\"step\">File");
        Sent sent = Sent.table(guest, NOTES);
        assertThat(sent.page()).contains("aria-current=\"step\">Check");
        assertThat(sent.press("bring-in")).contains("aria-current=\"step\">Done");
    }

    @Test
    void theSameRowsAddNothingHoweverOftenTheyCome() {
        Sent.table(guest, NOTES).press("bring-in");
        Sent again = Sent.table(guest, NOTES);
        assertThat(again.page()).contains("You imported this very file before.");
        assertThat(again.press("bring-in")).contains("0 new, 5 were there already");
        Sent grown = Sent.table(guest, NOTES + "19.04.2025;20;;new\n");
        assertThat(grown.press("bring-in")).contains("1 new, 5 were there already");
        assertThat(guest.ids("/log?topic=READINGS", "/log/")).hasSize(6);
    }

    @Test
    void aWholeFileIsTakenOutAgainAndPutBack() {
        Sent sent = Sent.table(guest, NOTES);
        sent.press("bring-in");
        assertThat(sent.press("undo")).contains("id=\"undone\"");
        assertThat(guest.ids("/log?topic=READINGS", "/log/")).isEmpty();
        assertThat(guest.ids("/log?topic=READINGS&deleted=on", "/log/"))
                .as("struck through, still readable")
                .hasSize(5);
        assertThat(guest.get("/exchange/table.csv?sort=readings").body().lines())
                .as("its head alone")
                .hasSize(1);
        assertThat(Sent.table(guest, NOTES).press("bring-in"))
                .as("what is struck through stays so, and that is said")
                .contains("0 new", "5 of these entries were imported before and deleted since");
        assertThat(guest.ids("/log?topic=READINGS", "/log/")).isEmpty();
        assertThat(guest.post(sent.path() + "/undo", Map.of()).statusCode()).isEqualTo(409);
        assertThat(sent.press("redo")).contains("id=\"done\"");
        assertThat(guest.get("/exchange/table.csv?sort=readings").body().lines())
                .hasSize(1 + 5);
        assertThat(guest.ids("/log?topic=READINGS", "/log/")).hasSize(5);
    }

    @Test
    void everyFaultyRowIsToldWithItsReasonAndNothingIsHalfDone() {
        Sent sent = Sent.table(guest, """
                date,bike,wheel,pressure (psi),state,note
                2025-04-03,Plover,rear,21,set,fine
                2025-04-31,Plover,rear,21,set,no such day
                2025-05-01,Dunlin,rear,21,set,no such bike
                2025-05-02,Plover,left,21,set,
                2025-05-03,Plover,front,21 psi,set,
                2025-05-04,Plover,front,500,perhaps,
                2095-05-05,Plover,front,20,,
                2025-05-06,Plover,front,,,only words
                """);
        String page = sent.understood("order", "YMD").press("check");
        assertThat(page)
                .contains("id=\"checked-partly\"", "Errors: 8")
                .contains(
                        "<strong>Row 3</strong> <span>date: is not a date in this order, with a year (&quot;2025-04-31&quot;)",
                        "Row 4",
                        "bike: no bike of yours")
                .contains("Row 5", "must be rear or front", "Row 6", "is not a number alone")
                .contains(
                        "Row 7",
                        "must be at most 174.045 psi, was 500 psi",
                        "before or after pumping",
                        "Row 8",
                        "lies in the future")
                .contains("<strong>Row 9</strong> <span>nothing to import")
                .doesNotContain("Row 2<", "id=\"bring-in\"");
        assertThat(sent.press("bring-in")).as("all or nothing").contains("id=\"failed\"");
        assertThat(guest.ids("/log?topic=READINGS", "/log/")).isEmpty();

        assertThat(sent.press("check")).contains("One row can be imported: 1 would be new", "7 rows have errors");
        String toMend = guest.get(sent.path() + "/rows-to-mend.csv").body();
        assertThat(toMend.split("\r\n"))
                .hasSize(1 + 7)
                .contains("2025-05-02,Plover,left,21,set,,"
                        + "\"wheel: rear or front: must be rear or front (\"\"left\"\")\"");
        assertThat(sent.press("bring-in?leaveOut=true")).contains("id=\"done\"", "1 row, 1 new", "id=\"to-mend\"");
        assertThat(guest.ids("/log?topic=READINGS", "/log/")).hasSize(1);
        assertThat(guest.get(sent.path() + "/rows-to-mend.csv").body())
                .as("as long as they wait to be mended")
                .isEqualTo(toMend);

        String mended = toMend.lines()
                .filter(line -> line.startsWith("\uFEFF") || line.contains(",left,"))
                .map(line -> line.replace(",left,", ",front,"))
                .collect(Collectors.joining("\n"));
        assertThat(Sent.table(guest, mended).press("bring-in")).contains("1 row, 1 new");
    }

    @Test
    void whatCannotBeToldIsAskedByItsField() {
        Sent sent = Sent.table(guest, "date,pressure\n1/2/2025,11\n2/1/2025,11.5\n");
        String page = sent.page();
        assertThat(page)
                .contains(
                        "id=\"fault-order\">Required", "id=\"fault-unit1\">Required", "id=\"fault-position\">Required");
        assertThat(page).doesNotContain("id=\"check\"", "id=\"preview\"");
        sent.press("bring-in");
        assertThat(sent.page()).contains("Required");
        sent.understood("order", "MDY", "unit1", "PSI", "position", "REAR");
        assertThat(sent.page()).contains("2 Jan 2025, 12:00", "1 Feb 2025", "rear: read 11.0 psi");
        assertThat(sent.understood("column1", "DATE").page()).contains("another column holds that already");
    }

    @Test
    void fillingsDipsAndRidesOfOneTable() {
        Sent sent = Sent.table(guest, """
                day,time,wheel,sealant ml,depth mm,km,minutes,comment
                2025-03-01,18:30,rear,90,,,,first
                2025-04-01,19:00,rear,,4 6.5 7,,,
                2025-04-02,9:15,,,,41.5,150,over the pass
                """);
        assertThat(sent.press("bring-in")).contains("3 rows, 3 new");
        String log = guest.get("/log").body();
        assertThat(log).contains("sealant in, 90 ml", "dipped 6.8 mm", "ridden 42 km", "over the pass");
    }

    @Test
    void ourOwnTablesComeInAgainAsTheyWere() {
        Sent.table(guest, NOTES).press("bring-in");
        String entry = guest.ids("/log?words=patience", "/log/").get(0);
        guest.post("/log/" + entry + "/note", Map.of("note", "=HYPERLINK(\"x\")"));
        String table = guest.get("/exchange/table.csv?sort=readings").body();
        assertThat(table)
                .startsWith("\uFEFFid,date (dd/mm/yyyy),time,bike,wheel,pressure (psi),state,")
                .contains(",17/04/2025,12:00:00,Plover,rear,22,found,,,", "\"'=HYPERLINK(\"\"x\"\")\"")
                .doesNotContain(",=HYPERLINK");
        assertThat(guest.get("/exchange/table.csv?sort=nothing").statusCode()).isEqualTo(404);

        Guest other = Guest.withAccount(site);
        TypedBike.enter(other, "since", "2025-01-01");
        Sent.table(other, table).press("bring-in");
        assertThat(withoutIds(other.get("/exchange/table.csv?sort=readings").body()))
                .isEqualTo(withoutIds(table));
    }

    private static String withoutIds(String table) {
        return table.lines().map(line -> line.substring(line.indexOf(','))).collect(Collectors.joining("\n"));
    }

    /** Rows bear what they are: nothing of our own tables comes in a second time, whatever is rounded in them. */
    @Test
    void allOfOurTablesAreThereAlready() {
        Sent.table(guest, """
                day,time,wheel,pressure (bar),sealant ml,depth mm,km,minutes,wet,ground,comment
                2025-03-01,18:30,rear,1.777777777,90,,,,,,=first
                2025-04-01,19:00,rear,,,4 6.5 7,,,,,
                2025-04-02,9:15,,,,,41.123456789,150,yes,FOREST_TRACK 60 %; ROCK 40 %,over the pass
                """).press("bring-in");
        List<String> sorts = List.of("readings", "sealant", "rides", "log", "parts");
        sorts.forEach(sort -> isThereAlready("xlsx", sort));
        for (String dates : List.of("DAY_FIRST", "MONTH_FIRST", "YEAR_FIRST")) {
            Settings.choose(guest, "dates", dates, "hours", dates.equals("MONTH_FIRST") ? "TO_12" : "TO_24");
            sorts.forEach(sort -> isThereAlready("csv", sort));
        }
        assertThat(guest.get("/exchange/table.csv?sort=rides").body()).contains(",yes,FOREST_TRACK 60 %; ROCK 40 %,");
    }

    private void isThereAlready(String form, String sort) {
        Sent sent = Sent.file(guest, "own." + form, guest.bytes("/exchange/table." + form + "?sort=" + sort));
        assertThat(sent.press("check")).as(form + " " + sort).contains("id=\"checked\"", ": 0 would be new");
        assertThat(sent.press("bring-in")).as(form + " " + sort).contains(" 0 new");
    }

    /** What is no table is not taken, and its sender told what to do. */
    @Test
    void whatIsNoTableIsNotTaken() {
        assertThat(refused("a.bin", new byte[] {0, 1, 2, (byte) 0xFF, (byte) 0xD8, 10, 13, 'a', 'b', 'c'}))
                .contains("is not text", "xlsx");
        assertThat(refused("a.csv", NOTES.getBytes(StandardCharsets.UTF_16LE))).contains("UTF-16 without its mark");
        assertThat(refused("a.csv", NOTES.getBytes(StandardCharsets.UTF_16BE))).contains("UTF-16 without its mark");
        assertThat(refused("a.zip", new byte[] {'P', 'K', 3, 4, 0, 0, 0, 0})).contains("not a spreadsheet");
        assertThat(Sent.file(guest, "a.csv", ("\uFEFF" + NOTES).getBytes(StandardCharsets.UTF_16LE))
                        .form())
                .as("with its mark it is read")
                .containsEntry("encoding", "UTF_16")
                .containsEntry("column1", "REAR");
    }

    private String refused(String name, byte[] bytes) {
        HttpResponse<String> answer = guest.upload("/imports?newId=" + UUID.randomUUID(), "file", name, bytes);
        assertThat(answer.statusCode()).isEqualTo(422);
        return answer.body();
    }

    @Test
    void brokenFilesAreToldWhatTheyAre() {
        byte[] old = NOTES.replace("pass", "Paß").getBytes(Charset.forName("windows-1252"));
        Sent sent = Sent.file(guest, "old.csv", old);
        assertThat(sent.form()).containsEntry("encoding", "WINDOWS_1252");
        assertThat(sent.page()).contains("after the Paß");
        assertThat(sent.understood("encoding", "UTF_8", "column0", "DATE").press("check"))
                .contains("this is not UTF-8");

        String open = NOTES + "20.04.2025;20;;\"never closed\n" + "21.04.2025;20;;x\n".repeat(30_000);
        assertThat(Sent.table(guest, open).press("check"))
                .containsAnyOf("quotation marks are broken", "a quotation mark is never closed");
        assertThat(Sent.table(guest, NOTES + "20.04.2025;20;;\"a\"b\n").press("check"))
                .contains("quotation marks are broken");

        HttpResponse<String> empty = guest.upload("/imports?newId=" + UUID.randomUUID(), "file", "a.csv", new byte[0]);
        assertThat(empty.statusCode()).isEqualTo(422);
        assertThat(empty.body()).contains("Required");
        Sent nothing = Sent.table(guest, "only,words\n");
        assertThat(nothing.page()).contains("need one with the date");
        assertThat(guest.post(nothing.path() + "/drop", Map.of()).statusCode()).isEqualTo(302);
        assertThat(guest.get(nothing.path()).statusCode()).isEqualTo(404);
    }

    /**
     * Many rows: read in the background, told how far it is, the same as what a script reads afterwards. They go out some
     * thousand at a time: none is lost or twice where one page ends.
     */
    @Test
    void manyRowsComeInWholeAndGoOutEachOnce() {
        StringBuilder table = new StringBuilder("date,time,wheel,pressure psi\n");
        for (int i = 0; i < 20_000; i++) {
            table.append("2025-%02d-%02d,%02d:%02d,%s,%d\n"
                    .formatted(
                            1 + i % 12,
                            1 + i / 12 % 28,
                            i / 336 % 24,
                            i % 60,
                            i % 2 == 0 ? "rear" : "front",
                            15 + i % 20));
        }
        Sent sent = Sent.table(guest, table.toString());
        assertThat(sent.press("bring-in")).contains("20,000 rows, 20,000 new");
        Script script = Script.of(site, guest, "read");
        assertThat(script.get("/api/v1/log?limit=500").body()).contains("\"IMPORT\"");
        assertThat(guest.get("/log?words=read&topic=READINGS").statusCode()).isEqualTo(200);
        assertThat(guest.get("/exchange").body()).contains("notes.csv", ">imported<");
        for (String page : List.of("/", "/todo")) {
            assertThat(guest.get(page).statusCode()).as(page).isEqualTo(200);
        }
        Settings.choose(guest, "dates", "YEAR_FIRST");
        List<String> out =
                List.of(guest.get("/exchange/table.csv?sort=readings").body().split("\r\n"));
        assertThat(out).hasSize(1 + 20_000).doesNotHaveDuplicates();
        assertThat(out.subList(1, out.size()).stream()
                        .map(row -> row.substring(37, 56))
                        .toList())
                .isSorted();
    }
}
