package org.yarbel.web.account;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.who.SignedIn;

/**
 * People and what they sign in with, in whatever clubs they are. That happens before any club is known, so this speaks SQL. An
 * address may belong to more than one person: two clubs each had one of that address, and nobody has shown that they are the same.
 */
@Service
public class Persons {
  private static final int MOST_OF_AN_ADDRESS = 5;

  private final JdbcClient jdbc;
  private final PasswordEncoder passwords;
  private final SignIns signIns;
  private final SecurityLog log;

  Persons(JdbcClient jdbc, PasswordEncoder passwords, SignIns signIns, SecurityLog log) {
    this.jdbc = jdbc;
    this.passwords = passwords;
    this.signIns = signIns;
    this.log = log;
  }

  /**
   * Somebody who signs in.
   *
   * @param passwordHash empty until a password was chosen
   */
  public record Person(long id, String email, String passwordHash) {}

  /** The people of an address, the oldest first. */
  public List<Person> of(String email) {
    return jdbc.sql("select id, email, password_hash from person where email = :email order by id limit " + MOST_OF_AN_ADDRESS)
        .param("email", Accounts.key(email)).query(Person.class).list();
  }

  /** One by the number. */
  public Optional<Person> one(long id) {
    return jdbc.sql("select id, email, password_hash from person where id = :id").param("id", id).query(Person.class).optional();
  }

  /** Whether this is somebody's password. */
  public boolean matches(Person person, String password) {
    return password.length() <= PasswordRules.MOST && !person.passwordHash().isEmpty()
        && passwords.matches(password, person.passwordHash());
  }

  /** Adds somebody; answers their number. */
  @Transactional
  public long add(String email, String password) {
    return jdbc.sql("insert into person (id, email, password_hash) values (nextval('yarbel_id'), :email, :hash) returning id")
        .param("email", Accounts.key(email)).param("hash", passwords.encode(password)).query(Long.class).single();
  }

  /** Gives somebody who is signed in another password and ends their sign-ins elsewhere. */
  @Transactional
  void change(SignedIn who, String password, long signInToKeep) {
    write(who.personId(), password);
    signIns.endOthers(who.personId(), signInToKeep);
    log.note(Event.PASSWORD_CHANGED, who.clubId(), who.accountId(), "by themselves");
  }

  /** Gives somebody who has a link for it another password and ends all their sign-ins. */
  @Transactional
  public void reset(long personId, String password) {
    write(personId, password);
    signIns.endOthers(personId, 0);
  }

  private void write(long personId, String password) {
    jdbc.sql("update person set password_hash = :hash where id = :id").param("hash", passwords.encode(password)).param("id", personId)
        .update();
  }

  /** In how many clubs somebody is. */
  public int clubs(long personId) {
    return jdbc.sql("select count(distinct club_id) from account where person_id = :id").param("id", personId).query(Integer.class)
        .single();
  }
}
