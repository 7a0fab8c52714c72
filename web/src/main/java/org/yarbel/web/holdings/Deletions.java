package org.yarbel.web.holdings;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.YarbelProperties;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.audit.SecurityLog.Event;
import org.yarbel.web.clip.ClipStore;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/**
 * Somebody wants everything held about them gone. It is asked for, confirmed by who plans, and done so long after; until then it can be
 * undone. What is done is written into a file beside the records, so that a backup of before that is put back loses it again.
 */
@Service
class Deletions {
  /** So long it can be undone. */
  static final Duration UNDONE_WITHIN = Duration.ofDays(14);

  private static final Logger LOG = LoggerFactory.getLogger(Deletions.class);
  private static final int AT_ONCE = 20;
  private static final String INSTEAD = "somebody";

  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final CurrentClub current;
  private final ClipStore clips;
  private final SecurityLog log;
  private final @Nullable Path gone;

  Deletions(JdbcClient jdbc, TransactionTemplate transaction, CurrentClub current, ClipStore clips, SecurityLog log,
      YarbelProperties properties) {
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.current = current;
    this.clips = clips;
    this.log = log;
    this.gone = properties.data() == null ? null : properties.data().resolve("log").resolve("gone");
  }

  /**
   * What is asked for.
   *
   * @param goes when it is done; null until a coach has confirmed it
   */
  record Asked(long lifter, String name, Instant asked, @Nullable Instant goes) {}

  private static final String SELECT = "select d.lifter_id, l.name, d.asked_at, d.goes_at from deletion d join lifter l on l.club_id = "
      + "d.club_id and l.id = d.lifter_id where d.club_id = :club";

  private static List<Asked> asked(JdbcClient.StatementSpec query) {
    return query.query((row, n) -> {
      OffsetDateTime goes = row.getObject("goes_at", OffsetDateTime.class);
      return new Asked(row.getLong("lifter_id"), row.getString("name"), row.getObject("asked_at", OffsetDateTime.class).toInstant(),
          goes == null ? null : goes.toInstant());
    }).list();
  }

  /** Of a lifter; empty where nothing is asked for. */
  Optional<Asked> of(long club, long lifter) {
    return asked(jdbc.sql(SELECT + " and d.lifter_id = :lifter").param("club", club).param("lifter", lifter)).stream().findFirst();
  }

  /** All of a club, what waits for a coach first. */
  List<Asked> of(long club) {
    return asked(jdbc.sql(SELECT + " order by d.goes_at nulls first, d.id").param("club", club));
  }

  /** Asks for it; one who plans confirms it by asking. */
  @Transactional
  void ask(SignedIn who, long lifter) {
    String name = name(who.clubId(), lifter);
    int asked = jdbc.sql("insert into deletion (id, club_id, lifter_id, asked_by, asked_at) values (nextval('yarbel_id'), :club, :lifter, "
        + ":by, now()) on conflict (club_id, lifter_id) do nothing").param("club", who.clubId()).param("lifter", lifter)
        .param("by", who.accountId()).update();
    if (asked > 0) {
      log.note(Event.DELETION_ASKED, who.clubId(), who.accountId(), "of " + name);
    }
    if (who.plans()) {
      confirm(who, lifter);
    }
  }

  /** Confirms it: from then on the time runs. */
  @Transactional
  void confirm(SignedIn who, long lifter) {
    int confirmed = jdbc.sql("update deletion set confirmed_by = :by, goes_at = now() + :days * interval '1 day' where club_id = :club and "
        + "lifter_id = :lifter and goes_at is null").param("by", who.accountId()).param("days", UNDONE_WITHIN.toDays())
        .param("club", who.clubId()).param("lifter", lifter).update();
    if (confirmed > 0) {
      log.note(Event.DELETION_CONFIRMED, who.clubId(), who.accountId(), "of " + name(who.clubId(), lifter));
    }
  }

  /** Takes it back; false when there was nothing to take back. */
  @Transactional
  boolean undo(SignedIn who, long lifter) {
    boolean undone = jdbc.sql("delete from deletion where club_id = :club and lifter_id = :lifter").param("club", who.clubId())
        .param("lifter", lifter).update() > 0;
    if (undone) {
      log.note(Event.DELETION_UNDONE, who.clubId(), who.accountId(), "of " + name(who.clubId(), lifter));
    }
    return undone;
  }

  private String name(long club, long lifter) {
    return jdbc.sql("select name from lifter where club_id = :club and id = :lifter").param("club", club).param("lifter", lifter)
        .query(String.class).optional().orElseThrow(NotFound::new);
  }

  private record Due(long clubId, long lifterId) {}

  /** Does what is due, and does again what a backup has brought back; any node does. */
  @Scheduled(initialDelay = 1, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  void due() {
    try {
      List<Due> due = new ArrayList<>(jdbc.sql("select club_id, lifter_id from deletion where goes_at <= now() order by goes_at limit "
          + AT_ONCE).query(Due.class).list());
      due.addAll(broughtBack());
      due.forEach(one -> current.within(one.clubId(), () -> forget(one.clubId(), one.lifterId())));
    } catch (DataAccessException away) {
      LOG.warn("What is to be deleted cannot be asked for; it is tried again: {}", away.getMessage());
    }
  }

  /** Lifters that were deleted and are there again. */
  private List<Due> broughtBack() {
    if (gone == null || !Files.isRegularFile(gone)) {
      return List.of();
    }
    try {
      List<UUID> refs = Files.readAllLines(gone).stream().map(Deletions::ref).flatMap(Optional::stream).toList();
      return refs.isEmpty() ? List.of() : jdbc.sql("select club_id, id as lifter_id from lifter where ref in (:refs)").param("refs", refs)
          .query(Due.class).list();
    } catch (IOException wrong) {
      LOG.error("The list of what was deleted cannot be read: {}", wrong.getMessage());
      return List.of();
    }
  }

  private static Optional<UUID> ref(String line) {
    try {
      return Optional.of(UUID.fromString(line.strip()));
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }

  private record Whom(String name, UUID ref, @Nullable Long person) {}

  /** Deletes a lifter from every table and folder of a club; what others did stays. */
  void forget(long club, long lifter) {
    List<String> films = new ArrayList<>();
    transaction.executeWithoutResult(status -> {
      Optional<Whom> whom = jdbc.sql("select l.name, l.ref, (select person_id from account a where a.club_id = l.club_id and a.lifter_id = "
          + "l.id) as person from lifter l where l.club_id = :club and l.id = :lifter for update").param("club", club)
          .param("lifter", lifter).query(Whom.class).optional();
      if (whom.isEmpty()) {
        return;
      }
      films.addAll(jdbc.sql("select distinct sha256 from clip c where club_id = :club and lifter_id = :lifter and not exists (select "
          + "1 from "
          + "clip o where o.club_id = :club and o.sha256 = c.sha256 and o.lifter_id <> :lifter)").param("club", club)
              .param("lifter", lifter)
          .query(String.class).list());
      words(club, lifter, whom.get());
      List<Tables.Table> tables = new ArrayList<>(Tables.STAYING);
      List<Tables.Table> carried = new ArrayList<>(Tables.ALL);
      Collections.reverse(carried);
      tables.addAll(carried);
      tables.stream().filter(table -> !table.ofLifter().isEmpty()).forEach(table -> jdbc.sql("delete from " + table.name()
          + " where club_id = :club and " + table.ofLifter()).param("club", club).param("lifter", lifter).update());
      Long person = whom.get().person();
      if (person != null) {
        jdbc.sql("delete from user_entities where name = 'person-' || :person and not exists (select 1 from account where person_id = "
            + ":person)").param("person", person).update();
        jdbc.sql("delete from person where id = :person and not exists (select 1 from account where person_id = :person)")
            .param("person", person).update();
      }
      log.note(Event.DELETED, club, 0, "all that was held about a lifter");
      write(whom.get().ref());
    });
    films.forEach(film -> clips.drop(club, film));
  }

  /** Their name and address, where they stand in words about others or in what was sent. */
  private void words(long club, long lifter, Whom whom) {
    String email = whom.person() == null ? "" : jdbc.sql("select email from person where id = :person").param("person", whom.person())
        .query(String.class).single();
    jdbc.sql("delete from letter where club_id = :club and (recipient = :email and :email <> '' or position(:name in body) > 0)")
        .param("club", club).param("email", email).param("name", whom.name()).update();
    jdbc.sql("delete from entry_link where club_id = :club and (name = :name or email = :email and :email <> '')").param("club", club)
        .param("name", whom.name()).param("email", email).update();
    for (String word : email.isEmpty() ? List.of(whom.name()) : List.of(whom.name(), email)) {
      for (String column : List.of("happened.words", "happened.who", "job_item.name", "job_item.said", "job.title", "due_work.words",
          "due_work.who", "logged_set.opinion_by", "load_move.who", "load_move.words", "change.words")) {
        String[] place = column.split("\\.");
        jdbc.sql("update " + place[0] + " set " + place[1] + " = replace(" + place[1]
            + ", :word, :instead) where club_id = :club and position("
            + ":word in " + place[1] + ") > 0").param("word", word).param("instead", INSTEAD).param("club", club).update();
      }
    }
    jdbc.sql("delete from due_work where club_id = :club and key = :key").param("club", club).param("key", Long.toString(lifter)).update();
  }

  private void write(UUID ref) {
    if (gone != null) {
      try {
        Files.createDirectories(gone.getParent());
        Files.writeString(gone, ref + "\n", StandardCharsets.UTF_8, StandardOpenOption.CREATE, StandardOpenOption.APPEND,
            StandardOpenOption.SYNC);
      } catch (IOException wrong) {
        throw new UncheckedIOException(wrong);
      }
    }
  }
}
