package org.stratopneum.web.platform.weather;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.net.URI;
import java.net.http.HttpClient;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.client.ClientHttpRequestFactory;
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

    /** How long an answer is good for, and how long a service that did not answer is left alone. */
    private static final Duration GOOD_FOR = Duration.ofMinutes(15);

    private static final Duration LEFT_ALONE = Duration.ofSeconds(30);
    private static final int MOST_KEPT = 500;

    private final URI address;
    private final RestClient client;
    private final Cache<Asked, List<DailyWeather>> answers = Caffeine.newBuilder()
            .maximumSize(MOST_KEPT)
            .expireAfterWrite(GOOD_FOR)
            .build();
    private final Cache<URI, Boolean> silent =
            Caffeine.newBuilder().expireAfterWrite(LEFT_ALONE).build();

    private record Asked(Station station, LocalDate first, LocalDate last) {}

    /** What is read of an answer; services may say more. */
    private record Answer(List<DailyWeather> days) {}

    HttpWeather(URI address) {
        this(address, requests());
    }

    HttpWeather(URI address, ClientHttpRequestFactory requests) {
        this.address = address;
        this.client = RestClient.builder().requestFactory(requests).build();
    }

    private static ClientHttpRequestFactory requests() {
        JdkClientHttpRequestFactory requests = new JdkClientHttpRequestFactory(
                HttpClient.newBuilder().connectTimeout(PATIENCE).build());
        requests.setReadTimeout(PATIENCE);
        return requests;
    }

    @Override
    public List<DailyWeather> days(Station station, LocalDate first, LocalDate last) {
        Asked asked = new Asked(station, first, last);
        List<DailyWeather> known = answers.getIfPresent(asked);
        if (known != null || silent.getIfPresent(address) != null) {
            return known == null ? List.of() : known;
        }
        try {
            Answer answer = client.get().uri(addressOf(asked)).retrieve().body(Answer.class);
            List<DailyWeather> days = answer == null || answer.days() == null ? List.of() : answer.days();
            answers.put(asked, days);
            return days;
        } catch (RestClientException | InvalidInputException exception) {
            LOG.warn("The weather service does not answer: {}", exception.getMessage());
            silent.put(address, true);
            return List.of();
        }
    }

    private URI addressOf(Asked asked) {
        Station station = asked.station;
        UriComponentsBuilder full = UriComponentsBuilder.fromUri(address)
                .queryParam("station", "{station}")
                .queryParam("heightM", station.heightM())
                .queryParam("first", asked.first)
                .queryParam("last", asked.last);
        if (station.latitudeDeg() != null) {
            full.queryParam("latitudeDeg", station.latitudeDeg());
            full.queryParam("longitudeDeg", station.longitudeDeg());
        }
        return full.encode().buildAndExpand(station.name()).toUri();
    }

    @Override
    public Source source() {
        return Source.SERVICE;
    }
}
