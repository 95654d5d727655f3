package org.stratopneum.web.platform.weather;

import java.net.URI;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;

/** A weather service in place of the one that ships with the application, where its address is set. */
@Configuration
class WeatherConfiguration {

    @Bean
    @Primary
    @ConditionalOnProperty("stratopneum.weather")
    Weather weatherService(@Value("${stratopneum.weather}") URI address) {
        return new HttpWeather(address);
    }
}
