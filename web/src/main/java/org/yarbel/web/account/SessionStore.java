package org.yarbel.web.account;

import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions are read and written in plain JDBC transactions of their own: Hibernate's would ask who is signed in to bind
 * itself to a club, which stands in the session that is just being read.
 */
@Configuration
class SessionStore {
  @Bean(defaultCandidate = false)
  @Qualifier("springSessionTransactionOperations")
  TransactionOperations springSessionTransactionOperations(DataSource dataSource) {
    TransactionTemplate transactions = new TransactionTemplate(new JdbcTransactionManager(dataSource));
    transactions.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    return transactions;
  }

  /** Two answers of one session at once may both keep something for the page that follows: the later one stands, and neither fails. */
  @Bean
  PostgreSqlJdbcIndexedSessionRepositoryCustomizer laterStands() {
    return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
  }
}
