package org.stratopneum.web.platform.weather;

import java.net.URI;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;

/** The weather service whose address is set, or else the one that ships with the application. */
@Configuration(proxyBeanMethods = false)
class WeatherConfiguration {

    @Bean
    @Primary
    Weather weather(
            @Value("${stratopneum.weather:}") String address, @Qualifier("simulatedWeather") Weather simulated) {
        return address.isEmpty() ? simulated : new HttpWeather(URI.create(address));
    }
}
