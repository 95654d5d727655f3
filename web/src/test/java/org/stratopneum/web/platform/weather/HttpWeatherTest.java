package org.stratopneum.web.platform.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.net.ConnectException;
import java.net.SocketTimeoutException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.client.ClientHttpRequest;
import org.springframework.http.client.ClientHttpRequestFactory;
import org.springframework.mock.http.client.MockClientHttpResponse;

/** A weather service that is reached over HTTP, and what may go wrong on the way to it. */
@ExtendWith(MockitoExtension.class)
class HttpWeatherTest {

    private static final LocalDate DAY = LocalDate.of(2025, 3, 2);
    private static final Weather.Station STATION = new Weather.Station("Quennar & Mire", 1180, 47.0, -21.5);
    private static final String COLD =
            "{\"station\":\"x\",\"days\":[{\"day\":\"2025-03-02\",\"lowC\":-3,\"highC\":4.5,\"relativeHumidity\":0.8}]}";

    @Mock
    private ClientHttpRequestFactory requests;

    @Mock
    private ClientHttpRequest request;

    private Weather weather;

    @BeforeEach
    void openIt() throws IOException {
        lenient().when(requests.createRequest(any(), any())).thenReturn(request);
        lenient().when(request.getHeaders()).thenReturn(new HttpHeaders());
        weather = new HttpWeather(URI.create("http://weather.example/days"), requests);
    }

    private void answers(HttpStatus status, String body) throws IOException {
        when(request.execute()).thenAnswer(call -> {
            MockClientHttpResponse answer = new MockClientHttpResponse(body.getBytes(StandardCharsets.UTF_8), status);
            answer.getHeaders().setContentType(MediaType.APPLICATION_JSON);
            return answer;
        });
    }

    @Test
    void itIsAskedByNamePlaceAndDays() throws IOException {
        answers(HttpStatus.OK, COLD);
        assertThat(weather.day(STATION, DAY).orElseThrow().highC()).isEqualTo(4.5);
        assertThat(weather.source()).isEqualTo(Weather.Source.SERVICE);
        verify(requests)
                .createRequest(
                        argThat(address -> address.getQuery()
                                .equals("station=Quennar & Mire&heightM=1180.0&first=2025-03-02&last=2025-03-02"
                                        + "&latitudeDeg=47.0&longitudeDeg=-21.5")),
                        any(HttpMethod.class));
    }

    @Test
    void anAnswerIsGoodForAWhile() throws IOException {
        answers(HttpStatus.OK, COLD);
        assertThat(weather.day(STATION, DAY)).isPresent();
        assertThat(weather.day(STATION, DAY)).isPresent();
        verify(request, times(1)).execute();
        weather.day(STATION, DAY.plusDays(1));
        verify(request, times(2)).execute();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{\"days\":[{\"day\":\"2025-03-02\",\"lowC\":30,\"highC\":4,\"relativeHumidity\":7}]}",
                "the sun will shine"
            })
    void nonsenseIsNoWeatherAndTheServiceIsLeftAloneForAWhile(String nonsense) throws IOException {
        answers(HttpStatus.OK, nonsense);
        assertThat(weather.day(STATION, DAY)).isEmpty();
        assertThat(weather.day(STATION, DAY.plusDays(1))).isEmpty();
        verify(request, times(1)).execute();
    }

    static Stream<IOException> faults() {
        return Stream.of(
                new ConnectException("refused"),
                new SocketTimeoutException("read timed out"),
                new IOException("cut off"));
    }

    @ParameterizedTest
    @MethodSource("faults")
    void whatDoesNotAnswerInTimeIsNoWeatherAndIsLeftAloneForAWhile(IOException fault) throws IOException {
        when(request.execute()).thenThrow(fault);
        assertThat(weather.day(STATION, DAY)).isEmpty();
        assertThat(weather.day(STATION, DAY.plusDays(1))).isEmpty();
        verify(request, times(1)).execute();
    }

    @Test
    void aServiceThatFailsIsNoWeather() throws IOException {
        answers(HttpStatus.INTERNAL_SERVER_ERROR, "{}");
        assertThat(weather.day(STATION, DAY)).isEmpty();
    }
}
