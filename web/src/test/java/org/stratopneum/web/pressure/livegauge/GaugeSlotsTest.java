package org.stratopneum.web.pressure.livegauge;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

/** One rider's pages do not take the gauge from everybody else. */
@ExtendWith(RunningApplication.class)
class GaugeSlotsTest {

    /** RFC 6455 has the registry: try again later. */
    private static final int TRY_AGAIN_LATER = 1013;

    private final Site site;
    private final HttpClient client = HttpClient.newHttpClient();

    GaugeSlotsTest(Site site) {
        this.site = site;
    }

    /** A page that watches; what came first: 0 for a reading, else why it was closed. */
    private static final class Watching implements WebSocket.Listener {
        private final CompletableFuture<Integer> first = new CompletableFuture<>();

        @Override
        public CompletionStage<?> onText(WebSocket socket, CharSequence data, boolean last) {
            first.complete(0);
            socket.request(1);
            return null;
        }

        @Override
        public CompletionStage<?> onClose(WebSocket socket, int status, String reason) {
            first.complete(status);
            return null;
        }
    }

    private int watch(Guest rider, List<WebSocket> open) throws Exception {
        Watching watching = new Watching();
        String cookies = rider.cookies().stream().map(HttpCookie::toString).collect(Collectors.joining("; "));
        open.add(client.newWebSocketBuilder()
                .header("Cookie", cookies)
                .buildAsync(URI.create(site.address().replace("http:", "ws:") + "/gauge-stream?unit=PSI"), watching)
                .get(10, TimeUnit.SECONDS));
        return watching.first.get(10, TimeUnit.SECONDS);
    }

    @Test
    void aRiderWatchesOnTwoPagesAtOnce() throws Exception {
        Guest rider = Guest.withAccount(site);
        List<WebSocket> open = new ArrayList<>();
        try {
            assertThat(watch(rider, open)).isZero();
            assertThat(watch(rider, open)).isZero();
            for (int i = 0; i < 10; i++) {
                assertThat(watch(rider, open)).isEqualTo(TRY_AGAIN_LATER);
            }
            assertThat(watch(Guest.withAccount(site), open)).as("somebody else").isZero();
        } finally {
            open.forEach(WebSocket::abort);
        }
    }
}
