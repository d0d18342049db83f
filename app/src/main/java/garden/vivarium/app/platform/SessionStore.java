package garden.vivarium.app.platform;

import javax.sql.DataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.jdbc.MySqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions live in the database with transactions of their own: in Hibernate's they would ask for the tenant, which asks
 * for the session, without end.
 */
@Configuration
class SessionStore {

    /** Two pages that a person opens at the same moment in a new session write down the same of it; neither may fail by that. */
    @Bean
    MySqlJdbcIndexedSessionRepositoryCustomizer attributesOnce() {
        return new MySqlJdbcIndexedSessionRepositoryCustomizer();
    }

    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations(DataSource database) {
        TransactionTemplate own = new TransactionTemplate(new JdbcTransactionManager(database));
        own.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        return own;
    }
}
