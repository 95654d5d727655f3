package org.stratopneum.web.platform.weather;

import java.net.URI;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;

/** The weather service whose address is set, or else the one that ships with the application; on a server for others, none. */
@Configuration(proxyBeanMethods = false)
class WeatherConfiguration {

    @Bean
    @Primary
    Weather weather(
            @Value("${stratopneum.weather:}") String address,
            @Value("${stratopneum.stand-ins:true}") boolean standIns,
            @Qualifier("simulatedWeather") Weather simulated) {
        if (!address.isEmpty()) {
            return new HttpWeather(URI.create(address));
        }
        return standIns ? simulated : new NoWeather();
    }
}
