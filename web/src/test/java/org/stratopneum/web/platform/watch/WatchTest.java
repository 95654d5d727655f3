package org.stratopneum.web.platform.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.spi.LoggingEvent;
import java.util.Map;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.mockito.Mockito;
import org.slf4j.MDC;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.TypedBike;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What is seen of the application from outside, at its port and at the pages'. */
@ExtendWith(RunningApplication.class)
class WatchTest {

    private static final JsonMapper JSON = new JsonMapper();

    private final Site site;
    private final Site watch;

    WatchTest(Site site, RunningApplication.Started started) {
        this.site = site;
        this.watch = started.watch();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/actuator",
                "/actuator/info",
                "/actuator/prometheus",
                "/actuator;x=y/info",
                "/%61ctuator/info",
                "/assets/../actuator/info"
            })
    void whereThePagesAreNobodySeesFigures(String path) {
        assertThat(site.get(path).statusCode()).as(path).isEqualTo(404);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/", "/log", "/assets/app.css", "/sign-in"})
    void whereTheFiguresAreThereAreNoPages(String path) {
        assertThat(watch.get(path).statusCode()).as(path).isEqualTo(404);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/actuator/health", "/actuator/health/readiness", "/actuator/health/liveness"})
    void bothTellThatItIsWell(String path) {
        assertThat(site.get(path).statusCode()).isEqualTo(200);
        assertThat(watch.get(path).statusCode()).isEqualTo(200);
    }

    @Test
    void itSaysWhichVersionAndWhichTablesItHas() {
        JsonNode info = JSON.readTree(watch.get("/actuator/info").body());
        assertThat(info.at("/schema/step").asInt()).isGreaterThanOrEqualTo(23);
        assertThat(info.at("/build/version").asString()).matches("\\d+\\.\\d+\\.\\d+.*");
    }

    /** The names are those of the text format of Prometheus: letters, and what was counted behind. */
    @Test
    void figuresOfAllThatIsWatchedAreThere() {
        Guest guest = Guest.withAccount(site);
        TypedBike.enter(guest);
        guest.get("/");
        assertThat(figure("stratopneum_nothing"))
                .as("nothing is counted by that name")
                .isNaN();
        String figures =
                watch.get("/actuator/prometheus", "Accept", "text/plain").body();
        assertThat(figures)
                .contains("http_server_requests_seconds_bucket{")
                .contains("le=\"0.06\"")
                .contains("uri=\"/\"")
                .contains("stratopneum_statements_seconds_count{mapper=\"GarageMapper\"}")
                .contains("stratopneum_forecasts_seconds_count{matter=\"SEALANT\"}")
                .contains("stratopneum_remembered_total{matter=\"DUE\"}")
                .contains("hikaricp_connections_active{")
                .contains("jvm_memory_used_bytes{");
        double statements = figure("stratopneum_statements_seconds_count{mapper=\"LogMapper\"}");
        // the first page may be answered from memory
        guest.get("/log");
        assertThat(figure("stratopneum_statements_seconds_count{mapper=\"LogMapper\"}"))
                .isGreaterThan(statements);
    }

    private double figure(String name) {
        return watch.get("/actuator/prometheus", "Accept", "text/plain")
                .body()
                .lines()
                .filter(line -> line.startsWith(name + " "))
                .mapToDouble(line -> Double.parseDouble(line.substring(name.length() + 1)))
                .findFirst()
                .orElse(Double.NaN);
    }

    @Test
    void eachRequestHasAnIdAndAProxysIsTakenOver() {
        String one = site.get("/garage").headers().firstValue("X-Request-Id").orElseThrow();
        String two = site.get("/garage").headers().firstValue("X-Request-Id").orElseThrow();
        assertThat(one).matches("[a-z2-9]{10}").isNotEqualTo(two);
        assertThat(answered("0a1b2c3d-proxy")).isEqualTo("0a1b2c3d-proxy");
        assertThat(answered("short")).matches("[a-z2-9]{10}");
        assertThat(answered("x".repeat(65))).matches("[a-z2-9]{10}");
        assertThat(answered("<b>12345678</b>")).matches("[a-z2-9]{10}");
    }

    private String answered(String given) {
        return site.get("/sign-in", "X-Request-Id", given)
                .headers()
                .firstValue("X-Request-Id")
                .orElseThrow();
    }

    /** Tomcat writes what nobody caught, inside of its own valves. */
    @Test
    void whatNobodyCaughtIsWrittenUnderTheId() {
        String[] seen = new String[1];
        RequestIds ids = new RequestIds();
        ids.setNext(new ValveBase() {
            @Override
            public void invoke(Request request, Response response) {
                seen[0] = MDC.get(RequestIds.IN_LOG);
                throw new IllegalStateException("nobody catches this");
            }
        });
        Request request = Mockito.mock(Request.class);
        Response response = Mockito.mock(Response.class);
        assertThatThrownBy(() -> ids.invoke(request, response)).hasMessage("nobody catches this");
        assertThat(seen[0]).matches("[a-z2-9]{10}");
        Mockito.verify(response).setHeader("X-Request-Id", seen[0]);
        assertThat(MDC.get(RequestIds.IN_LOG)).isNull();
    }

    @Test
    void aLineOfTheLogIsOneObject() {
        LoggerContext context = new LoggerContext();
        Logger logger = context.getLogger("org.stratopneum.Some");
        LoggingEvent event = new LoggingEvent(
                "", logger, Level.WARN, "two\nlines \"{}\"", new IllegalStateException("why"), new Object[] {"x"});
        event.setMDCPropertyMap(Map.of(RequestIds.IN_LOG, "2k4m5n6p7q"));
        String line = new JsonLines().format(event);
        assertThat(line).endsWith("\n");
        assertThat(line.strip()).doesNotContain("\n");
        JsonNode read = JSON.readTree(line);
        assertThat(read.at("/message").asString()).isEqualTo("two\nlines \"x\"");
        assertThat(read.at("/level").asString()).isEqualTo("WARN");
        assertThat(read.at("/request").asString()).isEqualTo("2k4m5n6p7q");
        assertThat(read.at("/trace").asString()).contains("IllegalStateException", "why");
        assertThat(read.has("time")).isTrue();
    }
}
