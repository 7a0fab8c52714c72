package org.yarbel.web.people;

import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.edge.Address;
import org.yarbel.web.edge.Secrets;
import org.yarbel.web.who.Role;

/**
 * Links that let somebody in, once. What is kept of a link is its hash; whoever opens one is nobody yet, so this speaks SQL and names the
 * club itself. A new link for the same lifter or person takes back those before.
 */
@Service
class EntryLinks {
  /** How long an invitation counts. */
  static final Duration INVITATION = Duration.ofDays(7);
  /** How long a link for a password counts that a coach hands over. */
  static final Duration PASSWORD = Duration.ofDays(1);
  /** How long one counts that goes by mail. */
  static final Duration BY_MAIL = Duration.ofHours(1);

  static final int MOST_OPEN = 300;
  private static final Pattern TOKEN = Pattern.compile("[\\w-]{43}");
  private static final String OPEN = "used_at is null and revoked_at is null and expires_at > now()";

  private final JdbcClient jdbc;
  private final Address address;

  EntryLinks(JdbcClient jdbc, Address address) {
    this.jdbc = jdbc;
    this.address = address;
  }

  /** What a link is for. */
  enum Kind {
    INVITATION,
    PASSWORD
  }

  /** What became of a link. */
  enum State {
    OPEN,
    USED,
    LATE,
    TAKEN_BACK
  }

  /**
   * A link as it stands.
   *
   * @param role what an invitation makes somebody
   * @param personId whose password a link is for
   * @param madeBy the account that made it, 0 for the machine
   */
  record Link(long id, long clubId, String club, Kind kind, @Nullable Role role, @Nullable Long lifterId, @Nullable Long personId,
      String name, String email, long madeBy, Instant expires, State state) {}

  /** What an invitation is to be. */
  record Invited(Role role, @Nullable Long lifterId, String name, String email) {}

  /** Whether a club has as many open invitations as it can. */
  boolean full(long clubId) {
    return open(clubId).size() >= MOST_OPEN;
  }

  /** Makes an invitation; answers the token, which is nowhere kept. */
  @Transactional
  String invite(long clubId, Invited whom, long by) {
    if (whom.lifterId() != null) {
      jdbc.sql("update entry_link set revoked_at = now() where club_id = :club and lifter_id = :lifter and " + OPEN).param("club", clubId)
          .param("lifter", whom.lifterId()).update();
    }
    String token = Secrets.make();
    jdbc.sql("insert into entry_link (id, club_id, token_hash, kind, role, lifter_id, name, email, made_by, made_at, expires_at) values "
        + "(nextval('yarbel_id'), :club, :hash, 'INVITATION', :role, :lifter, :name, :email, :by, now(), :until)").param("club", clubId)
        .param("hash", Secrets.fingerprint(token)).param("role", whom.role().name()).param("lifter", whom.lifterId())
        .param("name", whom.name()).param("email", whom.email()).param("by", by).param("until", from(INVITATION)).update();
    return token;
  }

  /** Makes a link for another password of a person; answers the token. */
  @Transactional
  String forPassword(long clubId, long personId, long by, Duration counts) {
    jdbc.sql("update entry_link set revoked_at = now() where person_id = :person and " + OPEN).param("person", personId).update();
    String token = Secrets.make();
    jdbc.sql("insert into entry_link (id, club_id, token_hash, kind, person_id, made_by, made_at, expires_at) values "
        + "(nextval('yarbel_id'), :club, :hash, 'PASSWORD', :person, :by, now(), :until)").param("club", clubId)
        .param("hash", Secrets.fingerprint(token)).param("person", personId).param("by", by).param("until", from(counts)).update();
    return token;
  }

  private static OffsetDateTime from(Duration counts) {
    return Instant.now().plus(counts).atOffset(ZoneOffset.UTC);
  }

  /** The address of an invitation. */
  String join(String token) {
    return address.base() + "/join/" + token;
  }

  /** The address where another password is chosen. */
  String password(String token) {
    return address.base() + "/password/" + token;
  }

  private static final String SELECT = "select l.id, l.club_id, c.name as club, l.kind, l.role, l.lifter_id, l.person_id, l.name, l.email, "
      + "l.made_by, l.expires_at, l.used_at, l.revoked_at from entry_link l join club c on c.id = l.club_id where ";

  private List<Link> links(JdbcClient.StatementSpec asked) {
    return asked.query((row, n) -> {
      String role = row.getString("role");
      Instant expires = row.getObject("expires_at", OffsetDateTime.class).toInstant();
      return new Link(row.getLong("id"), row.getLong("club_id"), row.getString("club"), Kind.valueOf(row.getString("kind")),
          role == null ? null : Role.valueOf(role), row.getObject("lifter_id", Long.class), row.getObject("person_id", Long.class),
          row.getString("name"), row.getString("email"), row.getLong("made_by"), expires,
          state(row.getObject("used_at") != null, row.getObject("revoked_at") != null, expires));
    }).list();
  }

  private static State state(boolean used, boolean revoked, Instant expires) {
    if (used) {
      return State.USED;
    }
    if (revoked) {
      return State.TAKEN_BACK;
    }
    return expires.isAfter(Instant.now()) ? State.OPEN : State.LATE;
  }

  /** The link of a token, in whatever state; empty when there never was one. */
  Optional<Link> of(String token, Kind kind) {
    return TOKEN.matcher(token).matches() ? links(jdbc.sql(SELECT + "l.token_hash = :hash and l.kind = :kind")
        .param("hash", Secrets.fingerprint(token)).param("kind", kind.name())).stream().findFirst() : Optional.empty();
  }

  /** Invitations of a club nobody has taken up yet, the newest first. */
  List<Link> open(long clubId) {
    return links(jdbc.sql(SELECT + "l.club_id = :club and l.kind = 'INVITATION' and l.used_at is null and l.revoked_at is null and "
        + "l.expires_at > now() order by l.id desc limit " + MOST_OPEN).param("club", clubId));
  }

  /** Uses a link up; false when somebody was first. */
  boolean use(Link link) {
    return jdbc.sql("update entry_link set used_at = now() where club_id = :club and id = :id and " + OPEN).param("club", link.clubId())
        .param("id", link.id()).update() > 0;
  }

  /** Takes an invitation back; false when there was none to take back. */
  boolean revoke(long clubId, long id) {
    return jdbc.sql("update entry_link set revoked_at = now() where club_id = :club and id = :id and used_at is null and revoked_at "
        + "is null")
        .param("club", clubId).param("id", id).update() > 0;
  }
}
