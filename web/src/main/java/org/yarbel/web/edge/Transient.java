package org.yarbel.web.edge;

import java.io.IOException;
import java.sql.SQLException;
import java.sql.SQLTransientException;
import java.util.Set;
import java.util.function.Predicate;
import org.hibernate.TransactionException;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;

/** Tells what goes by itself from what is wrong. */
public final class Transient {
  /** Classes of SQLSTATE: no connection; the server is short of something; somebody ended the query or the server. */
  private static final Set<String> AWAY = Set.of("08", "53", "57");
  /** SQLSTATE of who waited too long for another, could not be put in an order with one, or waited for each other. */
  private static final Set<String> LOST = Set.of("55P03", "40001", "40P01");
  /** SQLSTATE of a server that has no room left on its disk. */
  private static final String FULL = "53100";
  private static final int DEEPEST = 20;

  private Transient() {}

  /** Whether something failed since the database did not answer, not in time, or somebody else wrote at the same moment. */
  public static boolean is(Throwable wrong) {
    return lost(wrong) || away(wrong);
  }

  /** Whether something failed since somebody else wrote at the same moment. */
  public static boolean lost(Throwable wrong) {
    return any(wrong, why -> why instanceof ConcurrencyFailureException || why instanceof DataIntegrityViolationException
        || LOST.contains(state(why)));
  }

  /** Whether something failed since the disk of the database has no room: that does not go by itself, somebody has to make some. */
  public static boolean full(Throwable wrong) {
    return any(wrong, why -> FULL.equals(state(why)));
  }

  /** Whether something failed since the database did not answer, or not in time. */
  public static boolean away(Throwable wrong) {
    return !full(wrong) && any(wrong, why -> why instanceof DataAccessResourceFailureException
        || why instanceof CannotCreateTransactionException || why instanceof QueryTimeoutException
        || why instanceof PessimisticLockingFailureException || why instanceof SQLTransientException
        || state(why).length() == 5 && AWAY.contains(state(why).substring(0, 2)) || LOST.contains(state(why)) || brokenOff(why));
  }

  /** Whether a transaction could not even be taken back, since its connection broke meanwhile: the pool says that without a state. */
  private static boolean brokenOff(Throwable why) {
    return (why instanceof TransactionSystemException || why instanceof TransactionException)
        && any(why, cause -> cause instanceof SQLException sql && sql.getSQLState() == null);
  }

  /** Whether something failed at a file. */
  static boolean files(Throwable wrong) {
    return any(wrong, why -> why instanceof IOException);
  }

  private static String state(Throwable why) {
    return why instanceof SQLException sql && sql.getSQLState() != null ? sql.getSQLState() : "";
  }

  private static boolean any(Throwable wrong, Predicate<Throwable> asked) {
    int depth = 0;
    for (Throwable why = wrong; why != null && depth < DEEPEST; why = why.getCause(), depth++) {
      if (asked.test(why)) {
        return true;
      }
    }
    return false;
  }
}
