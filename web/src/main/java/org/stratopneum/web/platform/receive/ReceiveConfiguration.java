package org.stratopneum.web.platform.receive;

import java.time.Duration;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * The limits of receiving. Java 17 has no virtual threads, so every request that is read or answered holds a thread of a
 * pool (application.yml: 96). At most half of these wait for bodies, 12 of one network, 10 s each (and 5 s more for the
 * last silence); 8 receive files, of riders who are known, 2 of each; 8 hash passwords or wait for it; 5 read photos or
 * wait for it. What is left answers pages. Heads are read without a thread, and given up after 5 s.
 */
@Configuration(proxyBeanMethods = false)
class ReceiveConfiguration {

    private static final int AT_ONCE = 48;
    private static final int OF_A_NETWORK = 12;
    private static final Duration WITHIN = Duration.ofSeconds(10);

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> bodies() {
        return factory -> factory.addContextValves(new BodyValve(new Slots(AT_ONCE, OF_A_NETWORK), WITHIN));
    }
}
