package org.stratopneum.web;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.stratopneum.web.platform.database.MapperBeans;

/** Starts the web application. */
@Import(MapperBeans.class)
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class StratopneumApplication {

    public static void main(String[] args) {
        SpringApplication.run(StratopneumApplication.class, args);
    }

    /** The one clock; core never has its own. */
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
