package org.stratopneum.web.due;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.JobCard;
import org.stratopneum.web.support.MovableClock;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** What is due is put off, skipped, done, and added to. */
@ExtendWith(RunningApplication.class)
class DueEntriesTest {

    private static final LocalDate TODAY = LocalDate.now(ZoneId.of("Europe/Vienna"));

    private final Site site;
    private Guest rider;
    private String wheel;

    DueEntriesTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider, "since", TODAY.minusDays(300).toString());
        wheel = rider.ids("/garage", "/wheels/").get(0);
        // the other one is full, and no matter here
        rider.post(
                "/wheels/" + rider.ids("/garage", "/wheels/").get(1) + "/sealant/fillings",
                Map.of("entry", UUID.randomUUID().toString(), "volume", "95"));
    }

    private String agenda() {
        return rider.get("/todo").body();
    }

    private String now() {
        String page = agenda();
        int begin = page.indexOf(">Now<");
        return begin < 0 ? "" : page.substring(begin, page.indexOf("</section>", begin));
    }

    /** At ten in the morning of that day; today it is now, since ten may be still to come. */
    private void filled(int daysAgo) {
        String path = "/wheels/" + wheel + "/sealant";
        String at = daysAgo == 0 ? "" : TODAY.minusDays(daysAgo) + "T10:00";
        assertThat(post(path + "/fillings", "entry", UUID.randomUUID().toString(), "volume", "95", "filledAt", at))
                .startsWith("302");
    }

    private String matter(String reason) {
        return "/matters/" + wheel + "-" + reason;
    }

    private String post(String path, String... pairs) {
        Map<String, String> fields = new HashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        var answer = rider.post(path, fields);
        return answer.statusCode()
                + answer.body()
                + answer.headers().firstValue("Location").orElse("");
    }

    @Test
    void whatIsPutOffComesAgainOnItsDayAndOnThatDayOnly() {
        filled(290);
        assertThat(now()).contains("Refresh the sealant", "Clean the valve core");
        String refresh = matter("SEALANT_REFRESH");
        String later = TODAY.plusDays(3).toString();
        assertThat(post(refresh + "/put-off", "until", later)).startsWith("302");
        assertThat(now()).doesNotContain("Refresh the sealant").contains("Clean the valve core");
        assertThat(agenda()).contains("Refresh the sealant");
        assertThat(rider.get("/todo?marked=" + refresh.substring("/matters/".length()))
                        .body())
                .contains("snoozed until", "Undo");
        MovableClock.after(rider, Duration.ofDays(3), () -> assertThat(now()).contains("Refresh the sealant"));

        String key = refresh.substring("/matters/".length());
        assertThat(post("/todo/unmark", "key", key)).startsWith("302");
        assertThat(now()).contains("Refresh the sealant");
        assertThat(post("/todo/unmark", "key", key)).as("once only").startsWith("404");
    }

    @Test
    void aDayThatIsNoneToPutOffToIsRefusedAndKeepsWhatWasTyped() {
        filled(290);
        String refresh = matter("SEALANT_REFRESH");
        String past = TODAY.minusDays(1).toString();
        assertThat(post(refresh + "/put-off", "until", past))
                .startsWith("422")
                .contains("or later", "value=\"" + past + "\"");
        assertThat(post(refresh + "/put-off", "until", "next week"))
                .startsWith("422")
                .contains("is not a day");
        assertThat(post(refresh + "/put-off")).startsWith("422").contains("Required");
        assertThat(post(refresh + "/skip", "reason", " ")).startsWith("422").contains("Required");
        assertThat(post(refresh + "/skip", "reason", "x".repeat(201)))
                .startsWith("422")
                .contains("at most 200");
        assertThat(rider.get("/matters/nothing").statusCode()).isEqualTo(404);
    }

    /** What was skipped does not come again; the next of its kind does. */
    @Test
    void whatIsSkippedStaysAwayUntilTheNextOfItsKind() {
        filled(290);
        String refresh = matter("SEALANT_REFRESH");
        assertThat(post(refresh + "/skip", "reason", "hangs on the wall")).startsWith("302");
        assertThat(agenda()).contains("skipped: hangs on the wall");
        assertThat(now()).doesNotContain("Refresh the sealant");
        assertThat(rider.get("/").body()).doesNotContain("Refresh the sealant");
        filled(0);
        assertThat(agenda())
                .as("the next refresh")
                .contains("Refresh the sealant")
                .doesNotContain("skipped:");
    }

    @Test
    void aHoldTestIsPutOffButNeverSkipped() {
        JobCard card = JobCard.begin(rider, "/wheels/" + wheel, "HOLD_TEST");
        card.goTo("hold-start");
        card.answer("value", "275", "temperature", "20");
        assertThat(agenda()).contains("Read the leak-down test");
        String hold = matter("HOLD_TEST");
        assertThat(rider.get(hold).body()).doesNotContain("id=\"skip\"");
        assertThat(post(hold + "/skip", "reason", "no time")).startsWith("404");
        MovableClock.after(
                rider,
                Duration.ofDays(2),
                () -> assertThat(post(
                                hold + "/put-off", "until", TODAY.plusDays(5).toString()))
                        .startsWith("302"));
        MovableClock.after(rider, Duration.ofDays(3), () -> {
            assertThat(now()).as("though its day moves").doesNotContain("Read the leak-down test");
        });
        MovableClock.after(rider, Duration.ofDays(6), () -> assertThat(now()).contains("Read the leak-down test"));
    }

    @Test
    void aPreventionLookComesEverySoManyDaysAndIsDoneWithOneTouch() {
        assertThat(agenda()).doesNotContain("/matters/" + wheel + "-PREVENTION_LOOK");
        care("plan", "MEASURED", "lookEvery", "7");
        assertThat(now()).as("nobody ever looked").contains("Tire inspection");
        String back = post("/todo/done", "key", wheel + "-PREVENTION_LOOK");
        assertThat(back).startsWith("302").contains("/todo?written=");
        String entry = back.substring(back.indexOf("written=") + "written=".length());
        assertThat(rider.get("/todo?written=" + entry).body())
                .contains("tire inspection: tread, sidewalls, rim, valve", "Undo");
        assertThat(now()).doesNotContain("Tire inspection");
        assertThat(agenda()).contains("/matters/" + wheel + "-PREVENTION_LOOK");
        MovableClock.after(rider, Duration.ofDays(7), () -> assertThat(now()).contains("Tire inspection"));
        assertThat(post("/log/strike", "entry", entry, "from", "todo")).contains("/todo?struck=");
        assertThat(now()).as("undone").contains("Tire inspection");
    }

    private void care(String... pairs) {
        Map<String, String> fields = new HashMap<>(Map.of("version", "0", "dose", "STANDARD"));
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        String path = "/wheels/" + wheel;
        assertThat(rider.post(path + "/care", fields).statusCode()).isEqualTo(302);
    }

    @Test
    void twoCardsThatWaitAreOneMatterWithOneId() {
        JobCard.begin(rider, "/wheels/" + wheel, "CLEAN_UP");
        JobCard.begin(rider, "/wheels/" + wheel, "BEFORE_RIDING");
        assertThat(rider.get("/todo.ics").body()).containsOnlyOnce(wheel + "-JOB_CARD@stratopneum");
    }

    @Test
    void aReminderOfOnesOwnIsMadeDoneAndUndone() throws Exception {
        String id = UUID.randomUUID().toString();
        String due = TODAY.plusDays(4).toString();
        assertThat(post(
                        "/reminders",
                        "newId",
                        id,
                        "what",
                        "thorn from inside",
                        "due",
                        due,
                        "wheel",
                        wheel,
                        "job",
                        "CHANGE_TIRE"))
                .endsWith("/todo?done=" + id);
        assertThat(agenda()).contains("thorn from inside", "/jobs/new?job=CHANGE_TIRE", "Plover rear");
        List<VEvent> events = new CalendarBuilder()
                .build(new StringReader(rider.get("/todo.ics").body()))
                .getComponents("VEVENT");
        assertThat(events)
                .extracting(event -> event.getSummary().getValue())
                .contains("Plover rear: thorn from inside");
        assertThat(post("/todo/done", "key", "follow-" + id)).startsWith("302").endsWith("/todo?done=" + id);
        assertThat(agenda()).doesNotContain("thorn from inside");
        assertThat(rider.get("/todo?done=" + id).body()).contains("Done: thorn from inside", "Undo");
        assertThat(post("/reminders/" + id + "/open")).startsWith("302");
        assertThat(agenda()).contains("thorn from inside");
        assertThat(post("/reminders/" + id + "/delete")).startsWith("302");
        assertThat(post("/reminders/" + id + "/delete")).startsWith("404");
    }

    @Test
    void aReminderThatIsNotWholeIsRefusedAndKept() {
        String page = post(
                "/reminders",
                "newId",
                UUID.randomUUID().toString(),
                "what",
                "After a rim strike check the rim and both sidewalls before the next ride; a cracked rim, or carbon after a strike, is for a mechanic.",
                "due",
                "1999-01-01",
                "job",
                "HOLD_TEST");
        assertThat(page)
                .startsWith("422")
                .contains(
                        "After a rim strike check the rim and both sidewalls before the next ride; a cracked rim, or carbon after a strike, is for a mechanic.",
                        "or later",
                        "Required: a job needs a wheel");
        assertThat(post(
                        "/reminders",
                        "newId",
                        UUID.randomUUID().toString(),
                        "wheel",
                        UUID.randomUUID().toString(),
                        "due",
                        "9999-12-31"))
                .startsWith("422")
                .contains("Required", "or earlier", "is not one of the known values");
    }

    @Test
    void aMonthShowsEachDayAndLeadsToItsNeighbours() {
        String id = UUID.randomUUID().toString();
        LocalDate due = TODAY.plusMonths(1).withDayOfMonth(17);
        post("/reminders", "newId", id, "what", "grease", "due", due.toString());
        String month = due.toString().substring(0, 7);
        String page = rider.get("/todo/month?of=" + month).body();
        Matcher day =
                Pattern.compile("month-day\"[^>]*>17<.*?</td>", Pattern.DOTALL).matcher(page);
        assertThat(day.find()).isTrue();
        assertThat(day.group()).contains("grease", "/matters/follow-" + id);
        assertThat(page)
                .contains(
                        "of=" + due.minusMonths(1).toString().substring(0, 7),
                        "of=" + due.plusMonths(1).toString().substring(0, 7));
        assertThat(rider.get("/todo/month?of=2031-02").body()).contains("Nothing is due in this month");
        for (String none : List.of("soon", "2026-13", "1066-01", "%2B999999999-12")) {
            assertThat(rider.get("/todo/month?of=" + none).statusCode())
                    .as(none)
                    .isEqualTo(404);
        }
    }

    /** Common practice: what was read too long ago is read before riding; fresh sealant stands for a night. */
    @Test
    void beforeARideItIsSaidWhatMustBeDoneByWhen() {
        filled(290);
        String on = TODAY.plusDays(2).toString();
        String page = rider.get("/todo?on=" + on).body();
        assertThat(page)
                .contains("Before you ride: rear", "Take a first reading", "must", "better", ", to rest overnight")
                .contains("% likely too little on that day, if nothing is done.");
        String refresh = matter("SEALANT_REFRESH");
        post(refresh + "/skip", "reason", "no time");
        assertThat(rider.get("/todo?on=" + on).body())
                .as("nobody rides on a decision")
                .contains("Refresh the sealant", "skipped: no time");
        var past = rider.get("/todo?on=1999-01-01");
        assertThat(past.statusCode()).isEqualTo(422);
        assertThat(past.body()).contains("or later", "value=\"1999-01-01\"");
        assertThat(rider.get("/todo?bike=" + UUID.randomUUID()).statusCode()).isEqualTo(422);
    }

    @Test
    void withoutABikeThePagesTeach() {
        Guest fresh = Guest.withAccount(site);
        assertThat(fresh.get("/todo").body()).contains("Add a bike first.");
        assertThat(fresh.get("/todo/month").body()).contains("Nothing is due in this month");
    }
}
