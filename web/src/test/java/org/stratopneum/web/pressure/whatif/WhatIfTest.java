package org.stratopneum.web.pressure.whatif;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** A wheel beside what it would be: every change by itself moves what the chain says it moves, and only that is marked. */
@ExtendWith(RunningApplication.class)
class WhatIfTest {

    private static final Pattern SET = Pattern.compile("<span>([0-9.]+) psi \\(");

    private final Site site;
    private Guest rider;
    private String whatIf;

    WhatIfTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void enterABike() {
        rider = Guest.withAccount(site);
        TypedBike.enter(rider);
        whatIf = "/wheels/" + rider.ids("/garage", "/wheels/").get(0) + "/what-if";
    }

    private String page(String query) {
        var answer = rider.get(whatIf + query);
        assertThat(answer.statusCode()).isEqualTo(200);
        return answer.body();
    }

    /** What is set in each of the three columns (psi). */
    private List<Double> set(String page) {
        int from = page.indexOf(">Set</th>");
        Matcher cells = SET.matcher(page.substring(from, page.indexOf("</tr>", from)));
        List<Double> set = new ArrayList<>();
        while (cells.find()) {
            set.add(Double.valueOf(cells.group(1)));
        }
        return set;
    }

    @Test
    void untouchedAllThreeAreTheSameAndNothingIsMarked() {
        String page = page("");
        assertThat(set(page)).hasSize(3).containsOnly(set(page).get(0));
        assertThat(page).doesNotContain("class=\"other\"").contains("strike-line", "as it is");
    }

    /** docs/handbook, page 3: wider, less; more load, more; rougher ground, more; a tube 1.07; an insert 0.92. */
    @Test
    void eachChangeMovesThePressureAsTheChainSays() {
        double stands = set(page("")).get(0);
        assertThat(set(page("?b-width=65")).get(1)).isLessThan(stands);
        assertThat(set(page("?b-load=80")).get(1)).isGreaterThan(stands);
        assertThat(set(page("?b-ground=ROCK")).get(1)).isGreaterThan(stands);
        assertThat(set(page("?b-rim=35")).get(1)).isLessThan(stands);
        List<Double> held = set(page("?asked=1&b-setup=BUTYL_TUBE&c-setup=TUBELESS&c-insert=on"));
        assertThat(held.get(1) / stands).isBetween(1.04, 1.10);
        assertThat(held.get(2) / stands).isBetween(0.89, 0.95);
    }

    @Test
    void whatIsDifferentIsMarkedAndOnlyThat() {
        String page = page("?c-width=62");
        assertThat(set(page).get(1)).isEqualTo(set(page).get(0));
        int row = page.indexOf(">Inflated width</th>");
        assertThat(page.substring(row, page.indexOf("</tr>", row))).containsOnlyOnce("class=\"other\"");
        int ceiling = page.indexOf(">Ceiling</th>");
        assertThat(page.substring(ceiling, page.indexOf("</tr>", ceiling))).doesNotContain("class=\"other\"");
    }

    @Test
    void whatCannotBeIsSaidAndTheOtherColumnsStay() {
        String page = page("?b-width=300&b-load=fast&c-load=80");
        assertThat(page).contains("must be at most 130 mm, was 300 mm", "value=\"fast\"", "Enter a number, e.g. 21.5");
        assertThat(set(page)).as("the faulty column is left out").hasSize(2);
        assertThat(page("?asked=1&b-setup=BUTYL_TUBE&b-insert=on")).contains("fault-b-insert");
        assertThat(page("?b-width=25&b-load=160")).contains("verdict-blocks");
    }

    @Test
    void withoutATireThereIsNothingToCompare() {
        rider.post(whatIf.replace("/what-if", "/take-off"), Map.of());
        assertThat(page("")).contains("Nothing to compare with yet");
    }
}
