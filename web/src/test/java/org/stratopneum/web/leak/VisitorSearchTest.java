package org.stratopneum.web.leak;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.web.support.CountedQueries;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** A search without an account: all of it stands in the address. */
@ExtendWith(RunningApplication.class)
@Isolated
class VisitorSearchTest {

    private static final String BEGUN = "/leak/search?system=TUBELESS&mode=MEND_SOON";

    private final Site site;

    VisitorSearchTest(Site site) {
        this.site = site;
    }

    /** From elsewhere nobody is the demo's rider. */
    private HttpResponse<String> get(String path) {
        return site.get(path, "X-Forwarded-For", "192.0.2.7");
    }

    private String to(String path) {
        String address = get(path).headers().firstValue("Location").orElseThrow();
        return address.substring(address.indexOf("/leak"));
    }

    @Test
    void everyStepIsAnAddressAndNoneAsksTheDatabase() {
        assertThat(CountedQueries.during(() -> {
                    String begun = to("/leak/begin?system=TUBELESS&setup=NEW&lever=on");
                    assertThat(begun).contains("known=lever", "known=new-setup");
                    String seen = to(begun + "&act=seen.soap-nipples.bubbles");
                    assertThat(get(seen).body())
                            .contains(
                                    "the rim tape",
                                    "Soap nipples, joint and drain hole: Bubbles somewhere",
                                    "Save this page");
                    String marked = to(seen + "&act=spot&zone=SPOKE_HOLE&hour=7");
                    assertThat(get(marked).body()).contains("spoke hole at 7 o&#39;clock");
                    assertThat(to(marked + "&act=no-spot:SPOKE_HOLE@7.0")).isEqualTo(seen);
                    assertThat(to(seen + "&act=back:seen.soap-nipples.bubbles")).isEqualTo(begun);
                    String mended = to(seen + "&act=mended.tape.");
                    assertThat(get(mended).body()).contains("fixed, still leaks: the rim tape");
                }))
                .isEmpty();
    }

    @Test
    void aHoleInATubeIsMatchedByTheClock() {
        String page = get("/leak/search?system=TUBE&mode=MEND_SOON&hour=4").body();
        assertThat(page).contains("4 o&#39;clock", "8 o&#39;clock").doesNotContain("the rim tape");
        assertThat(get("/leak/search?system=TUBE&mode=MEND_SOON&hour=4&side=on").body())
                .doesNotContain("8 o&#39;clock");
        assertThat(get("/leak/search?system=TUBE&mode=MEND_SOON&hour=13").body())
                .contains("value=\"13\"", "must be");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/leak/search",
                "/leak/search?system=GAS&mode=MEND_SOON",
                BEGUN + "&known=tired",
                BEGUN + "&step=seen.shake",
                BEGUN + "&step=seen.shake.loud",
                BEGUN + "&step=mended.tube-pinch.",
                BEGUN + "&step=mended.ghosts.",
                BEGUN + "&at=TREAD@99",
                BEGUN + "&at=HUB@3",
                BEGUN + "&act=dance:now"
            })
    void anAddressThatNoButtonMadeIsNotThere(String path) {
        assertThat(get(path).statusCode()).isEqualTo(404);
    }

    @Test
    void aFaultyStartKeepsWhatWasTyped() {
        var answer = get("/leak/begin?system=TUBELESS&from=20&hours=ten");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("value=\"20\"", "value=\"ten\"", "Required");
    }
}
