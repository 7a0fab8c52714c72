package org.yarbel.web.account;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.Role;
import org.yarbel.web.who.SignedIn;

/** The accounts. Sign-in happens before any club is known, so this speaks SQL and names the club itself. */
@Service
public class Accounts {
  private static final int MOST_CLUBS = 5;
  private static final String SELECT = "select id, club_id, email, name, role, lifter_id, password_hash from account ";
  private static final RowMapper<SignedIn> ROW = (row, n) -> new SignedIn(row.getLong("id"), row.getLong("club_id"), row.getString("email"),
      row.getString("name"), Role.valueOf(row.getString("role")), row.getObject("lifter_id", Long.class), row.getString("password_hash"));

  private final JdbcClient jdbc;
  private final PasswordEncoder passwords;
  private final SignIns signIns;
  private final SecurityLog log;

  Accounts(JdbcClient jdbc, PasswordEncoder passwords, SignIns signIns, SecurityLog log) {
    this.jdbc = jdbc;
    this.passwords = passwords;
    this.signIns = signIns;
    this.log = log;
  }

  /** How an e-mail address is kept, looked for and counted: one longer than any can be is none. */
  public static String key(String email) {
    String plain = email.strip().toLowerCase(Locale.ROOT);
    return plain.length() > SignInDetails.MOST_EMAIL ? "" : plain;
  }

  /** The accounts of an address, the oldest first: one a club, and no more than a few are asked for their password. */
  public List<SignedIn> of(String email) {
    return of(email, false);
  }

  /** Those of an address whose sign-in is switched off. */
  List<SignedIn> switchedOff(String email) {
    return of(email, true);
  }

  private List<SignedIn> of(String email, boolean disabled) {
    return jdbc.sql(SELECT + "where email = :email and disabled = :disabled order by id limit " + MOST_CLUBS).param("email", key(email))
        .param("disabled", disabled).query(ROW).list();
  }

  /** An account of a club, for work that goes on in the background; empty when it is gone or disabled. */
  public Optional<SignedIn> of(long clubId, long accountId) {
    return jdbc.sql(SELECT + "where club_id = :club and id = :id and not disabled").param("club", clubId).param("id", accountId)
        .query(ROW).optional();
  }

  /** Whether anybody has an account yet. */
  public boolean none() {
    return jdbc.sql("select not exists (select 1 from account)").query(Boolean.class).single();
  }

  /** Whether the address is taken in a club. */
  public boolean taken(long clubId, String email) {
    return jdbc.sql("select exists (select 1 from account where email = :email and club_id = :club)")
        .param("email", key(email)).param("club", clubId).query(Boolean.class).single();
  }

  /**
   * How somebody signs in.
   *
   * @param disabled whether they may not
   */
  public record SignIn(String email, boolean disabled) {}

  /** How a lifter of this club signs in. */
  public Optional<SignIn> ofLifter(long clubId, long lifterId) {
    return jdbc.sql("select email, disabled from account where club_id = :club and lifter_id = :lifter")
        .param("club", clubId).param("lifter", lifterId).query(SignIn.class).optional();
  }

  /** Lets a lifter sign in no more, which ends where they are signed in, or lets them again. */
  @Transactional
  public void disable(long clubId, long lifterId, boolean disabled, SignedIn by) {
    long account = jdbc.sql("update account set disabled = :disabled where club_id = :club and lifter_id = :lifter returning id")
        .param("disabled", disabled).param("club", clubId).param("lifter", lifterId).query(Long.class).optional()
        .orElseThrow(NotFound::new);
    if (disabled) {
      signIns.endOthers(clubId, account, 0);
    }
    log.note(disabled ? Event.ACCOUNT_DISABLED : Event.ACCOUNT_ENABLED, clubId, by.accountId(), "of account " + account);
  }

  /** Whether this is the password somebody signs in with. */
  boolean matches(SignedIn who, String password) {
    return of(who.clubId(), who.accountId()).filter(now -> passwords.matches(password, now.getPassword())).isPresent();
  }

  /** Gives somebody another password and ends their sign-ins elsewhere. */
  @Transactional
  void changePassword(SignedIn who, String password, long signInToKeep) {
    jdbc.sql("update account set password_hash = :hash where club_id = :club and id = :id")
        .param("hash", passwords.encode(password)).param("club", who.clubId()).param("id", who.accountId()).update();
    signIns.endOthers(who.clubId(), who.accountId(), signInToKeep);
    log.note(Event.PASSWORD_CHANGED, who.clubId(), who.accountId(), "by themselves");
  }

  /** Makes an account. The address must not be taken. */
  @Transactional
  public void add(long clubId, String email, String password, String name, Role role, @Nullable Long lifterId) {
    jdbc.sql("""
            insert into account (id, club_id, email, password_hash, role, name, lifter_id)
            values (nextval('yarbel_id'), :club, :email, :hash, :role, :name, :lifter)""")
        .param("club", clubId)
        .param("email", key(email))
        .param("hash", passwords.encode(password))
        .param("role", role.name())
        .param("name", name)
        .param("lifter", lifterId)
        .update();
  }
}
