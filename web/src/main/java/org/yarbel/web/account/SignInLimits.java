package org.yarbel.web.account;

import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.concurrent.TimeUnit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Slows down guessing. A try is written down before the password is looked at and taken out when it was right, so that tries at
 * the same moment count each other. Refused is who tried an account from one address of the network ten times, or anything from
 * one address fifty times, within a quarter of an hour. An account that was tried sixty times an hour from anywhere is open only
 * to devices that have signed in to it before: a stranger can slow a stranger, not its owner. Only tries whose password was looked
 * at stay: knocking on neither prolongs the time nor fills the table. Counted in the database, by the real clock.
 */
@Service
public class SignInLimits {
  static final Duration WINDOW = Duration.ofMinutes(15);
  static final Duration LONG_WINDOW = Duration.ofHours(1);
  static final int TRIES_OF_ACCOUNT_AND_ADDRESS = 10;
  static final int TRIES_OF_ADDRESS = 50;
  static final int TRIES_OF_ACCOUNT = 60;

  private final JdbcClient jdbc;

  SignInLimits(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  /**
   * Writes a try down; false when there were too many, and the password must not be looked at.
   *
   * @param known whether the device has signed in to that account before
   */
  public boolean reserve(String email, String address, boolean known) {
    String key = Accounts.key(email);
    long id = jdbc.sql("insert into sign_in_try (email_key, address, known, at) values (:email, :address, :known, now()) returning id")
        .param("email", key).param("address", address).param("known", known).query(Long.class).single();
    record Counted(int ofBoth, int ofAddress, int ofAccount) {}
    Counted lately = jdbc.sql("select count(*) filter (where email_key = :email and address = :address and at > :lately) as of_both, "
        + "count(*) filter (where address = :address and at > :lately) as of_address, count(*) filter (where email_key = :email "
        + "and not known) as of_account "
        + "from sign_in_try where (email_key = :email or address = :address) and at > :since").param("email", key).param("address", address)
        .param("lately", since(WINDOW)).param("since", since(LONG_WINDOW)).query(Counted.class).single();
    boolean among = lately.ofBoth() <= TRIES_OF_ACCOUNT_AND_ADDRESS && lately.ofAddress() <= TRIES_OF_ADDRESS
        && (known || lately.ofAccount() <= TRIES_OF_ACCOUNT);
    if (!among) {
      jdbc.sql("delete from sign_in_try where id = :id").param("id", id).update();
    }
    return among;
  }

  /** There was no time for the password: what was written down last of these two was no try. */
  void notLookedAt(String email, String address) {
    jdbc.sql("delete from sign_in_try where id = (select max(id) from sign_in_try where email_key = :email and address = :address)")
        .param("email", Accounts.key(email)).param("address", address).update();
  }

  /** Takes out what is too old to count. */
  @Scheduled(initialDelay = 1, fixedDelay = 30, timeUnit = TimeUnit.MINUTES)
  void clear() {
    jdbc.sql("delete from sign_in_try where at <= :since").param("since", since(LONG_WINDOW)).update();
  }

  /** It was right: what was tried from there counts no more. */
  public void succeeded(String email, String address) {
    jdbc.sql("delete from sign_in_try where email_key = :email and address = :address").param("email", Accounts.key(email))
        .param("address", address).update();
  }

  private static OffsetDateTime since(Duration window) {
    return Instant.now().minus(window).atOffset(ZoneOffset.UTC);
  }
}
