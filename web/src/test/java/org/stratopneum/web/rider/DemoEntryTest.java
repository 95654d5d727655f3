package org.stratopneum.web.rider;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockHttpServletRequest;

class DemoEntryTest {

    @ParameterizedTest
    @CsvSource({
        "127.0.0.1, 127.0.0.1:8780, true",
        "127.0.0.1, localhost:8780, true",
        "127.0.0.1, LOCALHOST, true",
        "0:0:0:0:0:0:0:1, [::1]:8780, true",
        "127.0.0.1, garage.example:8780, false",
        "127.0.0.1, localhost.example, false",
        "127.0.0.1, 127.0.0.1.example:80, false",
        "127.0.0.1, localhost:8780:1, false",
        "192.0.2.7, localhost:8780, false",
        "127.0.0.1, '', false"
    })
    void peerAndHostMustBothBeLoopback(String peer, String host, boolean open) {
        assertThat(DemoEntry.isFromThisMachine(request(peer, host))).isEqualTo(open);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"Forwarded", "X-Forwarded-For", "X-Forwarded-Proto", "x-forwarded-anything", "Via", "X-Real-IP"})
    void whatAProxyForwardedStaysOutside(String header) {
        MockHttpServletRequest request = request("127.0.0.1", "localhost");
        request.addHeader(header, "192.0.2.7");
        assertThat(DemoEntry.isFromThisMachine(request)).isFalse();
    }

    @Test
    void aRequestWithoutHostStaysOutside() {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setRemoteAddr("127.0.0.1");
        assertThat(DemoEntry.isFromThisMachine(request)).isFalse();
    }

    private static MockHttpServletRequest request(String peer, String host) {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setRemoteAddr(peer);
        request.addHeader("Host", host);
        return request;
    }
}
