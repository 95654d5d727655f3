package org.stratopneum.web.platform.receive;

import java.time.Duration;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The limits of receiving. Java 17 has no virtual threads, so every request that is read or answered holds a thread of a
 * pool (application.yml: 96). At most half of these wait for bodies, 12 of one network, 10 s each (and 5 s more for the
 * last silence). 24 are files on their way, in or out, 12 of one network; among them 8 that come in, of riders who are
 * known, 2 of each. Heads are read without a thread, and given up after 5 s. Of what has come whole, 16 are worked at: two
 * processors are busy with that, and each of the 8 connections to the database has one more waiting for it. Others wait
 * for their turn, 15 s at most. Among the 16, 8 hash passwords or wait for that, and 5 read photos or wait for that:
 * whoever comes beyond these is told to come back.
 */
@Configuration(proxyBeanMethods = false)
class ReceiveConfiguration {

    private static final int AT_ONCE = 48;
    private static final int OF_A_NETWORK = 12;
    private static final Duration WITHIN = Duration.ofSeconds(10);
    private static final int WORKED_AT = 16;
    private static final int FILES = 24;
    private static final int FILES_OF_A_NETWORK = 12;
    private static final Duration PATIENCE = Duration.ofSeconds(15);

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> bodies() {
        return factory -> factory.addContextValves(
                new BodyValve(new Slots(AT_ONCE, OF_A_NETWORK), WITHIN),
                new WorkValve(WORKED_AT, PATIENCE, new Slots(FILES, FILES_OF_A_NETWORK)));
    }
}
