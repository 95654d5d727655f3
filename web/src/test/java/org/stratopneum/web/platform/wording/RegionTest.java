package org.stratopneum.web.platform.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.text.NumberFormat;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Locale;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.quantity.RiderUnit;

class RegionTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 28);
    private static final Instant MOMENT = Instant.parse("2026-11-28T17:05:00Z");
    private static final ZoneId ZONE = ZoneId.of("Europe/Vienna");

    @AfterEach
    void end() {
        Region.use(null);
    }

    /** Unicode's CLDR, as the JDK has it; a week begins as ISO 8601 or the country has it. */
    @ParameterizedTest
    @CsvSource({
        "en, DAY_FIRST, false, MONDAY, false",
        "en-GB, DAY_FIRST, false, MONDAY, false",
        "en-US, MONTH_FIRST, true, SUNDAY, false",
        "de-AT, DAY_FIRST, false, MONDAY, true",
        "fr-FR, DAY_FIRST, false, MONDAY, true",
        "ja-JP, YEAR_FIRST, false, SUNDAY, false",
        "ar-EG, DAY_FIRST, true, SATURDAY, false"
    })
    void whatIsUsualWhereABrowserIsFrom(
            String tag, Region.Dates dates, boolean twelveHours, DayOfWeek firstDay, boolean comma) {
        assertThat(Region.of(Locale.forLanguageTag(tag), "en"))
                .isEqualTo(new Region(dates, twelveHours, firstDay, comma, "en"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "DAY_FIRST | false | 28 Nov 2026, 18:05 | Sat 28 Nov | Saturday, 28 November 2026",
                "MONTH_FIRST | true | Nov 28, 2026, 6:05 PM | Sat Nov 28 | Saturday, November 28, 2026",
                "YEAR_FIRST | false | 2026-11-28, 18:05 | Sat Nov 28 | Saturday, 2026 November 28"
            })
    void daysAndHoursAreWrittenAsChosen(
            Region.Dates dates, boolean twelveHours, String moment, String shortDay, String day) {
        Region.use(new Region(dates, twelveHours, DayOfWeek.MONDAY, false, "en"));
        assertThat(DateText.moment(MOMENT, ZONE)).isEqualTo(moment);
        assertThat(DateText.shortDay(DAY)).isEqualTo(shortDay);
        assertThat(DateText.day(DAY)).isEqualTo(day);
    }

    @Test
    void numbersHaveTheRidersMarkAndProgramsAPoint() {
        Region.use(new Region(Region.Dates.DAY_FIRST, false, DayOfWeek.MONDAY, true, "en"));
        assertThat(Numbers.fixed(1.5, 2)).isEqualTo("1,50");
        assertThat(Numbers.upTo(1.5, 2)).isEqualTo("1,5");
        assertThat(Numbers.plain(1.5, 2)).isEqualTo("1.5");
        assertThat(QuantityText.text(12.75, RiderUnit.KG)).isEqualTo("12,8 kg");
        assertThat(String.format(Region.current().locale(), "%,.1f", 1234.5)).isEqualTo("1.234,5");
        Region.use(null);
        assertThat(Numbers.fixed(1.5, 2)).isEqualTo("1.50");
    }

    @Test
    void aWeekBeginsAsChosen() {
        assertThat(new Region(Region.Dates.DAY_FIRST, false, DayOfWeek.SUNDAY, false, "en").week())
                .startsWith(DayOfWeek.SUNDAY, DayOfWeek.MONDAY)
                .endsWith(DayOfWeek.SATURDAY)
                .hasSize(7);
    }

    /** The marks of numbers in German as Unicode's CLDR has them: a comma, or a point as in Switzerland. */
    @ParameterizedTest
    @CsvSource({"de, true, '1,5'", "de, false, '1.5'", "en, true, '1,5'", "en, false, '1.5'", "fr, true, '1,5'"})
    void aLanguageIsWrittenWithTheMarkThatWasChosen(String language, boolean comma, String written) {
        Region region = new Region(Region.Dates.DAY_FIRST, false, DayOfWeek.MONDAY, comma, language);
        assertThat(region.locale().getLanguage()).isEqualTo(language);
        assertThat(NumberFormat.getInstance(region.locale()).format(1.5)).isEqualTo(written);
    }
}
