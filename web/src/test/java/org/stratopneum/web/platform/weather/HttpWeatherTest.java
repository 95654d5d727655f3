package org.stratopneum.web.platform.weather;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.web.platform.standin.SimulatedWeather;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** Another weather service in place of the stand-in, over HTTP. */
@ExtendWith(RunningApplication.class)
class HttpWeatherTest {

    private static final LocalDate DAY = LocalDate.of(2025, 3, 2);
    private static final Weather.Station STATION = new Weather.Station("Quennar & Mire", 1180, 47.0, -21.5);

    private final Site site;
    private HttpServer service;
    private volatile String asked;
    private volatile String answer;

    HttpWeatherTest(Site site) {
        this.site = site;
    }

    @BeforeEach
    void openAService() throws IOException {
        service = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        service.createContext("/", exchange -> {
            asked = exchange.getRequestURI().getQuery();
            byte[] body = answer.getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().add("Content-Type", "application/json");
            exchange.sendResponseHeaders(200, body.length);
            exchange.getResponseBody().write(body);
            exchange.close();
        });
        service.start();
    }

    @AfterEach
    void closeIt() {
        service.stop(0);
    }

    private Weather client() {
        return new HttpWeather(
                URI.create("http://127.0.0.1:" + service.getAddress().getPort() + "/days"));
    }

    @Test
    void theStandInCanBeReachedLikeAnyOtherService() {
        Weather over = new HttpWeather(URI.create(site.address() + "/api/stand-in/weather"));
        assertThat(over.days(STATION, DAY, DAY.plusDays(20)))
                .hasSize(21)
                .isEqualTo(new SimulatedWeather().days(STATION, DAY, DAY.plusDays(20)));
        assertThat(over.source()).isEqualTo(Weather.Source.SERVICE);
    }

    @Test
    void aRealServiceIsAskedByNamePlaceAndDays() {
        answer = """
                {"station":"x","heightM":1180,"days":[{"day":"2025-03-02","lowC":-3,"highC":4.5,"relativeHumidity":0.8}]}
                """;
        assertThat(client().day(STATION, DAY).orElseThrow().highC()).isEqualTo(4.5);
        assertThat(asked)
                .isEqualTo("station=Quennar & Mire&heightM=1180.0&first=2025-03-02&last=2025-03-02"
                        + "&latitudeDeg=47.0&longitudeDeg=-21.5");
    }

    @Test
    void anAnswerIsGoodForAWhile() {
        answer = "{\"days\":[{\"day\":\"2025-03-02\",\"lowC\":-3,\"highC\":4,\"relativeHumidity\":0.8}]}";
        Weather weather = client();
        assertThat(weather.day(STATION, DAY)).isPresent();
        asked = null;
        assertThat(weather.day(STATION, DAY)).isPresent();
        assertThat(asked).as("asked again").isNull();
        assertThat(weather.day(STATION, DAY.plusDays(1))).isPresent();
        assertThat(asked).as("another day").isNotNull();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"days\":[{\"day\":\"2025-03-02\",\"lowC\":30,\"highC\":4,\"relativeHumidity\":7}]}",
                "the sun will shine"
            })
    void nonsenseIsNoWeatherAndTheServiceIsLeftAloneForAWhile(String nonsense) {
        answer = nonsense;
        Weather weather = client();
        assertThat(weather.day(STATION, DAY)).isEmpty();
        asked = null;
        assertThat(weather.day(STATION, DAY.plusDays(1))).isEmpty();
        assertThat(asked).isNull();
    }

    @Test
    void whatDoesNotAnswerIsNoWeather() {
        Weather gone = client();
        service.stop(0);
        assertThat(gone.day(STATION, DAY)).isEmpty();
    }
}
