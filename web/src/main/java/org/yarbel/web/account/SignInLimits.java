package org.yarbel.web.account;

import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * Slows down guessing: after ten failures for an address of e-mail, or fifty from an address of the network, within a
 * quarter of an hour, sign-in is refused until they are older than that. Counted in the database, by the real clock.
 */
@Service
class SignInLimits {
  static final Duration WINDOW = Duration.ofMinutes(15);
  static final int FAILURES_PER_EMAIL = 10;
  static final int FAILURES_PER_ADDRESS = 50;

  private final JdbcClient jdbc;

  SignInLimits(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  boolean exceeded(String email, String address) {
    return count("email_key", Accounts.key(email)) >= FAILURES_PER_EMAIL
        || count("address", address) >= FAILURES_PER_ADDRESS;
  }

  private int count(String column, String value) {
    return jdbc.sql("select count(*) from sign_in_failure where " + column + " = :value and at > :since")
        .param("value", value).param("since", since()).query(Integer.class).single();
  }

  void failed(String email, String address) {
    jdbc.sql("delete from sign_in_failure where at <= :since").param("since", since()).update();
    jdbc.sql("insert into sign_in_failure (email_key, address, at) values (:email, :address, now())")
        .param("email", Accounts.key(email)).param("address", address).update();
  }

  void succeeded(String email) {
    jdbc.sql("delete from sign_in_failure where email_key = :email").param("email", Accounts.key(email)).update();
  }

  private static OffsetDateTime since() {
    return Instant.now().minus(WINDOW).atOffset(ZoneOffset.UTC);
  }
}
