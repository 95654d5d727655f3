package org.stratopneum.web.door.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** Addresses that somebody may have kept lead to the page that took their place, and that page is there. */
@ExtendWith(RunningApplication.class)
class MovedPagesTest {

    private static final String WHEEL = "/wheels/d0000000-0000-4000-8000-000000000601";
    private static final String BIKE = "/bikes/d0000000-0000-4000-8000-000000000301";

    private final Site site;

    MovedPagesTest(Site site) {
        this.site = site;
    }

    @ParameterizedTest
    @CsvSource({
        "/agenda, /todo",
        "/agenda/month?of=2026-12, /todo/month?of=2026-12",
        "/agenda/ride?ground=ROCK, /todo?ground=ROCK",
        "/agenda.ics, /todo.ics",
        "/cards, /jobs",
        "/shelf, /garage#parts",
        "/places, /garage#places",
        WHEEL + "/cards, " + WHEEL + "/jobs",
        WHEEL + "/cards/new?job=CONVERT, " + WHEEL + "/jobs/new?job=CONVERT",
        WHEEL + "/pace, " + WHEEL + "/leaks",
        BIKE + "/pressure?ground1=ROCK, " + WHEEL + "?ground1=ROCK"
    })
    void leadsToItsNewPlace(String old, String moved) {
        var answer = site.get(old);
        assertThat(answer.statusCode()).isIn(302, 308);
        assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith(moved);
        assertThat(site.get(moved).statusCode()).isEqualTo(200);
    }
}
