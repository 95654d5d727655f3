package org.stratopneum.web.platform.mail;

import java.net.URI;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.site.SiteAddress;

/** Where mail goes, who sends it, and where its links lead. */
@Component
class MailSettings {

    private final String host;
    private final int port;
    private final String user;
    private final String password;
    private final String from;
    private final SiteAddress address;

    MailSettings(
            @Value("${stratopneum.mail.host:}") String host,
            @Value("${stratopneum.mail.port:587}") int port,
            @Value("${stratopneum.mail.user:}") String user,
            @Value("${stratopneum.mail.password:}") String password,
            @Value("${stratopneum.mail.from:stratopneum@localhost}") String from,
            SiteAddress address) {
        this.host = host;
        this.port = port;
        this.user = user;
        this.password = password;
        this.from = from;
        this.address = address;
    }

    /** Whether mail goes to the simulated server. */
    boolean simulated() {
        return host.isBlank();
    }

    String host() {
        return host;
    }

    int port() {
        return port;
    }

    String user() {
        return user;
    }

    String password() {
        return password;
    }

    String from() {
        return from;
    }

    /** The host of the site's address. */
    String siteHost() {
        String host = URI.create(address.outside()).getHost();
        return host == null ? "localhost" : host;
    }

    String site() {
        return address.outside();
    }
}
