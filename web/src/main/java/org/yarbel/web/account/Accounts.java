package org.yarbel.web.account;

import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The accounts. Sign-in happens before any club is known, so this speaks SQL and names the club itself. */
@Service
public class Accounts implements UserDetailsService {
  public static final int LEAST_PASSWORD_LENGTH = 10;

  private final JdbcClient jdbc;
  private final PasswordEncoder passwords;

  Accounts(JdbcClient jdbc, PasswordEncoder passwords) {
    this.jdbc = jdbc;
    this.passwords = passwords;
  }

  /** How an e-mail address is kept and looked for. */
  public static String key(String email) {
    return email.strip().toLowerCase(Locale.ROOT);
  }

  @Override
  public UserDetails loadUserByUsername(String email) {
    return jdbc.sql("select id, club_id, email, name, role, lifter_id, password_hash from account where email = :email")
        .param("email", key(email))
        .query((row, n) -> new SignedIn(row.getLong("id"), row.getLong("club_id"), row.getString("email"),
            row.getString("name"), Role.valueOf(row.getString("role")), row.getObject("lifter_id", Long.class),
            row.getString("password_hash")))
        .optional()
        .orElseThrow(() -> new UsernameNotFoundException("No such account"));
  }

  /** An account of a club, for work that goes on in the background; empty when it is gone. */
  public Optional<SignedIn> of(long clubId, long accountId) {
    return jdbc.sql("select email from account where club_id = :club and id = :id").param("club", clubId).param("id", accountId)
        .query(String.class).optional().map(email -> (SignedIn) loadUserByUsername(email));
  }

  /** Whether anybody has an account yet. */
  public boolean none() {
    return jdbc.sql("select not exists (select 1 from account)").query(Boolean.class).single();
  }

  /** Whether the address is taken, in whatever club: it is what a person signs in with. */
  public boolean taken(String email) {
    return jdbc.sql("select exists (select 1 from account where email = :email)")
        .param("email", key(email)).query(Boolean.class).single();
  }

  /** The address a lifter of this club signs in with. */
  public Optional<String> emailOf(long clubId, long lifterId) {
    return jdbc.sql("select email from account where club_id = :club and lifter_id = :lifter")
        .param("club", clubId).param("lifter", lifterId).query(String.class).optional();
  }

  /** Whether this is the password somebody signs in with. */
  boolean matches(SignedIn who, String password) {
    return passwords.matches(password, loadUserByUsername(who.getUsername()).getPassword());
  }

  /** Gives somebody another password and ends their sessions elsewhere. */
  @Transactional
  void changePassword(SignedIn who, String password, String sessionToKeep) {
    jdbc.sql("update account set password_hash = :hash where club_id = :club and id = :id")
        .param("hash", passwords.encode(password)).param("club", who.clubId()).param("id", who.accountId()).update();
    jdbc.sql("delete from spring_session where principal_name = :name and session_id <> :kept")
        .param("name", who.getUsername()).param("kept", sessionToKeep).update();
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
