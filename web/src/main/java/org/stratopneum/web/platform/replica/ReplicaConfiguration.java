package org.stratopneum.web.platform.replica;

import io.micrometer.core.instrument.MeterRegistry;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.servlet.filter.OrderedFilter;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.DependsOn;
import org.stratopneum.web.platform.site.SiteCookies;

/** Reads pages from the copy of the database at {@code stratopneum.replica}, where that is set. */
@Configuration(proxyBeanMethods = false)
class ReplicaConfiguration {

    /** Just inside of where Spring makes the request known to all (OrderedRequestContextFilter). */
    private static final int INSIDE = OrderedFilter.REQUEST_WRAPPER_FILTER_MAX_ORDER - 104;

    @Bean
    static ReplicaReads replicaReads(
            @Value("${stratopneum.replica:}") String address, ObjectProvider<SiteCookies> cookies) {
        return new ReplicaReads(address, cookies);
    }

    @Bean
    @DependsOn("dataSource")
    FilterRegistrationBean<OwnWritesFilter> ownWrites(ReplicaReads reads, SiteCookies cookies, MeterRegistry meters) {
        FilterRegistrationBean<OwnWritesFilter> registration =
                new FilterRegistrationBean<>(new OwnWritesFilter(reads.position(), cookies));
        registration.setEnabled(reads.areOn());
        registration.setOrder(INSIDE);
        if (reads.areOn()) {
            reads.replica().setMetricRegistry(meters);
        }
        return registration;
    }
}
