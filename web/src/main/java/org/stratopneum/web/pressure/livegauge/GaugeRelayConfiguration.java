package org.stratopneum.web.pressure.livegauge;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;

/** Where pages meet the gauge; pages of other origins are refused by default. */
@Configuration
@EnableWebSocket
class GaugeRelayConfiguration implements WebSocketConfigurer {

    private final GaugeRelay relay;

    GaugeRelayConfiguration(GaugeRelay relay) {
        this.relay = relay;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(relay, "/gauge-stream");
    }
}
