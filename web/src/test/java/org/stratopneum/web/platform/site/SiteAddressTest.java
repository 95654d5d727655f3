package org.stratopneum.web.platform.site;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;

class SiteAddressTest {

    /** A proxy on another port than 443 that tells the scheme alone: the browser's Host has the port (RFC 9110, 7.2). */
    @ParameterizedTest
    @CsvSource({
        "https, 443, bikes.example:8443, https://bikes.example:8443",
        "https, 443, bikes.example, https://bikes.example",
        "https, 443, bikes.example:443, https://bikes.example",
        "https, 8443, bikes.example, https://bikes.example:8443",
        "http, 8780, 127.0.0.1:8780, http://127.0.0.1:8780",
        "http, 80, '[::1]:8780', 'http://[::1]:8780'"
    })
    void aPageKnowsFromWhereItWasAsked(String scheme, int port, String host, String address) {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setScheme(scheme);
        request.setSecure(scheme.equals("https"));
        request.setServerName(host.replaceFirst(":\\d+$", ""));
        request.setServerPort(port);
        request.addHeader("Host", host);
        assertThat(new SiteAddress("", port).isOurs(address, request)).isTrue();
        assertThat(new SiteAddress("", port).isOurs(address + "0", request)).isFalse();
    }
}
