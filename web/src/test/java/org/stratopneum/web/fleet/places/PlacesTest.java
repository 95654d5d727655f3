package org.stratopneum.web.fleet.places;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;

/** Places, their weather, and what they do to what is set. */
@ExtendWith(RunningApplication.class)
class PlacesTest {

    private final Site site;
    private Guest rider;

    PlacesTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void newRider() {
        rider = Guest.withAccount(site);
    }

    private String place(String... pairs) {
        Map<String, String> fields = new HashMap<>();
        String id = UUID.randomUUID().toString();
        fields.put("newId", id);
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        var answer = rider.post("/places", fields);
        return answer.statusCode() == 302 ? id : answer.body();
    }

    @Test
    void theFirstPlaceIsWhereTheBikesStand() {
        assertThat(rider.get("/garage").body())
                .contains(
                        "No places yet. Add where you keep the bikes first, with its altitude and room temperature; then a place you ride from.");
        String shed = place("name", "Shed", "height", "310", "indoor", "12");
        String pass = place("name", "Pass", "height", "1850", "latitude", "47.1", "longitude", "-21.2");
        assertThat(rider.get("/garage").body())
                .containsSubsequence("Shed", "310 m", "bikes are kept here", "today", "Pass", "1850 m")
                .contains("This weather is simulated");
        rider.post("/places/" + pass + "/home", Map.of());
        assertThat(rider.get("/garage").body()).containsSubsequence("Pass", "bikes are kept here", "Shed");
        assertThat(rider.get("/places/" + pass).body()).contains("The next days", "value=\"-21.2\"");

        rider.post("/places/" + shed + "/retire", Map.of());
        String bike = TypedBike.enter(rider);
        assertThat(rider.get("/bikes/" + bike + "/elsewhere").body()).doesNotContain(">Shed<");
        rider.post("/places/" + shed + "/restore", Map.of());
        assertThat(rider.get("/bikes/" + bike + "/elsewhere").body()).contains(">Shed<");
    }

    @Test
    void whatCannotBeIsSaidAndNothingIsLost() {
        assertThat(place("name", "", "height", "12000", "latitude", "47"))
                .contains("Required", "must be at most 9000 m", "give both, or neither", "value=\"12000\"");
        assertThat(place("name", "Shed", "height", "310", "indoor", "12", "humidity", "101"))
                .contains("must be at most 100 %", "value=\"101\"");
        assertThat(place("name", "Shed", "height", "310", "humidity", "60")).contains("give both, or neither");
        String shed = place("name", "Shed", "height", "310");
        var first = rider.post("/places/" + shed, Map.of("version", "0", "name", "Barn", "height", "310"));
        assertThat(first.statusCode()).isEqualTo(302);
        var second = rider.post("/places/" + shed, Map.of("version", "0", "name", "Attic", "height", "310"));
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body()).contains("value=\"Attic\"");
    }

    @Test
    void weatherAndHeightOfAPlaceFillWhatWasNotTyped() {
        String shed = place("name", "Shed", "height", "310", "indoor", "12");
        String pass = place("name", "Pass", "height", "1850");
        String bike = "/bikes/" + TypedBike.enter(rider);
        String page =
                rider.get(bike + "/elsewhere?here=" + shed + "&there=" + pass).body();
        assertThat(page).contains("Shed: 12 °C indoors").containsPattern("Pass: -?[0-9.]+ °C at 09:00, give or take");
        assertThat(page).contains("Temperatures that may be off move it by");

        String typed = rider.get(bike + "/elsewhere?here=" + shed + "&there=" + pass
                        + "&hereTemperature=20&thereTemperature=20&thereHeight=310")
                .body();
        assertThat(typed)
                .as("typed values win: the same air, and so the same pressure")
                .contains("The other temperature: +0.0 psi", "The other height: +0.0 psi")
                .doesNotContain("Temperatures that may be off", "12 °C indoors");
        String neither =
                rider.get(bike + "/elsewhere?here=&there=&hereTemperature=4").body();
        assertThat(neither).contains("fault-thereTemperature", "Required", "value=\"4\"");
        assertThat(rider.get(bike + "/elsewhere?rideAt=2080-01-01T10:00").body())
                .contains("must be within 366 d of today");
    }
}
