package org.yarbel.web.edge;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import org.hibernate.TransactionException;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.TransactionSystemException;

/** SQLSTATE as PostgreSQL gives them (appendix A of its manual, "PostgreSQL Error Codes"). */
class TransientTest {
  private static SQLException of(String state) {
    return new SQLException("told", state);
  }

  @Test
  void aServerThatIsGoneComesAgain() {
    for (String state : new String[] {"08006", "57P01", "53300"}) {
      assertThat(Transient.away(new IllegalStateException(of(state)))).as(state).isTrue();
    }
    assertThat(Transient.away(of("23505"))).as("a row there is already").isFalse();
  }

  @Test
  void aFullDiskDoesNotGoByItself() {
    assertThat(Transient.full(new IllegalStateException(of("53100")))).isTrue();
    assertThat(Transient.is(of("53100"))).isFalse();
  }

  /** A connection that broke in the middle: the pool, asked to take the transaction back, knows no state. */
  @Test
  void aTransactionThatCouldNotBeTakenBackIsTriedAgain() {
    SQLException closed = new SQLException("closed");
    assertThat(Transient.away(new TransactionSystemException("rollback", closed))).isTrue();
    assertThat(Transient.away(new IllegalStateException(new TransactionException("rollback", closed)))).isTrue();
    assertThat(Transient.away(new TransactionSystemException("commit", of("23514")))).as("what may not be written").isFalse();
    assertThat(Transient.away(new IllegalStateException(closed))).as("by itself it says nothing").isFalse();
  }
}
