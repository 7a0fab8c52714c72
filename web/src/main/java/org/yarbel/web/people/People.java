package org.yarbel.web.people;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.account.SecondSteps;
import org.yarbel.web.account.SignIns;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.Role;
import org.yarbel.web.who.SignedIn;

/** The people of a club: what they are in it, and whose lifters are whose. Speaks SQL and names the club itself. */
@Service
class People {
  private static final int MOST = 500;
  private static final String SELECT = "select a.id, a.person_id, a.name, p.email, a.role, a.lifter_id, a.disabled, a.last_used, (select "
      + "max(s.seen) from sign_in s where s.club_id = a.club_id and s.account_id = a.id) as seen, (p.code_secret is not null or exists "
      + "(select 1 from user_entities u join user_credentials k on k.user_entity_user_id = u.id where u.name = 'person-' || p.id)) as "
      + "stepped, (select count(*) from lifter l where l.club_id = a.club_id and l.coach_id = a.id) as lifters, (select count(distinct "
      + "o.club_id) from account o where o.person_id = a.person_id) as clubs from account a join person p on p.id = a.person_id where "
      + "a.club_id = :club";
  private static final RowMapper<Member> ROW = (row, n) -> {
    OffsetDateTime used = row.getObject("last_used", OffsetDateTime.class);
    OffsetDateTime seen = row.getObject("seen", OffsetDateTime.class);
    OffsetDateTime last = seen == null ? used : seen;
    return new Member(row.getLong("id"), row.getLong("person_id"), row.getString("name"), row.getString("email"),
        Role.valueOf(row.getString("role")), row.getObject("lifter_id", Long.class), row.getBoolean("disabled"),
        last == null ? null : last.toInstant(), row.getBoolean("stepped"), row.getInt("lifters"), row.getInt("clubs"));
  };

  private final JdbcClient jdbc;
  private final Accounts accounts;
  private final SignIns signIns;
  private final SecondSteps steps;
  private final SecurityLog log;

  People(JdbcClient jdbc, Accounts accounts, SignIns signIns, SecondSteps steps, SecurityLog log) {
    this.jdbc = jdbc;
    this.accounts = accounts;
    this.signIns = signIns;
    this.steps = steps;
    this.log = log;
  }

  /**
   * Somebody of a club.
   *
   * @param seen when they were there last; null for never
   * @param stepped whether they have a second step
   * @param lifters how many are theirs
   * @param clubs in how many clubs they are
   */
  record Member(long id, long personId, String name, String email, Role role, @Nullable Long lifterId, boolean disabled,
      @Nullable Instant seen, boolean stepped, int lifters, int clubs) {}

  /** Everybody of a club who signs in: those who look after lifters first, then by name. */
  List<Member> of(long clubId) {
    return jdbc.sql(SELECT + " order by (a.role = 'LIFTER'), a.name, a.id limit " + MOST).param("club", clubId).query(ROW).list();
  }

  /** One of them. */
  Member one(long clubId, long accountId) {
    return jdbc.sql(SELECT + " and a.id = :id").param("club", clubId).param("id", accountId).query(ROW).optional()
        .orElseThrow(NotFound::new);
  }

  /** A lifter nobody signs in as yet. */
  record Unsigned(long id, String name) {}

  /** Lifters without a sign-in, by name. */
  List<Unsigned> unsigned(long clubId) {
    return jdbc.sql("select l.id, l.name from lifter l where l.club_id = :club and not exists (select 1 from account a where a.club_id = "
        + "l.club_id and a.lifter_id = l.id) order by l.name, l.id limit " + MOST).param("club", clubId).query(Unsigned.class).list();
  }

  /** What a lifter of a club is called; empty for another club's. */
  Optional<String> lifter(long clubId, long lifterId) {
    return jdbc.sql("select name from lifter where club_id = :club and id = :id").param("club", clubId).param("id", lifterId)
        .query(String.class).optional();
  }

  /** Who may have lifters of their own: those who plan and are not switched off. */
  List<Member> coaches(long clubId) {
    return of(clubId).stream().filter(one -> one.role() == Role.OWNER || one.role() == Role.COACH).filter(one -> !one.disabled()).toList();
  }

  private int owners(long clubId) {
    return jdbc.sql("select count(*) from account where club_id = :club and role = 'OWNER' and not disabled").param("club", clubId)
        .query(Integer.class).single();
  }

  /** Whether somebody is the last owner, whom the club cannot lose. */
  boolean lastOwner(long clubId, Member one) {
    return one.role() == Role.OWNER && !one.disabled() && owners(clubId) <= 1;
  }

  /** Makes somebody something else, which ends where they are signed in; false for the last owner. */
  @Transactional
  boolean become(SignedIn by, long accountId, Role role) {
    ownersTurn(by.clubId());
    Member one = one(by.clubId(), accountId);
    if (lastOwner(by.clubId(), one) && role != Role.OWNER) {
      return false;
    }
    jdbc.sql("update account set role = :role where club_id = :club and id = :id").param("role", role.name()).param("club", by.clubId())
        .param("id", accountId).update();
    if (role == Role.ASSISTANT) {
      // an assistant plans for nobody
      jdbc.sql("update lifter set coach_id = null where club_id = :club and coach_id = :id").param("club", by.clubId())
          .param("id", accountId).update();
    }
    log.note(Event.ROLE_CHANGED, by.clubId(), by.accountId(), one.name() + ": from " + one.role().word() + " to " + role.word());
    return true;
  }

  /** Switches somebody off or on; false for the last owner. */
  @Transactional
  boolean disable(SignedIn by, long accountId, boolean disabled) {
    ownersTurn(by.clubId());
    Member one = one(by.clubId(), accountId);
    if (disabled && lastOwner(by.clubId(), one)) {
      return false;
    }
    accounts.disable(by.clubId(), accountId, disabled, by);
    return true;
  }

  /** Two owners who switch each other off at the same moment come one after the other. */
  private void ownersTurn(long clubId) {
    jdbc.sql("select id from club where id = :club for no key update").param("club", clubId).query(Long.class).list();
  }

  /** Ends all sign-ins of somebody in this club. */
  @Transactional
  int signOut(SignedIn by, long accountId) {
    Member one = one(by.clubId(), accountId);
    int ended = signIns.endAt(by.clubId(), accountId);
    log.note(Event.SIGN_IN_ENDED, by.clubId(), by.accountId(), "of " + one.name() + ", everywhere");
    return ended;
  }

  /** Takes somebody's second step away, who has lost it. */
  @Transactional
  void forgetSteps(SignedIn by, Member one) {
    steps.forget(one.personId());
    signIns.endAt(by.clubId(), one.id());
    log.note(Event.FACTOR_REMOVED, by.clubId(), by.accountId(), "of " + one.name());
  }

  /** The lifters of a coach; of nobody for null. */
  List<Long> liftersOf(long clubId, @Nullable Long coach) {
    return jdbc.sql("select id from lifter where club_id = :club and coach_id is not distinct from cast(:coach as bigint) order by id")
        .param("club", clubId).param("coach", coach).query(Long.class).list();
  }

  /** Whose lifter somebody is; empty for nobody's. */
  Optional<Long> coachOf(long clubId, long lifterId) {
    return jdbc.sql("select coach_id from lifter where club_id = :club and id = :id").param("club", clubId).param("id", lifterId)
        .query((row, n) -> Optional.ofNullable(row.getObject("coach_id", Long.class))).optional().orElseThrow(NotFound::new);
  }

  /** Hands lifters over; answers how many. */
  @Transactional
  int handOver(SignedIn by, Collection<Long> lifters, @Nullable Long to) {
    if (lifters.isEmpty()) {
      return 0;
    }
    String whose = to == null ? "nobody" : one(by.clubId(), to).name();
    int moved = jdbc.sql("update lifter set coach_id = cast(:to as bigint) where club_id = :club and id in (:lifters) and coach_id is "
        + "distinct from cast(:to as bigint)").param("to", to).param("club", by.clubId()).param("lifters", lifters).update();
    if (moved > 0) {
      log.note(Event.HANDED_OVER, by.clubId(), by.accountId(), moved + (moved == 1 ? " lifter" : " lifters") + " to " + whose);
    }
    return moved;
  }
}
