package org.stratopneum.web.api.calculators;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import tools.jackson.databind.JsonNode;

/** The calculators of the workshop, asked as a script would: the docs/handbook's worked values, and every fault at once. */
@ExtendWith(RunningApplication.class)
class WorkshopCalculatorsTest {

    private static final String TIRE = """
            "tire": {"nominalWidthMm": 60, "beadSeatDiameterMm": 622, "measuringRimWidthMm": 30, "rimInternalWidthMm": 30}
            """;

    private static final String ROAD_TIRE = """
            "tire": {"nominalWidthMm": 28, "beadSeatDiameterMm": 622, "measuringRimWidthMm": 19, "rimInternalWidthMm": 21}
            """;

    private final Site site;

    WorkshopCalculatorsTest(Site site) {
        this.site = site;
    }

    @ParameterizedTest
    @CsvSource({"LEAN, 61, 60", "STANDARD, 101, 100", "GENEROUS, 129, 130"})
    void theDoseOfAMountainTire(String school, double table, double rounded) {
        JsonNode answer = ok("/sealant/dose", "{%s, \"school\": \"%s\"}".formatted(TIRE, school));
        assertThat(answer.get("exactMl").asDouble()).isCloseTo(table, within(0.5));
        assertThat(answer.get("doseMl").asDouble()).isEqualTo(rounded);
        assertThat(answer.get("minimumMl").asDouble()).isCloseTo(34, within(0.5));
        assertThat(answer.at("/inTable/standard").asDouble()).isCloseTo(101, within(0.5));
    }

    @Test
    void anInsertAndACasingThatSeepsWantMore() {
        JsonNode answer = ok(
                "/sealant/dose",
                "{%s, \"school\": \"STANDARD\", \"tubelessCasing\": false, \"insert\": true}".formatted(TIRE));
        assertThat(answer.get("exactMl").asDouble()).isCloseTo(101.46 * 1.5 + 25, within(0.3));
    }

    /** docs/handbook, page 2: a 1.0 l chamber at 150 psi (1034 kPa) leaves a mountain tire at 22 psi (152 kPa). */
    @Test
    void aChamberInAMountainTire() {
        JsonNode answer = ok("/air/chamber", "{%s, \"chamberL\": 1, \"chamberGaugeKpa\": 1034.2}".formatted(TIRE));
        assertThat(answer.get("gaugeKpa").asDouble()).isCloseTo(151.5, within(0.5));
        assertThat(answer.at("/verdicts/0/code").asString()).isEqualTo("chamber-fine");
        assertThat(answer.at("/verdicts/0/fix").isNull()).isTrue();
        JsonNode tooMuch =
                ok("/air/chamber", "{%s, \"chamberL\": 4, \"chamberGaugeKpa\": 1500, \"maxKpa\": 350}".formatted(TIRE));
        assertThat(tooMuch.get("gaugeKpa").asDouble()).as("not capped").isGreaterThan(350);
        assertThat(tooMuch.at("/verdicts/0/level").asString()).isEqualTo("BLOCKS");
        assertThat(tooMuch.at("/verdicts/0/fix").asString()).contains("Charge the chamber to");
    }

    /** docs/handbook, page 4: 25 g give 34.0 psi in a 60-622, 16 g 103.9 psi in a 28-622, at their best at 20 C. */
    @Test
    void cartridgesAtTheirBest() {
        assertThat(ok("/air/cartridge", "{%s, \"massG\": 25}".formatted(TIRE))
                        .at("/gaugeKpa/best")
                        .asDouble())
                .isCloseTo(34.0 * 6.894757, within(0.4));
        JsonNode road = ok("/air/cartridge", "{%s, \"massG\": 16, \"targetKpa\": 550}".formatted(ROAD_TIRE));
        assertThat(road.at("/gaugeKpa/best").asDouble()).isCloseTo(103.9 * 6.894757, within(0.4));
        assertThat(road.get("cartridgesForTarget").asInt()).isEqualTo(1);
        assertThat(road.get("leftOverG").asDouble()).isBetween(0.0, 16 * 0.58);
    }

    /** docs/handbook, page 4: 6.5 l from 1.6 to 0.5 bar in 32.7 s is a hole of 1 mm; here the 5.83 l of a 60-622. */
    @Test
    void aTireThatWentDownInHalfAMinuteHasAHoleOfAMillimetre() {
        JsonNode answer = ok(
                "/air/hole",
                "{%s, \"startGaugeKpa\": 160, \"endGaugeKpa\": 50, \"seconds\": %s}"
                        .formatted(TIRE, 32.7 * 5.828 / 6.5));
        assertThat(answer.get("holeDiameterMm").asDouble()).isCloseTo(1, within(0.01));
        Site.Answer rising = site.calculate(
                "/air/hole", "{%s, \"startGaugeKpa\": 50, \"endGaugeKpa\": 160, \"seconds\": 9}".formatted(TIRE));
        assertThat(rising.status()).isEqualTo(400);
        assertThat(rising.json().at("/errors/0/code").asString()).isEqualTo("not-falling");
        assertThat(rising.json().at("/errors/0/field").asString()).isEqualTo("endGaugeKpa");
    }

    @Test
    void withoutATargetThereIsNoCount() {
        JsonNode answer = ok("/air/cartridge", "{%s, \"massG\": 20, \"count\": 2}".formatted(TIRE));
        assertThat(answer.get("cartridgesForTarget").isNull()).isTrue();
        assertThat(answer.get("leftOverG").asDouble()).isCloseTo(6, within(1e-9));
    }

    /** docs/handbook, page 2: 622 with 32 spokes: 1.93 m + 0.37 m; 28 mm on a 30 mm bed overlap by 24 and cover 32 mm. */
    @Test
    void tapeForAWheel() {
        JsonNode answer = ok("/fit/tape", """
                {"rim": {"internalWidthMm": 30, "beadSeatDiameterMm": 622, "spokes": 32}, "start": "THREE_HOLES",
                 "rollLengthM": 10, "tapeOnHandMm": 28}
                """);
        assertThat(answer.get("lengthM").asDouble()).isCloseTo(2.30, within(0.005));
        assertThat(answer.get("wheelsPerRoll").asInt()).isEqualTo(4);
        assertThat(answer.at("/widths/middle/fromMm").asDouble()).isEqualTo(32);
        assertThat(answer.at("/offsetPasses/possible").asBoolean()).isTrue();
        assertThat(answer.at("/offsetPasses/overlapMm").asDouble()).isEqualTo(24);
        assertThat(answer.at("/offsetPasses/coverageMm").asDouble()).isEqualTo(32);
    }

    @Test
    void partsThatDoNotGoTogetherAreToldWhyAndWhatWouldHelp() {
        JsonNode answer = ok("/fit/check", """
                {"tire": {"nominalWidthMm": 42, "beadSeatDiameterMm": 622, "rimInternalWidthMm": 25},
                 "rim": {"internalWidthMm": 25, "beadSeatDiameterMm": 622, "hookless": true, "tubeless": "TAPED"},
                 "marks": {"tubeless": true, "maxKpa": 600}, "tubeless": true}
                """);
        assertThat(answer.get("ceilingKpa").asDouble())
                .as("no hookless rim gets more")
                .isEqualTo(500);
        JsonNode blocked = verdict(answer, "hookless-not-allowed");
        assertThat(blocked.get("level").asString()).isEqualTo("BLOCKS");
        assertThat(blocked.get("fix").asString()).contains("must not be mounted");
        assertThat(verdict(answer, "widths-match").get("message").asString()).contains("59.5 %");
        List<String> unchecked = new ArrayList<>();
        answer.get("unchecked").forEach(check -> unchecked.add(check.asString()));
        assertThat(unchecked).containsExactly("valve-length", "valve-hole", "valve-core", "clearance", "load");
        assertThat(ok("/fit/check", """
                        {"tire": {"nominalWidthMm": 42, "beadSeatDiameterMm": 622, "rimInternalWidthMm": 25},
                         "rim": {"internalWidthMm": 25, "beadSeatDiameterMm": 622, "tubeless": "TAPED"},
                         "valve": {"lengthMm": 44, "base": "SQUARE"}, "marks": {"tubeless": true}, "tubeless": true}
                        """).get("unchecked").toString())
                .as("one shape without the other cannot be compared")
                .contains("valve-base");
    }

    /** docs/handbook, page 1: 10 mm in a 60-622 are 31.38 ml. */
    @Test
    void aPoolIsToldByDepthAndByVolume() {
        JsonNode byDepth = ok("/sealant/pool", "{%s, \"depthMm\": 10}".formatted(TIRE));
        assertThat(byDepth.get("volumeMl").asDouble()).isCloseTo(31.38, within(0.005));
        JsonNode byVolume = ok("/sealant/pool", "{%s, \"volumeMl\": 31.38}".formatted(TIRE));
        assertThat(byVolume.get("depthMm").asDouble()).isCloseTo(10, within(0.001));
        assertThat(byVolume.get("mlPerMm").asDouble()).isBetween(5.0, 7.0);
        Site.Answer deep = site.calculate("/sealant/pool", "{%s, \"depthMm\": 70}".formatted(TIRE));
        assertThat(deep.status()).isEqualTo(400);
        assertThat(deep.json().at("/errors/0/code").asString()).isEqualTo("deeper-than-tire");
        assertThat(deep.json().at("/errors/0/limit").asDouble()).isCloseTo(55.98, within(0.01));
    }

    /** docs/handbook, page 5: a standard dose at 20 C and 50 % wants a refresh after 122 days, a look after 69. */
    @Test
    void theForecastWithoutADipIsTheTradesHabit() {
        String asked =
                "{%s, \"filledOn\": \"2026-03-01\", \"filledMl\": 101.46, \"asOf\": \"2026-03-01\", \"climate\": %s}";
        JsonNode mild =
                ok("/sealant/forecast", asked.formatted(TIRE, "{\"temperatureC\": 20, \"relativeHumidity\": 0.5}"));
        assertThat(LocalDate.parse(mild.get("refreshBy").asString()))
                .isBetween(LocalDate.of(2026, 6, 30), LocalDate.of(2026, 7, 3));
        assertThat(LocalDate.parse(mild.get("checkBy").asString()))
                .isBetween(LocalDate.of(2026, 5, 8), LocalDate.of(2026, 5, 10));
        assertThat(mild.at("/volumeMl/p50").asDouble()).isCloseTo(101.46, within(1e-9));
        assertThat(mild.at("/rateFactor/p50").asDouble()).isCloseTo(1, within(0.01));
        String month = "{\"temperatureC\": 20, \"relativeHumidity\": 0.5}";
        JsonNode monthly = ok(
                "/sealant/forecast",
                asked.formatted(TIRE, "{\"monthly\": [" + String.join(",", Collections.nCopies(12, month)) + "]}"));
        assertThat(monthly).as("the same air by month").isEqualTo(mild);
    }

    /** docs/handbook, page 5, worked values of a 60-622 with 100 ml: each kind of thing that may happen, by its own door. */
    @Test
    void allThatHappenedToTheSealantCounts() {
        String asked = "{%s, %s, \"climate\": {\"temperatureC\": 20, \"relativeHumidity\": 0.5}}";
        String filled = "\"filledOn\": \"2026-03-01\", \"filledMl\": 100, \"asOf\": ";
        JsonNode spent = ok(
                "/sealant/forecast",
                asked.formatted(
                        TIRE,
                        filled
                                + "\"2026-03-21\", \"losses\": [{\"on\": \"2026-03-11\", \"likelyMl\": 10},"
                                + " {\"on\": \"2026-03-13\", \"likelyMl\": 10}]"));
        assertThat(spent.at("/volumeMl/p50").asDouble()).isCloseTo(65.3, within(1.0));
        JsonNode topped = ok(
                "/sealant/forecast",
                asked.formatted(
                        TIRE,
                        filled
                                + "\"2026-05-30\", \"dips\": [{\"on\": \"2026-04-15\", \"depthMm\": 13}],"
                                + " \"topUps\": [{\"on\": \"2026-05-30\", \"ml\": 60, \"otherProduct\": true}]"));
        assertThat(topped.at("/volumeMl/p50").asDouble()).isCloseTo(89.6, within(1.0));
        JsonNode dry = ok(
                "/sealant/forecast",
                asked.formatted(
                        TIRE, filled + "\"2026-03-21\", \"looks\": [{\"on\": \"2026-03-21\", \"kind\": \"DRY\"}]"));
        assertThat(dry.get("belowMinimum").asDouble()).isCloseTo(0.977, within(0.01));
        assertThat(dry.get("refreshBy").asString()).isEqualTo("2026-03-21");
        assertThat(dry.get("asks").isNull()).isTrue();
        JsonNode low = ok(
                "/sealant/forecast",
                asked.formatted(TIRE, filled + "\"2026-03-21\", \"dips\": [{\"on\": \"2026-03-21\", \"depthMm\": 8}]"));
        assertThat(low.get("asks").asString()).isEqualTo("LESS_THAN_DRYING");
        JsonNode found =
                ok("/sealant/forecast", asked.formatted(TIRE, "\"foundOn\": \"2026-03-01\", \"asOf\": \"2026-03-01\""));
        assertThat(found.at("/volumeMl/p90").asDouble()).isCloseTo(114.5, within(1.0));
        assertThat(found.get("checkBy").asString()).isEqualTo("2026-03-01");
    }

    @Test
    void aDeepDipMovesTheForecastLater() {
        String asked =
                "{%s, \"filledOn\": \"2026-03-01\", \"filledMl\": 101, \"asOf\": \"2026-05-15\", \"casing\": \"HEAVY\","
                        + " \"climate\": {\"temperatureC\": 20, \"relativeHumidity\": 0.5}, \"dips\": [%s]}";
        JsonNode without = ok("/sealant/forecast", asked.formatted(TIRE, ""));
        JsonNode with = ok("/sealant/forecast", asked.formatted(TIRE, "{\"on\": \"2026-04-30\", \"depthMm\": 17}"));
        assertThat(with.at("/volumeMl/p50").asDouble())
                .isGreaterThan(without.at("/volumeMl/p50").asDouble());
        assertThat(with.get("refreshBy").asString())
                .isGreaterThan(without.get("refreshBy").asString());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "/fit/tape | {\"rim\": {\"internalWidthMm\": 5, \"beadSeatDiameterMm\": 622, \"spokes\": 32.5}, \"turns\": 9}"
                        + " | rim.internalWidthMm, rim.spokes, turns",
                "/fit/tape | {\"rim\": {\"internalWidthMm\": 30, \"beadSeatDiameterMm\": 622}, \"start\": \"THREE_HOLES\"}"
                        + " | rim.spokes",
                "/sealant/dose | {\"school\": \"LAVISH\", \"insert\": 1} | tire, school, insert",
                "/sealant/pool | {\"depthMm\": 3, \"volumeMl\": 4} | tire, depthMm, volumeMl",
                "/sealant/forecast | {\"filledOn\": \"soon\", \"filledMl\": 5000, \"climate\": {\"relativeHumidity\": 1.2},"
                        + " \"dips\": [{\"depthMm\": -1}]} | tire, filledOn, filledMl, asOf, climate.temperatureC,"
                        + " climate.relativeHumidity, dips[0].on, dips[0].depthMm",
                "/sealant/forecast | {\"filledOn\": \"2026-03-01\", \"filledMl\": 50, \"asOf\": \"2026-02-01\","
                        + " \"climate\": {\"monthly\": []}} | tire, asOf, climate.monthly",
                "/sealant/forecast | {\"foundOn\": \"2026-03-01\", \"filledMl\": 50, \"asOf\": \"2026-03-01\","
                        + " \"climate\": {\"temperatureC\": 20, \"relativeHumidity\": 0.5}, \"losses\": [{\"likelyMl\": 0}],"
                        + " \"looks\": [{\"on\": \"2026-02-01\", \"kind\": \"LOUD\"}], \"topUps\": [{\"on\": \"2026-03-02\"}]}"
                        + " | tire, filledMl, losses[0].on, losses[0].likelyMl, looks[0].on, looks[0].kind, topUps[0].ml",
                "/leak/rate | {\"readings\": [{\"at\": \"yesterday\", \"gaugeKpa\": 1300}, {\"gaugeKpa\": 150,"
                        + " \"temperatureC\": 200}], \"floorKpa\": 0, \"heightM\": 20000} | readings[0].at,"
                        + " readings[0].gaugeKpa, readings[1].at, readings[1].temperatureC, kind, floorKpa, heightM",
                "/leak/rate | {\"readings\": [{\"at\": \"2026-05-02T07:00:00Z\", \"gaugeKpa\": 180},"
                        + " {\"at\": \"2026-05-02T07:00:00+02:00\", \"gaugeKpa\": 180}], \"kind\": \"TUBELESS\"}"
                        + " | readings[1].at",
                "/air/chamber | {\"chamberL\": 0, \"maxKpa\": \"high\"} | tire, chamberL, chamberGaugeKpa, maxKpa",
                "/air/hole | {\"seconds\": 0, \"heightM\": 20000} | tire, startGaugeKpa, endGaugeKpa, seconds, heightM",
                "/air/cartridge | {\"massG\": 500, \"count\": 1.5} | tire, massG, count",
                "/fit/check | {\"rim\": {\"hookless\": \"no\"}, \"tube\": {}} | tire, rim.internalWidthMm,"
                        + " rim.beadSeatDiameterMm, rim.hookless, marks, tube.minWidthMm, tube.maxWidthMm,"
                        + " tube.beadSeatDiameterMm, tubeless"
            })
    void everyFaultIsToldAtOnce(String path, String json, String fields) {
        Site.Answer answer = site.calculate(path, json);
        assertThat(answer.status()).isEqualTo(400);
        List<String> found = new ArrayList<>();
        answer.json().get("errors").forEach(error -> {
            found.add(error.get("field").asString());
            assertThat(error.get("message").asString()).isNotBlank();
        });
        assertThat(found).containsExactlyInAnyOrder(fields.split(", "));
    }

    /** By hand: 180 to 139 kPa at 20 C in four days is 1 - (139/180)^(1/4) = 6.3 %/day (docs/handbook, page 6: a leak). */
    @Test
    void aLeakIsToldWithItsDoubtAndItsFloor() {
        String reading = "{\"at\": \"2026-05-0%dT07:00:00Z\", \"gaugeKpa\": %s, \"temperatureC\": 20}";
        String readings = String.join(
                ", ",
                reading.formatted(1, "180"),
                reading.formatted(3, "158.2"),
                reading.formatted(5, "139"),
                reading.formatted(8, "114"));
        JsonNode rate =
                ok("/leak/rate", "{\"readings\": [%s], \"kind\": \"TUBELESS\", \"floorKpa\": 120}".formatted(readings));
        assertThat(rate.get("percentPerDay").asDouble()).isCloseTo(6.3, within(0.2));
        assertThat(rate.get("low").asDouble()).isLessThan(6.3);
        assertThat(rate.get("high").asDouble()).isGreaterThan(6.3);
        assertThat(rate.get("halfLifeDays").asDouble()).isCloseTo(10.6, within(0.4));
        assertThat(rate.get("belowFloorAt").asString())
                .as("it is below by then")
                .startsWith("2026-05-08");
        assertThat(rate.get("changedAt").isNull()).isTrue();
        assertThat(rate.get("before").isNull()).isTrue();
        assertThat(rate.get("unloggedPumpingAt").isEmpty()).isTrue();
        JsonNode butyl = ok("/leak/rate", "{\"readings\": [%s], \"kind\": \"BUTYL_TUBE\"}".formatted(readings));
        assertThat(butyl.get("class").asString()).isEqualTo("LEAK");
        JsonNode nothing = ok("/leak/rate", "{\"readings\": [], \"kind\": \"TUBELESS\"}");
        assertThat(nothing.get("class").asString()).isEqualTo("UNSURE");
        assertThat(nothing.get("percentPerDay").isNull()).isTrue();
    }

    /** docs/handbook, page 6: six weeks of 150 to 138 kPa, then 118: 1.2 to 3.4 %/day; pumped unnoted; flat in minutes. */
    @Test
    void alarmsAreToldWithTheirReason() {
        String reading = "{\"at\": \"%s\", \"gaugeKpa\": %s, \"temperatureC\": 20, \"afterInflation\": %s}";
        Instant start = Instant.parse("2026-05-01T07:00:00Z");
        List<String> readings = new ArrayList<>();
        readings.add(reading.formatted(start, 150, true));
        for (int week = 1; week <= 6; week++) {
            Instant at = start.plus(Duration.ofDays(7L * week));
            readings.add(reading.formatted(at, 138, false));
            readings.add(reading.formatted(at.plusSeconds(260), 150, true));
        }
        Instant last = start.plus(Duration.ofDays(49));
        JsonNode rises = rate(readings, reading.formatted(last, 118, false));
        assertThat(rises.get("alarm").asString()).isEqualTo("DUE");
        assertThat(rises.get("before").asDouble()).isCloseTo(1.2, within(0.05));
        assertThat(rises.get("percentPerDay").asDouble()).isCloseTo(3.2, within(0.1));
        assertThat(rises.get("changedAt").asString()).startsWith("2026-06-");
        JsonNode pumped = rate(readings, reading.formatted(last, 165, false));
        assertThat(pumped.get("alarm").asString()).isEqualTo("NONE");
        assertThat(pumped.at("/unloggedPumpingAt/0").asString()).isEqualTo(last.toString());
        JsonNode sudden =
                rate(readings, reading.formatted(start.plus(Duration.ofDays(42)).plusSeconds(900), 14, false));
        assertThat(sudden.get("alarm").asString()).isEqualTo("SUDDEN");
        assertThat(sudden.get("class").asString()).isEqualTo("FAST");
        JsonNode flat = rate(readings, reading.formatted(start.plus(Duration.ofDays(44)), 0, false));
        assertThat(flat.get("percentPerDay").isNull()).isTrue();
        assertThat(flat.get("low").asDouble()).isGreaterThan(50);
    }

    private JsonNode rate(List<String> readings, String last) {
        return ok(
                "/leak/rate",
                "{\"readings\": [%s, %s], \"kind\": \"TUBELESS\"}".formatted(String.join(", ", readings), last));
    }

    @Test
    void aRimThatIsAnotherThanTheTiresIsAFault() {
        Site.Answer answer = site.calculate("/fit/check", """
                {"tire": {"nominalWidthMm": 42, "beadSeatDiameterMm": 622, "rimInternalWidthMm": 25},
                 "rim": {"internalWidthMm": 21, "beadSeatDiameterMm": 622}, "marks": {}, "tubeless": false}
                """);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().at("/errors/0/code").asString()).isEqualTo("rim-widths-differ");
        assertThat(answer.json().at("/errors/0/message").asString()).contains("25 mm", "21 mm");
    }

    @Test
    void moreGasThanTheEquationKnowsIsAFault() {
        Site.Answer answer = site.calculate("/air/cartridge", "{%s, \"massG\": 100}".formatted(ROAD_TIRE));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().at("/errors/0/code").asString()).isEqualTo("gas-too-dense");
    }

    private static JsonNode verdict(JsonNode answer, String code) {
        for (JsonNode verdict : answer.get("verdicts")) {
            if (verdict.get("code").asString().equals(code)) {
                return verdict;
            }
        }
        throw new AssertionError("no " + code + " in " + answer);
    }

    private JsonNode ok(String path, String json) {
        Site.Answer answer = site.calculate(path, json);
        assertThat(answer.status()).as(answer.json().toString()).isEqualTo(200);
        return answer.json();
    }
}
