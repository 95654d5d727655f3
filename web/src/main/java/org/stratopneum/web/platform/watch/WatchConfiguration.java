package org.stratopneum.web.platform.watch;

import java.net.InetAddress;
import java.net.UnknownHostException;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.AbstractProtocol;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Opens the port of the figures, where one is set. It is a second door of the same server, which costs a few kilobytes; a
 * server of its own for it costs a second of the start and 28 MB.
 */
@Configuration(proxyBeanMethods = false)
class WatchConfiguration {

    private static final int THREADS = 4;

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> watchDoor(
            @Value("${stratopneum.watch.port:0}") int port,
            @Value("${stratopneum.watch.address:127.0.0.1}") String address) {
        return factory -> {
            factory.addContextValves(new RequestIds(), new WatchDoor(port));
            if (port != 0) {
                factory.addAdditionalConnectors(connector(port, address));
            }
        };
    }

    private static Connector connector(int port, String address) {
        Connector connector = new Connector();
        connector.setPort(port);
        if (connector.getProtocolHandler() instanceof AbstractProtocol<?> protocol) {
            protocol.setAddress(addressOf(address));
            protocol.setMinSpareThreads(1);
            protocol.setMaxThreads(THREADS);
        }
        return connector;
    }

    private static InetAddress addressOf(String address) {
        try {
            return InetAddress.getByName(address);
        } catch (UnknownHostException exception) {
            throw new IllegalArgumentException("stratopneum.watch.address is no address: " + address, exception);
        }
    }
}
