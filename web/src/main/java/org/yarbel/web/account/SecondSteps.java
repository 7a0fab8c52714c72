package org.yarbel.web.account;

import java.security.SecureRandom;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Stream;
import org.apache.commons.codec.binary.Base32;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.edge.Secrets;
import org.yarbel.web.who.SignedIn;

/**
 * What is asked for beside the password: a code from a phone, a passkey, or one of {@value #CODES} recovery codes, each good once. They
 * are a person's, in all their clubs. Codes are told by the real clock.
 */
@Service
public class SecondSteps {
  private static final int CODES = 10;
  /** Twelve letters of Base32: 60 bits. */
  private static final int CODE_LETTERS = 12;
  private static final int CODE_PART = 4;
  private static final SecureRandom RANDOM = new SecureRandom();

  private final JdbcClient jdbc;
  private final SecurityLog log;

  SecondSteps(JdbcClient jdbc, SecurityLog log) {
    this.jdbc = jdbc;
    this.log = log;
  }

  /**
   * What a person has.
   *
   * @param codes whether a phone's codes are asked for
   * @param passkeys how many
   * @param recovery how many recovery codes are left
   */
  public record Has(boolean codes, int passkeys, int recovery) {
    /** Whether there is any. */
    public boolean any() {
      return codes || passkeys > 0;
    }
  }

  /** What a person has. */
  public Has of(long personId) {
    return jdbc.sql("select code_secret is not null as codes, (select count(*) from user_credentials c join user_entities u on u.id = "
        + "c.user_entity_user_id where u.name = :name) as passkeys, (select count(*) from recovery_code r where r.person_id = p.id and "
        + "r.used_at is null) as recovery from person p where p.id = :id").param("name", Passkeys.name(personId)).param("id", personId)
        .query(Has.class).optional().orElse(new Has(false, 0, 0));
  }

  /** Whether a person has any. */
  public boolean has(long personId) {
    return of(personId).any();
  }

  /** The secret a phone is to take, before its first code proves that it did; the same until then. */
  @Transactional
  String waiting(long personId) {
    jdbc.sql("update person set code_waiting = :secret where id = :id and code_waiting is null").param("secret", OneTimeCode.secret())
        .param("id", personId).update();
    return jdbc.sql("select code_waiting from person where id = :id").param("id", personId).query(String.class).single();
  }

  /** Takes the first code of a phone: from then on they are asked for. Whether it was right. */
  @Transactional
  boolean prove(SignedIn who, String code) {
    String secret = jdbc.sql("select code_waiting from person where id = :id for update").param("id", who.personId()).query(String.class)
        .optional().orElse(null);
    OptionalLong step = secret == null ? OptionalLong.empty() : OneTimeCode.stepOf(secret, code, Instant.now(), 0);
    if (step.isEmpty()) {
      return false;
    }
    jdbc.sql("update person set code_secret = code_waiting, code_waiting = null, code_step = :step where id = :id")
        .param("step", step.getAsLong()).param("id", who.personId()).update();
    log.note(Event.FACTOR_ADDED, who.clubId(), who.accountId(), "codes from a phone");
    return true;
  }

  /** New recovery codes in place of those before; they are shown this once. */
  @Transactional
  List<String> recovery(SignedIn who) {
    jdbc.sql("delete from recovery_code where person_id = :id").param("id", who.personId()).update();
    List<String> codes = Stream.generate(SecondSteps::code).limit(CODES).toList();
    codes.forEach(code -> jdbc.sql("insert into recovery_code (person_id, code_hash) values (:id, :hash)").param("id", who.personId())
        .param("hash", Secrets.fingerprint(plain(code))).update());
    log.note(Event.FACTOR_ADDED, who.clubId(), who.accountId(), "recovery codes");
    return codes;
  }

  private static String code() {
    byte[] bytes = new byte[CODE_LETTERS];
    RANDOM.nextBytes(bytes);
    String letters = new Base32().encodeToString(bytes).substring(0, CODE_LETTERS).toLowerCase(Locale.ROOT);
    return letters.replaceAll("(.{" + CODE_PART + "})(?=.)", "$1-");
  }

  private static String plain(String code) {
    return code.toLowerCase(Locale.ROOT).replaceAll("[\\s-]", "");
  }

  /** Whether what was typed lets a person in: a code of the phone that was not used yet, or a recovery code, which is used up by it. */
  @Transactional
  boolean passes(long personId, String typed) {
    return phones(personId, typed) || jdbc.sql("update recovery_code set used_at = now() where person_id = :id and code_hash = :hash and "
        + "used_at is null").param("id", personId).param("hash", Secrets.fingerprint(plain(typed))).update() > 0;
  }

  private boolean phones(long personId, String typed) {
    record CodeRow(@Nullable String secret, long step) {}
    Optional<CodeRow> row = jdbc.sql("select code_secret as secret, code_step as step from person where id = :id for update")
        .param("id", personId).query(CodeRow.class).optional();
    String secret = row.map(CodeRow::secret).orElse(null);
    OptionalLong step = secret == null ? OptionalLong.empty() : OneTimeCode.stepOf(secret, typed, Instant.now(), row.orElseThrow().step());
    step.ifPresent(used -> jdbc.sql("update person set code_step = :step where id = :id").param("step", used).param("id", personId)
        .update());
    return step.isPresent();
  }

  /** A passkey of somebody's own. */
  record Passkey(String id, String label, java.time.@Nullable LocalDateTime created) {}

  /** Somebody's passkeys, the oldest first. */
  List<Passkey> passkeys(long personId) {
    return jdbc.sql("select c.credential_id as id, c.label, c.created from user_credentials c join user_entities u on u.id = "
        + "c.user_entity_user_id where u.name = :name order by c.created, c.credential_id").param("name", Passkeys.name(personId))
        .query(Passkey.class).list();
  }

  /** Takes a passkey of one's own away; whether there was one. */
  @Transactional
  boolean removePasskey(SignedIn who, String id) {
    boolean gone = jdbc.sql("delete from user_credentials c using user_entities u where u.id = c.user_entity_user_id and u.name = :name "
        + "and c.credential_id = :id").param("name", Passkeys.name(who.personId())).param("id", id).update() > 0;
    if (gone) {
      log.note(Event.FACTOR_REMOVED, who.clubId(), who.accountId(), "a passkey, by themselves");
    }
    return gone;
  }

  /** Asks for a phone's codes no more. */
  @Transactional
  void removeCodes(SignedIn who) {
    jdbc.sql("update person set code_secret = null, code_waiting = null where id = :id").param("id", who.personId()).update();
    dropNeedlessRecovery(who.personId());
    log.note(Event.FACTOR_REMOVED, who.clubId(), who.accountId(), "codes from a phone, by themselves");
  }

  private void dropNeedlessRecovery(long personId) {
    if (!has(personId)) {
      jdbc.sql("delete from recovery_code where person_id = :id").param("id", personId).update();
    }
  }

  /** Takes all of it away, for whoever has lost it. */
  @Transactional
  public void forget(long personId) {
    jdbc.sql("update person set code_secret = null, code_waiting = null where id = :id").param("id", personId).update();
    jdbc.sql("delete from user_entities where name = :name").param("name", Passkeys.name(personId)).update();
    jdbc.sql("delete from recovery_code where person_id = :id").param("id", personId).update();
  }
}
