package org.stratopneum.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Sent;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Parts as a table: in with all the forms' checks, out, and out again after they were in. */
@ExtendWith(RunningApplication.class)
class PartsTableTest {

    private static final String SHED = """
            Kind,Name,ETRTO,Inner width (mm),Bead seat,Quantity,Price,Bought,Max pressure (bar),Tubeless,Family,Least width,Most width,Tool
            tire,Tussock 57,57-622,,,2,49.90,3.4.2025,3.5,yes,,,,
            Rims,Steady 30,,30,622,,85,30.4.2025,,,,,,
            tube,Drover 622,,,622,3,7,,,,,50,65,
            sealant,Tarn milk,,,,500,19.5,,,,latex low ammonia,,,
            tool,Levers,,,,,4,,,,,,,levers
            """;

    private final Site site;
    private final Guest guest;

    PartsTableTest(Site site) {
        this.site = site;
        guest = Guest.withAccount(site);
    }

    private String shelf(Guest owner) {
        return owner.get("/garage").body();
    }

    private static List<String> rows(Guest owner) {
        List<String> rows = new ArrayList<>(List.of(owner.get("/exchange/table.csv?sort=parts")
                .body()
                .replace("\uFEFF", "")
                .split("\r\n")));
        return rows;
    }

    private static List<String> withoutIds(List<String> rows) {
        return rows.stream().map(row -> row.substring(row.indexOf(','))).toList();
    }

    @Test
    void aTableOfPartsIsKnownByItsHeadingsAndFillsTheShelf() {
        Sent sent = Sent.table(guest, SHED);
        assertThat(sent.form())
                .containsEntry("holds", "PARTS")
                .containsEntry("order", "DMY")
                .containsEntry("unit8", "BAR")
                .containsEntry("column2", "SIZE");
        assertThat(sent.page()).contains("tire Tussock 57", "rim Steady 30", "sealant Tarn milk");
        assertThat(sent.press("check")).contains("6 would be new, 0 are there already");
        assertThat(shelf(guest)).as("checking keeps nothing").doesNotContain("Tussock");
        assertThat(sent.press("bring-in")).contains("6 new");
        assertThat(shelf(guest)).contains("Tussock 57", "Steady 30", "Drover 622", "Tarn milk", "Levers");
        assertThat(rows(guest))
                .hasSize(1 + 6)
                .filteredOn(row -> row.contains(",tire,Tussock 57,57-622,"))
                .hasSize(2)
                .allSatisfy(row -> assertThat(row).contains("49.90", "03/04/2025", ",yes,"));
    }

    @Test
    void theSameTableAddsNothingAndIsTakenOutWhole() {
        Sent.table(guest, SHED).press("bring-in");
        Sent again = Sent.table(guest, SHED);
        assertThat(again.press("bring-in")).contains("0 new, 6 were there already");
        Sent first = Sent.table(guest, "part,name,size\ntire,Third,40-622\n");
        first.press("bring-in");
        assertThat(shelf(guest)).contains("Third");
        assertThat(first.press("undo"))
                .contains("Import undone. Parts used since are kept: retired, unless they are on a wheel.")
                .doesNotContain("id=\"redo\"");
        assertThat(shelf(guest)).doesNotContain("Third").contains("Tussock 57");
        assertThat(Sent.table(guest, "part,name,size\ntire,Third,40-622\n").press("bring-in"))
                .contains("1 new");
    }

    @Test
    void whatWasUsedSinceIsRetiredRatherThanGone() {
        TypedBike.enter(guest);
        Sent sent = Sent.table(
                guest, "part,name,amount,family\nsealant,Moss milk,500,SYNTHETIC\nsealant,Fen milk,500,SYNTHETIC\n");
        sent.press("bring-in");
        String bottle = guest.ids("/garage", "/shelf/").stream()
                .filter(id -> guest.get("/shelf/" + id).body().contains("value=\"Moss milk\""))
                .findFirst()
                .orElseThrow();
        String wheel = "/wheels/" + guest.ids("/garage", "/wheels/").get(0) + "/sealant";
        assertThat(guest.post(
                                wheel + "/fillings",
                                Map.of(
                                        "entry",
                                        java.util.UUID.randomUUID().toString(),
                                        "volume",
                                        "60",
                                        "bottle",
                                        bottle))
                        .statusCode())
                .isEqualTo(302);
        sent.press("undo");
        assertThat(shelf(guest)).doesNotContain("Fen milk").contains("Moss milk", "retired");
    }

    @Test
    void everyFaultIsToldByItsColumnAndNothingIsKept() {
        Sent sent = Sent.table(guest, """
                part,name,size,price,tubeless,family,amount,max pressure (psi)
                tire,Good,57-622,10,yes,,,40
                saddle,Wrong,,,,,,
                tire,NoSize,,ten,perhaps,,,
                sealant,NoFamily,,5,,,500,
                tire,TooHard,57-622,,,,,4000
                """);
        String page = sent.press("bring-in");
        assertThat(page)
                .contains(". Fix them in the file and upload it again, or change the column mapping below.")
                .contains("Row 3", "must be tire, rim, valve, tube, insert, tape, sealant or tool")
                .contains("Row 4", "price:", "tubeless: yes or no: must be yes or no")
                .contains("Row 5", "family of sealant:")
                .contains("Row 6", "highest pressure:", "psi");
        assertThat(shelf(guest)).doesNotContain("Good");
    }

    @Test
    void rowsThatNameNoSortAreAskedFor() {
        Sent sent = Sent.table(guest, "name,size\nFirst,57-622\nSecond,40-622\n");
        assertThat(sent.page()).contains("id=\"fault-part\"");
        sent.understood("part", "TIRE");
        assertThat(sent.press("bring-in")).contains("2 new");
    }

    @Test
    void aTableMayBeSaidToHoldTheOther() {
        Sent sent = Sent.table(guest, "name,date\nOld tire,2025-04-01\n");
        assertThat(sent.form()).containsEntry("holds", "NOTES");
        sent.understood("holds", "PARTS");
        assertThat(sent.form()).containsEntry("holds", "PARTS").containsEntry("column0", "NAME");
    }

    /** Out, into an empty account, and out again is the same table. */
    @Test
    void whatCameOutGoesInAndComesOutTheSame() {
        Sent.table(guest, SHED).press("bring-in");
        Sent.table(guest, "part,name,size\ntire,\"=HYPERLINK(\"\"x\"\")\",40-622\n")
                .press("bring-in");
        List<String> out = rows(guest);
        assertThat(out).anySatisfy(row -> assertThat(row).contains("'=HYPERLINK"));
        Guest other = Guest.withAccount(site);
        Sent sent = Sent.table(other, String.join("\r\n", out));
        assertThat(sent.page()).doesNotContain("id=\"fault-columns\"");
        assertThat(sent.press("bring-in")).contains("7 new");
        assertThat(withoutIds(rows(other))).containsExactlyElementsOf(withoutIds(out));
    }
}
