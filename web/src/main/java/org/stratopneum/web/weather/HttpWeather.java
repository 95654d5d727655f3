package org.stratopneum.web.weather;

import java.net.URI;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.weather.DailyWeather;

/** A weather service at an address, which speaks the JSON that docs/stand-ins.md describes. */
final class HttpWeather implements Weather {

    private static final Logger LOG = LoggerFactory.getLogger(HttpWeather.class);

    /** A page does not wait longer than this for the weather. */
    private static final Duration PATIENCE = Duration.ofSeconds(2);

    private final URI address;
    private final RestClient client;

    /** What is read of an answer; services may say more. */
    private record Answer(List<DailyWeather> days) {}

    HttpWeather(URI address) {
        this.address = address;
        JdkClientHttpRequestFactory requests = new JdkClientHttpRequestFactory();
        requests.setReadTimeout(PATIENCE);
        this.client = RestClient.builder().requestFactory(requests).build();
    }

    @Override
    public List<DailyWeather> days(Station station, LocalDate first, LocalDate last) {
        UriComponentsBuilder asked = UriComponentsBuilder.fromUri(address)
                .queryParam("station", "{station}")
                .queryParam("heightM", station.heightM())
                .queryParam("first", first)
                .queryParam("last", last);
        if (station.latitudeDeg() != null) {
            asked.queryParam("latitudeDeg", station.latitudeDeg());
            asked.queryParam("longitudeDeg", station.longitudeDeg());
        }
        try {
            Answer answer = client.get()
                    .uri(asked.encode().buildAndExpand(station.name()).toUri())
                    .retrieve()
                    .body(Answer.class);
            return answer == null || answer.days() == null ? List.of() : answer.days();
        } catch (RestClientException | InvalidInputException exception) {
            LOG.warn("The weather service does not answer: {}", exception.getMessage());
            return List.of();
        }
    }

    @Override
    public Source source() {
        return Source.SERVICE;
    }
}
