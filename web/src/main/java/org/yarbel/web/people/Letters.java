package org.yarbel.web.people;

import jakarta.mail.internet.MimeMessage;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mail.MailException;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.MimeMessageHelper;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Letters. Where a server for mail is named they go by it, a moment later and again when it does not answer; where none is, owners find
 * them in the outbox and hand them over themselves. A letter that went keeps no text: there was a link in it.
 */
@Service
class Letters {
  private static final Logger LOG = LoggerFactory.getLogger(Letters.class);
  private static final int AT_ONCE = 10;
  private static final int MOST_TRIES = 8;
  private static final int KEPT_DAYS = 14;
  private static final int MOST_SHOWN = 100;
  private static final int MOST_WORDS = 200;

  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final @Nullable JavaMailSender server;
  private final String from;

  Letters(JdbcClient jdbc, TransactionTemplate transaction, ObjectProvider<JavaMailSender> server,
      @Value("${yarbel.mail-from:yarbel@localhost}") String from) {
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.server = server.getIfAvailable();
    this.from = from;
  }

  /** Whether a server for mail is named. */
  boolean byMail() {
    return server != null;
  }

  /** A letter to be. */
  record Letter(String recipient, String subject, String body) {}

  /** Writes one, with the transaction in force. */
  @Transactional
  void write(long clubId, Letter letter) {
    jdbc.sql("insert into letter (id, club_id, recipient, subject, body, made_at, goes_at) values (nextval('yarbel_id'), :club, :to, "
        + ":subject, :body, now(), now())").param("club", clubId).param("to", letter.recipient()).param("subject", letter.subject())
        .param("body", letter.body()).update();
  }

  /** How many went to an address within the last hour, from whatever club. */
  int lately(String recipient) {
    return jdbc.sql("select count(*) from letter where recipient = :to and made_at > now() - interval '1 hour'").param("to", recipient)
        .query(Integer.class).single();
  }

  /**
   * A letter as owners see it.
   *
   * @param body empty once it went, and where a server takes them: it is for its recipient alone
   */
  record Shown(String recipient, String subject, String body, Instant made, @Nullable Instant sent, String failed) {}

  /** The letters of a club, the newest first. */
  List<Shown> of(long clubId) {
    return jdbc.sql("select recipient, subject, body, made_at, sent_at, failed from letter where club_id = :club order by made_at desc, "
        + "id desc limit " + MOST_SHOWN).param("club", clubId).query((row, n) -> {
          OffsetDateTime sent = row.getObject("sent_at", OffsetDateTime.class);
          return new Shown(row.getString("recipient"), row.getString("subject"), byMail() ? "" : row.getString("body"),
              row.getObject("made_at", OffsetDateTime.class).toInstant(), sent == null ? null : sent.toInstant(), row.getString("failed"));
        }).list();
  }

  private record Waiting(long id, long clubId, String recipient, String subject, String body, int tries) {}

  /** Sends what waits; any node does. */
  @Scheduled(initialDelay = 5, fixedDelay = 5, timeUnit = TimeUnit.SECONDS)
  void send() {
    if (server == null) {
      return;
    }
    try {
      transaction.executeWithoutResult(status -> jdbc.sql("select id, club_id, recipient, subject, body, tries from letter where sent_at "
          + "is null and goes_at <= now() and tries < " + MOST_TRIES + " order by goes_at limit " + AT_ONCE + " for update skip locked")
          .query(Waiting.class).list().forEach(this::one));
    } catch (DataAccessException | CannotCreateTransactionException away) {
      LOG.warn("Letters cannot be asked for; they wait: {}", away.getMessage());
    }
  }

  private void one(Waiting letter) {
    try {
      MimeMessage message = java.util.Objects.requireNonNull(server).createMimeMessage();
      MimeMessageHelper helper = new MimeMessageHelper(message, "UTF-8");
      helper.setFrom(from);
      helper.setTo(letter.recipient());
      helper.setSubject(letter.subject());
      helper.setText(letter.body());
      server.send(message);
      jdbc.sql("update letter set sent_at = now(), body = '', failed = '' where club_id = :club and id = :id")
          .param("club", letter.clubId()).param("id", letter.id()).update();
    } catch (MailException | jakarta.mail.MessagingException wrong) {
      String why = String.valueOf(wrong.getMessage()).replaceAll("\\s+", " ");
      LOG.warn("A letter of club {} did not go: {}", letter.clubId(), why);
      jdbc.sql("update letter set tries = tries + 1, goes_at = now() + power(2, tries) * interval '30 seconds', failed = :why where "
          + "club_id "
          + "= :club and id = :id").param("why", why.substring(0, Math.min(MOST_WORDS, why.length()))).param("club", letter.clubId())
          .param("id", letter.id()).update();
    }
  }

  /** Takes out what is old: the links in them count no more. */
  @Scheduled(initialDelay = 3, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  void clear() {
    jdbc.sql("delete from letter where made_at < now() - " + KEPT_DAYS + " * interval '1 day'").update();
  }
}
