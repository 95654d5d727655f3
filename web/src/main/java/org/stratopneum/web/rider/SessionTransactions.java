package org.stratopneum.web.rider;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions are loaded to find out who asks, so their transactions cannot name a rider: they have a manager of their own,
 * or loading a session would ask for the rider, who is in the session.
 */
@Configuration(proxyBeanMethods = false)
class SessionTransactions {

    /** What everybody else gets: transactions that name the rider. */
    @Bean
    @Primary
    TransactionTemplate transactionTemplate(RiderScopedTransactions transactions) {
        return new TransactionTemplate(transactions);
    }

    /** Found by Spring Session under this name. */
    @Bean
    TransactionOperations springSessionTransactionOperations(DataSource dataSource) {
        TransactionTemplate template = new TransactionTemplate(new JdbcTransactionManager(dataSource));
        template.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return template;
    }
}
