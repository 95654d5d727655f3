package org.stratopneum.web.due.today;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** What a rider sees who has just come. */
@ExtendWith(RunningApplication.class)
class FirstStepsTest {

    private static final Pattern DONE = Pattern.compile("<li class=\"done\"");

    private final Site site;
    private Guest rider;

    FirstStepsTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void signUp() {
        rider = Guest.withAccount(site);
    }

    private long done() {
        return DONE.matcher(rider.get("/").body()).results().count();
    }

    private void fill(String wheel) {
        rider.post(
                "/wheels/" + wheel + "/sealant/fillings",
                Map.of("entry", UUID.randomUUID().toString(), "volume", "95"));
    }

    @Test
    void threeStepsLeadFromAnEmptyGarageToAReadingAndTheSealantAndThenAreGone() {
        assertThat(rider.get("/").body())
                .contains("id=\"steps\"", "Add a bike", "Take a first reading", "Log the sealant");
        assertThat(done()).isZero();
        String bike = TypedBike.enter(rider);
        assertThat(done()).isEqualTo(1);
        rider.post(
                "/bikes/" + bike + "/readings",
                Map.of("rearEntry", UUID.randomUUID().toString(), "rear", "21", "unit", "PSI", "state", "FOUND"));
        assertThat(done()).isEqualTo(2);
        rider.ids("/garage", "/wheels/").forEach(this::fill);
        assertThat(rider.get("/").body()).doesNotContain("id=\"steps\"");
    }

    @Test
    void whoseTiresAreOldIsNoBeginner() {
        TypedBike.enter(
                rider, "since", LocalDate.now(ZoneOffset.UTC).minusDays(60).toString());
        assertThat(rider.get("/").body()).doesNotContain("id=\"steps\"");
    }

    /** What comes later is counted from the first reading, so that a new bike is one line and not six. */
    @Test
    void newWheelsAreOneLineOfWhatIsToDo() {
        TypedBike.enter(rider);
        String todo = rider.get("/todo").body();
        String list = todo.substring(0, todo.indexOf("id=\"ride\""));
        assertThat(list).contains("Take a first reading").doesNotContain("the sealant", "valve core");
        assertThat(list.split("class=\"what\"", -1)).hasSize(2);
    }
}
