package org.stratopneum.web.parts.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

@ExtendWith(RunningApplication.class)
class ShelfTest {

    private final Site site;
    private Guest rider;

    ShelfTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void anAccountOfTheirOwn() {
        rider = Guest.withAccount(site);
    }

    private String add(String kind, String... pairs) {
        Map<String, String> fields = fields(kind, pairs);
        var answer = rider.post("/shelf", fields);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(302);
        return fields.get("newId");
    }

    private static Map<String, String> fields(String kind, String... pairs) {
        Map<String, String> fields =
                new HashMap<>(Map.of("kind", kind, "newId", UUID.randomUUID().toString()));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return fields;
    }

    @Test
    void anEmptyShelfSaysWhatToBeginWith() {
        assertThat(rider.get("/garage").body())
                .contains(
                        "Nothing in stock yet. Start with a bottle of sealant and a roll of tape: jobs take their amounts from them.");
    }

    @ParameterizedTest
    @EnumSource
    void everyKindHasItsFormAndNamesWhatIsMissing(ShelfKind kind) {
        assertThat(rider.get("/shelf/new?kind=" + kind.name()).statusCode()).isEqualTo(200);
        var answer = rider.post("/shelf", fields(kind.name(), "price", "cheap"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Required", "value=\"cheap\"");
    }

    @Test
    void everyKindIsKeptWithWhatMatters() {
        add("VALVE", "name", "Reed valve", "amount", "4", "length", "44", "valve", "PRESTA", "removableCore", "on");
        add("TUBE", "name", "Drover tube", "least", "50", "most", "65", "beadSeat", "622", "valve", "SCHRADER");
        add("INSERT", "name", "Foam ring", "least", "50", "most", "62", "beadSeat", "622");
        add("TAPE", "name", "Birch tape", "width", "32", "amount", "10");
        add(
                "SEALANT",
                "name",
                "Tarn milk",
                "family",
                "LATEX_AMMONIA",
                "amount",
                "500",
                "largestHole",
                "6",
                "opened",
                "2026-05-02",
                "bestBefore",
                "2026-06-01",
                "co2Safe",
                "on");
        add("TOOL", "name", "Yellow levers", "tool", "LEVERS");
        assertThat(rider.get("/garage").body())
                .contains("44 mm, thin valve (Presta), core comes out", "4 left of 4")
                .contains("50 to 65 mm x 622, wide valve (Schrader), fixed core")
                .contains("32 mm wide", "10 m left of 10 m", "two plastic levers")
                .contains("latex with ammonia, holes up to 6 mm, safe with CO2, opened 2 May 2026")
                .contains("past its best-before", "500 ml left of 500 ml");
    }

    @ParameterizedTest
    @CsvSource({
        "TAPE, width, 4, must be at least 5 mm",
        "TAPE, width, , Required",
        "TAPE, amount, 900, must be at most 500",
        "TUBE, least, 80, must not be wider than the widest tire",
        "VALVE, amount, 1.5, must be a whole number",
        "VALVE, length, 5, must be at least 20 mm",
        "SEALANT, family, MILK, is not one of the known values",
        "SEALANT, opened, soon, is not a day",
        "TOOL, tool, TIRE, is not one of the known values",
        "TOOL, tool, VALVE, is not one of the known values"
    })
    void whatCannotBeIsSaidAndNothingIsLost(String kind, String field, String typed, String message) {
        Map<String, String> fields = fields(
                kind,
                "name",
                "Thing & <b>",
                "amount",
                "3",
                "width",
                "30",
                "least",
                "50",
                "most",
                "65",
                "beadSeat",
                "622",
                "family",
                "SYNTHETIC",
                "tool",
                "LEVERS");
        fields.put(field, typed == null ? "" : typed);
        var answer = rider.post("/shelf", fields);
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(message, "Thing &amp; &lt;b&gt;");
    }

    @Test
    void somethingIsDoubledRetiredAndRestored() {
        String id = add("VALVE", "name", "Reed valve", "amount", "2", "removableCore", "on");
        rider.post("/shelf/" + id + "/duplicate", Map.of());
        assertThat(rider.get("/garage").body().split("<strong>Reed valve")).hasSize(3);

        rider.post("/shelf/" + id + "/retire", Map.of());
        assertThat(rider.get("/garage").body()).contains("retired");
        rider.post("/shelf/" + id + "/restore", Map.of());
        assertThat(rider.get("/garage").body()).doesNotContain(">retired");
    }

    @Test
    void twoWindowsThatChangeOneThingAreTold() {
        String id = add("TAPE", "name", "Birch tape", "width", "32", "amount", "10");
        Map<String, String> first = fields("TAPE", "name", "Birch", "width", "32", "amount", "10", "version", "0");
        assertThat(rider.post("/shelf/" + id, first).statusCode()).isEqualTo(302);
        first.put("name", "Alder");
        var second = rider.post("/shelf/" + id, first);
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body())
                .contains(
                        "This was changed elsewhere in the meantime. Below is what you entered; saving again replaces it.",
                        "value=\"Alder\"");
    }

    @Test
    void rimsTiresAndGaugesLieThereToo() {
        Map<String, String> rim = Map.of(
                "newId",
                UUID.randomUUID().toString(),
                "rim",
                "Spare rim",
                "rimDiameter",
                "622",
                "rimWidth",
                "30",
                "valveHole",
                "6.5");
        assertThat(rider.post("/rims", rim).statusCode()).isEqualTo(302);
        Map<String, String> gauge = Map.of("newId", UUID.randomUUID().toString(), "name", "Dial", "unit", "BAR");
        assertThat(rider.post("/gauges", gauge).statusCode()).isEqualTo(302);
        String shelf = rider.get("/garage").body();
        assertThat(shelf).contains("Spare rim", "622, 30 mm inside", "Dial", "bar");

        String id = rider.ids("/garage", "/rims/").get(0);
        rider.post("/rims/" + id + "/duplicate", Map.of());
        assertThat(rider.ids("/garage", "/rims/")).hasSize(2);
        rider.post("/rims/" + id + "/retire", Map.of());
        assertThat(rider.get("/garage").body()).contains("retired");
        assertThat(rider.get("/rims/" + id).body()).contains("History", "No history yet.");
    }

    @Test
    void aTireSaysWhereItHasBeenAndARimInUseStays() {
        TypedBike.enter(rider);
        String wheel = "/wheels/" + rider.ids("/garage", "/wheels/").get(0);
        String tire = rider.ids(wheel, "/tires/").get(0);
        assertThat(rider.get("/tires/" + tire).body()).contains("History", "Plover rear", "fitted 57-622");
        String rim = rider.ids(wheel, "/rims/").get(0);
        var kept = rider.post("/rims/" + rim + "/retire", Map.of());
        assertThat(kept.headers().firstValue("Location").orElse("")).contains("in-use");
        assertThat(rider.get("/rims/" + rim).body()).contains("built into this wheel");
    }

    @Test
    void theListOfNeedsSaysWhatTheShelfHasAndLacks() {
        TypedBike.enter(rider, "rear-rimDepth", "20");
        String needs = "/wheels/" + rider.ids("/garage", "/wheels/").get(0) + "/needs";
        assertThat(rider.get(needs).body()).contains("not in stock").doesNotContain("on the shelf:");
        add("TAPE", "name", "Birch tape", "width", "32", "amount", "1");
        add("VALVE", "name", "Short valve", "length", "34");
        add("VALVE", "name", "Reed valve", "length", "44");
        add("SEALANT", "name", "Tarn milk", "family", "SYNTHETIC", "amount", "500");
        add("SEALANT", "name", "Moss gel", "family", "FIBRE", "amount", "500");
        assertThat(rider.get(needs).body())
                .contains("too little in stock: Birch tape, 1 m", "in stock: Reed valve", "in stock: Tarn milk")
                .doesNotContain("Short valve", "Moss gel");
    }
}
