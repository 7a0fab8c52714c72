package org.yarbel.web.account;

import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.ClubCache;
import org.yarbel.web.club.OwnLifters;
import org.yarbel.web.edge.Secrets;
import org.yarbel.web.who.Role;
import org.yarbel.web.who.SignedIn;

/**
 * Who is signed in where. A session names the row of its sign-in, and every request asks whether that row and the account
 * behind it still stand: a coach who is one no longer, a disabled account or a device that was signed out from elsewhere ends
 * there and then.
 */
@Service
public class SignIns {
  /** A coach's session ends after so long without a request. */
  static final Duration IDLE_OF_A_COACH = Duration.ofHours(12);
  /** A lifter's phone lies in a bag for weeks. */
  static final Duration IDLE_OF_A_LIFTER = Duration.ofDays(30);
  /** After so long everybody signs in again. */
  static final Duration LONGEST = Duration.ofDays(90);

  /** A device that has not signed in for so long is a stranger again. */
  static final Duration DEVICE_KEPT = Duration.ofDays(365);

  private static final Duration SEEN_AGAIN = Duration.ofMinutes(5);
  private static final int MOST_DEVICES = 20;

  private final JdbcClient jdbc;
  private final ClubCache cache;
  private final OwnLifters own;

  SignIns(JdbcClient jdbc, ClubCache cache, OwnLifters own) {
    this.own = own;
    this.jdbc = jdbc;
    this.cache = cache;
  }

  /**
   * A device somebody is signed in on.
   *
   * @param browser such as {@code Firefox on Android}
   * @param here whether it is the one that asks
   */
  public record Device(long id, String browser, String address, Instant begun, Instant seen, boolean here) {}

  /** Begins one; answers its id. Those over the most end, the one unused for longest first. */
  @Transactional
  long begin(SignedIn who, String browser, String address) {
    long id = jdbc.sql("insert into sign_in (id, club_id, account_id, begun, seen, browser, address) "
        + "values (nextval('yarbel_id'), :club, :account, now(), now(), :browser, :address) returning id")
        .param("club", who.clubId()).param("account", who.accountId()).param("browser", browser).param("address", address)
        .query(Long.class).single();
    jdbc.sql("delete from sign_in where club_id = :club and account_id = :account and id not in (select id from sign_in "
        + "where club_id = :club and account_id = :account order by seen desc, id desc limit " + MOST_DEVICES + ")")
        .param("club", who.clubId()).param("account", who.accountId()).update();
    return id;
  }

  /** The same sign-in goes on in another club of the same person. */
  @Transactional
  void move(SignedIn from, long id, SignedIn to) {
    jdbc.sql("update sign_in set club_id = :to, account_id = :as where club_id = :club and account_id = :account and id = :id")
        .param("to", to.clubId()).param("as", to.accountId()).param("club", from.clubId()).param("account", from.accountId())
        .param("id", id).update();
  }

  /** Whether a sign-in and the account behind it stand as they stood when it began. */
  boolean stands(SignedIn who, long id) {
    record SignInRow(long personId, String role, @Nullable Long lifterId, boolean disabled, OffsetDateTime begun, OffsetDateTime seen,
        long revision, boolean any, boolean allLifters) {}
    Optional<SignInRow> row = jdbc.sql("select a.person_id, a.role, a.lifter_id, a.disabled, s.begun, s.seen, c.revision, a.all_lifters, "
        + "exists (select 1 from lifter l where l.club_id = a.club_id and l.coach_id = a.id) as any from sign_in s "
        + "join account a on a.club_id = s.club_id and a.id = s.account_id join club c on c.id = s.club_id where s.club_id = "
        + ":club and s.id = :id and s.account_id = :account")
        .param("club", who.clubId()).param("id", id).param("account", who.accountId()).query(SignInRow.class).optional();
    row.ifPresent(r -> {
      cache.seen(who.clubId(), r.revision());
      own.seen(new OwnLifters.Seen(who.accountId(), r.any(), r.allLifters()));
    });
    Instant now = Instant.now();
    boolean stands = row.filter(r -> !r.disabled() && r.personId() == who.personId() && Role.valueOf(r.role()) == who.role()
        && Objects.equals(r.lifterId(), who.lifterId()) && r.begun().toInstant().plus(LONGEST).isAfter(now)).isPresent();
    if (stands && row.orElseThrow().seen().toInstant().plus(SEEN_AGAIN).isBefore(now)) {
      jdbc.sql("update sign_in set seen = now() where club_id = :club and id = :id").param("club", who.clubId()).param("id", id).update();
    }
    return stands;
  }

  /** Where somebody is signed in, in whatever club, the newest first. */
  List<Device> of(SignedIn who, long here) {
    return jdbc.sql("select s.id, s.browser, s.address, s.begun, s.seen from sign_in s join account a on a.club_id = s.club_id and a.id = "
        + "s.account_id where a.person_id = :person and s.begun > :since and s.seen > case when a.role = 'LIFTER' then :lifters else "
        + ":staffs end order by s.seen desc, s.id desc").param("person", who.personId())
        .param("since", before(LONGEST)).param("lifters", before(IDLE_OF_A_LIFTER)).param("staffs", before(IDLE_OF_A_COACH))
        .query((row, n) -> new Device(row.getLong("id"), row.getString("browser"), row.getString("address"),
            row.getObject("begun", OffsetDateTime.class).toInstant(), row.getObject("seen", OffsetDateTime.class).toInstant(),
            row.getLong("id") == here)).list();
  }

  /** Where an account of a club is signed in, the newest first. */
  public List<Device> at(long clubId, long accountId) {
    return jdbc.sql("select id, browser, address, begun, seen from sign_in where club_id = :club and account_id = :account order by seen "
        + "desc, id desc").param("club", clubId).param("account", accountId).query((row, n) -> new Device(row.getLong("id"),
            row.getString("browser"), row.getString("address"), row.getObject("begun", OffsetDateTime.class).toInstant(),
            row.getObject("seen", OffsetDateTime.class).toInstant(), false)).list();
  }

  private static OffsetDateTime before(Duration time) {
    return Instant.now().minus(time).atOffset(ZoneOffset.UTC);
  }

  /** Takes out what has ended by itself, and devices nobody has used for long; by every node, since what one has taken out is gone. */
  @Scheduled(initialDelay = 2, fixedDelay = 30, timeUnit = TimeUnit.MINUTES)
  void clear() {
    jdbc.sql("delete from sign_in where begun <= :since or seen <= :idle").param("since", before(LONGEST))
        .param("idle", before(IDLE_OF_A_LIFTER)).update();
    jdbc.sql("delete from known_device where seen <= :since").param("since", before(DEVICE_KEPT)).update();
  }

  /** Ends one of somebody's own. */
  boolean end(SignedIn who, long id) {
    return jdbc.sql("delete from sign_in s using account a where a.club_id = s.club_id and a.id = s.account_id and a.person_id = :person "
        + "and s.id = :id").param("person", who.personId()).param("id", id).update() > 0;
  }

  /** Ends all of a person but one. */
  void endOthers(long personId, long kept) {
    jdbc.sql("delete from sign_in s using account a where a.club_id = s.club_id and a.id = s.account_id and a.person_id = :person and "
        + "s.id <> :kept").param("person", personId).param("kept", kept).update();
  }

  /** Ends all of an account; answers how many. */
  public int endAt(long clubId, long accountId) {
    return jdbc.sql("delete from sign_in where club_id = :club and account_id = :account").param("club", clubId)
        .param("account", accountId).update();
  }

  /** Whether what a device carries shows that it has signed in to that address before. */
  boolean known(String email, String token) {
    return !token.isEmpty() && jdbc.sql("select exists (select 1 from known_device d join account a on a.club_id = d.club_id "
        + "and a.id = d.account_id join person p on p.id = a.person_id where p.email = :email and d.token_hash = :hash)")
            .param("email", Accounts.key(email)).param("hash", Secrets.fingerprint(token))
        .query(Boolean.class).single();
  }

  /** Remembers a device somebody has signed in on. */
  @Transactional
  void remember(SignedIn who, String token) {
    jdbc.sql("insert into known_device (club_id, account_id, token_hash, seen) values (:club, :account, :hash, now()) "
        + "on conflict (club_id, account_id, token_hash) do update set seen = now()").param("club", who.clubId())
        .param("account", who.accountId()).param("hash", Secrets.fingerprint(token)).update();
    jdbc.sql("delete from known_device where club_id = :club and account_id = :account and token_hash not in (select token_hash "
        + "from known_device "
        + "where club_id = :club and account_id = :account order by seen desc limit " + MOST_DEVICES + ")").param("club", who.clubId())
        .param("account", who.accountId()).update();
  }

  /** What a browser calls itself, in the words a person would use: {@code Chrome on Android}. */
  static String browser(@Nullable String agent) {
    String told = agent == null ? "" : agent;
    return first(told, BROWSERS, "A browser") + first(told, SYSTEMS, "");
  }

  private static final Map<String, String> BROWSERS = ordered("Edg/", "Edge", "OPR/", "Opera", "Firefox/", "Firefox", "Chrome/", "Chrome",
      "Chromium/", "Chromium", "Safari/", "Safari");
  private static final Map<String, String> SYSTEMS = ordered("Android", " on Android", "iPhone", " on an iPhone", "iPad", " on an iPad",
      "Windows", " on Windows", "Mac OS X", " on a Mac", "Linux", " on Linux");

  private static Map<String, String> ordered(String... pairs) {
    Map<String, String> map = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      map.put(pairs[i], pairs[i + 1]);
    }
    return map;
  }

  private static String first(String told, Map<String, String> known, String otherwise) {
    return known.entrySet().stream().filter(one -> told.contains(one.getKey())).map(Map.Entry::getValue).findFirst().orElse(otherwise);
  }
}
