package org.stratopneum.web.demo;

import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.stratopneum.web.rider.DemoEntry;
import org.stratopneum.web.rider.RiderPrincipal;

/** Opens the demo garage, unless {@code stratopneum.demo} is false. */
@Configuration(proxyBeanMethods = false)
class DemoConfiguration {

    static final RiderPrincipal DEMO_RIDER =
            new RiderPrincipal(UUID.fromString("d0000000-0000-4000-8000-000000000001"), true);

    @Bean
    DemoEntry demoEntry(@Value("${stratopneum.demo}") boolean open) {
        return new DemoEntry(open ? DEMO_RIDER : null);
    }

    /** The entry works inside the security chain only, not for every request of the container as well. */
    @Bean
    FilterRegistrationBean<DemoEntry> demoEntryOutsideTheContainer(DemoEntry entry) {
        FilterRegistrationBean<DemoEntry> registration = new FilterRegistrationBean<>(entry);
        registration.setEnabled(false);
        return registration;
    }
}
