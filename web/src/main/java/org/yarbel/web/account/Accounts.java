package org.yarbel.web.account;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.Role;
import org.yarbel.web.who.SignedIn;

/** What people are in clubs. Sign-in happens before any club is known, so this speaks SQL and names the club itself. */
@Service
public class Accounts {
  private static final String SELECT = "select a.id, a.club_id, a.person_id, p.email, a.name, a.role, a.lifter_id, p.password_hash from "
      + "account a join person p on p.id = a.person_id where ";
  private static final String IN_USE = " and not a.disabled order by a.last_used desc nulls last, a.id";
  private static final RowMapper<SignedIn> ROW = (row, n) -> new SignedIn(
      new SignedIn.Ids(row.getLong("person_id"), row.getLong("club_id"), row.getLong("id"), row.getObject("lifter_id", Long.class)),
      row.getString("email"), row.getString("name"), Role.valueOf(row.getString("role")), row.getString("password_hash"));

  private final JdbcClient jdbc;
  private final Persons persons;
  private final SignIns signIns;
  private final SecurityLog log;

  Accounts(JdbcClient jdbc, Persons persons, SignIns signIns, SecurityLog log) {
    this.jdbc = jdbc;
    this.persons = persons;
    this.signIns = signIns;
    this.log = log;
  }

  /** How an e-mail address is kept, looked for and counted: one longer than any can be is none. */
  public static String key(String email) {
    String plain = email.strip().toLowerCase(Locale.ROOT);
    return plain.length() > SignInDetails.MOST_EMAIL ? "" : plain;
  }

  /** What a person is in clubs and not switched off, what was used last first. */
  public List<SignedIn> ofPerson(long personId) {
    return jdbc.sql(SELECT + "a.person_id = :person" + IN_USE).param("person", personId).query(ROW).list();
  }

  /** What the people of an address are in clubs. */
  public List<SignedIn> of(String email) {
    return jdbc.sql(SELECT + "p.email = :email" + IN_USE).param("email", key(email)).query(ROW).list();
  }

  /** An account of a club, for work that goes on in the background; empty when it is gone or disabled. */
  public Optional<SignedIn> of(long clubId, long accountId) {
    return jdbc.sql(SELECT + "a.club_id = :club and a.id = :id and not a.disabled").param("club", clubId).param("id", accountId)
        .query(ROW).optional();
  }

  /** A club somebody is in, and what they are there. */
  public record Membership(long clubId, long accountId, String club, Role role, String name) {}

  /** The clubs of a person. */
  public List<Membership> memberships(long personId) {
    return jdbc.sql("select a.club_id, a.id as account_id, c.name as club, a.role, a.name from account a join club c on c.id = a.club_id "
        + "where a.person_id = :person and not a.disabled order by c.name, a.id").param("person", personId).query(Membership.class).list();
  }

  /** Whether anybody has an account yet. */
  public boolean none() {
    return jdbc.sql("select not exists (select 1 from account)").query(Boolean.class).single();
  }

  /** Whether somebody with this address is in a club already, beside as a lifter. */
  public boolean taken(long clubId, String email) {
    return jdbc.sql("select exists (select 1 from account a join person p on p.id = a.person_id where p.email = :email and a.club_id = "
        + ":club)").param("email", key(email)).param("club", clubId).query(Boolean.class).single();
  }

  /**
   * How somebody signs in.
   *
   * @param disabled whether they may not
   */
  public record SignIn(long accountId, String email, boolean disabled) {}

  /** How a lifter of this club signs in. */
  public Optional<SignIn> ofLifter(long clubId, long lifterId) {
    return jdbc.sql("select a.id as account_id, p.email, a.disabled from account a join person p on p.id = a.person_id where a.club_id = "
        + ":club and a.lifter_id = :lifter").param("club", clubId).param("lifter", lifterId).query(SignIn.class).optional();
  }

  /** Lets somebody sign in to a club no more, which ends where they are signed in, or lets them again. */
  @Transactional
  public void disable(long clubId, long accountId, boolean disabled, SignedIn by) {
    int found = jdbc.sql("update account set disabled = :disabled where club_id = :club and id = :id").param("disabled", disabled)
        .param("club", clubId).param("id", accountId).update();
    if (found == 0) {
      throw new NotFound();
    }
    if (disabled) {
      signIns.endAt(clubId, accountId);
    }
    log.note(disabled ? Event.ACCOUNT_DISABLED : Event.ACCOUNT_ENABLED, clubId, by.accountId(), "of account " + accountId);
  }

  /** Looks at everybody's lifters, or at one's own. */
  @Transactional
  public void look(SignedIn who, boolean all) {
    jdbc.sql("update account set all_lifters = :all where club_id = :club and id = :id").param("all", all).param("club", who.clubId())
        .param("id", who.accountId()).update();
  }

  /** Somebody who may have lifters of their own. */
  public record Coach(long id, String name) {}

  /** Those of a club, by name. */
  public List<Coach> coaches(long clubId) {
    return jdbc.sql("select id, name from account where club_id = :club and role in ('OWNER', 'COACH') and not disabled order by name, id")
        .param("club", clubId).query(Coach.class).list();
  }

  /** Whether this is the password somebody signs in with. */
  boolean matches(SignedIn who, String password) {
    return persons.one(who.personId()).filter(person -> persons.matches(person, password)).isPresent();
  }

  /** Somebody came in by it. */
  void used(SignedIn who) {
    jdbc.sql("update account set last_used = now() where club_id = :club and id = :id").param("club", who.clubId())
        .param("id", who.accountId()).update();
  }

  /** What somebody is to be in a club. */
  public record Joining(long personId, String name, Role role, @Nullable Long lifterId) {}

  /** Makes a person and what they are in a club; answers the account. */
  @Transactional
  public long add(long clubId, String email, String password, String name, Role role, @Nullable Long lifterId) {
    return join(clubId, new Joining(persons.add(email, password), name, role, lifterId));
  }

  /** Makes somebody who is known something in a club; answers the account. */
  @Transactional
  public long join(long clubId, Joining as) {
    return jdbc.sql("insert into account (id, club_id, person_id, role, name, lifter_id) values (nextval('yarbel_id'), :club, :person, "
        + ":role, :name, :lifter) returning id").param("club", clubId).param("person", as.personId()).param("role", as.role().name())
        .param("name", as.name()).param("lifter", as.lifterId()).query(Long.class).single();
  }
}
