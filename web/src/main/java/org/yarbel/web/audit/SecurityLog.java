package org.yarbel.web.audit;

import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Writes security events down, twice: a line each in a file that is only ever appended to, with time, event, club, account, address and
 * a few words (how long it is kept stands in {@code logback-spring.xml}), and a row for the owners of the club, kept {@value #KEPT_DAYS}
 * days. A row stands or falls with the transaction of what it tells of. Passwords, codes, tokens and addresses of feeds never go in.
 */
@Component
public class SecurityLog {
  /** The logger that the configuration gives a file of its own. */
  public static final String NAME = "security";

  private static final Logger LOG = LoggerFactory.getLogger(NAME);
  private static final int MOST_CHARACTERS = 200;
  /** How long the rows are kept. */
  public static final int KEPT_DAYS = 400;
  /** What belongs to no club. */
  public static final long HOUSE = 0;

  private final JdbcClient jdbc;
  private final TransactionTemplate apart;

  SecurityLog(JdbcClient jdbc, PlatformTransactionManager transactions) {
    this.jdbc = jdbc;
    this.apart = new TransactionTemplate(transactions);
    apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
  }

  /** What can happen. */
  public enum Event {
    SIGNED_IN("signed in"),
    SIGN_IN_REFUSED("sign-in refused", true),
    SIGNED_OUT("signed out"),
    SIGN_IN_ENDED("sign-in ended"),
    LIMIT_MET("too many tries", true),
    ACCESS_DENIED("refused what is not theirs", true),
    FIRST_VISIT("club begun"),
    INVITED("invited"),
    JOINED("joined"),
    LINK_MADE("link for a password made"),
    LINK_REVOKED("link taken back"),
    ROLE_CHANGED("role changed"),
    HANDED_OVER("lifters handed over"),
    ACCOUNT_MADE("account made"),
    ACCOUNT_DISABLED("account switched off"),
    ACCOUNT_ENABLED("account switched on"),
    PASSWORD_CHANGED("password changed"),
    FACTOR_ADDED("second step added"),
    FACTOR_REMOVED("second step taken away"),
    CLUB_CHANGED("went to another club"),
    EXPORTED("exported"),
    ARRIVED("club taken in"),
    RESTORED("backup put back"),
    DELETION_ASKED("deletion asked for"),
    DELETION_CONFIRMED("deletion confirmed"),
    DELETION_UNDONE("deletion taken back"),
    DELETED("deleted"),
    FEED_MADE("calendar address made"),
    FEED_REVOKED("calendar address taken back"),
    TAKEN_IN("taken in"),
    DEVICE_ADDED("device added"),
    DEVICE_REVOKED("device taken away"),
    SPECTATORS_OPENED("link for spectators made"),
    SPECTATORS_CLOSED("link for spectators taken back");

    private final String word;
    private final boolean knock;

    Event(String word) {
      this(word, false);
    }

    Event(String word, boolean knock) {
      this.word = word;
      this.knock = knock;
    }

    /** Whether somebody was refused: whoever knocks, knocks often. */
    public boolean knock() {
      return knock;
    }

    /** As it is said: {@code signed in}. */
    public String word() {
      return word;
    }
  }

  /** Writes an event of somebody who is known. */
  public void note(Event event, long clubId, long accountId, String words) {
    write(event, "club=" + clubId + " account=" + accountId, words);
    keep(event, clubId, accountId, words);
  }

  /** Writes an event of a stranger. */
  public void note(Event event, String words) {
    write(event, "club=- account=-", words);
    keep(event, HOUSE, 0, words);
  }

  private static void write(Event event, String who, String words) {
    LOG.info("{} {} address={} {}", event, who, address(), plain(words));
  }

  /** A row of it. Whoever knocks without end fills no table: the same from the same place is one row a minute. */
  private void keep(Event event, long clubId, long accountId, String words) {
    Runnable insert = () -> jdbc.sql("insert into happened (id, club_id, at, event, account_id, who, address, words) select "
        + "nextval('yarbel_id'), :club, now(), :event, nullif(:account, 0), coalesce((select name from account where club_id = :club and "
        + "id = :account), ''), :address, :words where not (:knock and exists (select 1 from happened where club_id = :club and at > now() "
        + "- interval '1 minute' and event = :event and address = :address and words = :words))").param("club", clubId)
        .param("account", accountId).param("event", event.name()).param("address", address()).param("words", plain(words))
        .param("knock", event.knock).update();
    if (TransactionSynchronizationManager.isActualTransactionActive()
        && !TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
      insert.run();
    } else {
      apart.executeWithoutResult(status -> insert.run());
    }
  }

  /** Takes out what is too old; any node does. */
  @Scheduled(initialDelay = 5, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
  void clear() {
    jdbc.sql("delete from happened where at < now() - :days * interval '1 day'").param("days", KEPT_DAYS).update();
  }

  private static String address() {
    return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes
        ? plain(attributes.getRequest().getRemoteAddr()) : "-";
  }

  /** One line, whatever somebody typed. */
  static String plain(String words) {
    String line = words.codePoints().map(sign -> Character.isISOControl(sign) || Character.getType(sign) == Character.LINE_SEPARATOR
        || Character.getType(sign) == Character.PARAGRAPH_SEPARATOR || Character.getType(sign) == Character.FORMAT ? '?' : sign)
        .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append).toString();
    return line.substring(0, Math.min(MOST_CHARACTERS, line.length()));
  }
}
