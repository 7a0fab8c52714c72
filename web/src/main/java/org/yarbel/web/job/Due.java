package org.yarbel.web.job;

import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.club.CurrentClub;

/**
 * Work that is due again and again for one of many, such as looking at a lifter after each set. Whoever causes it appends a row in the
 * transaction of what was done, and never waits; a moment after the last of them one thread of one node takes all rows of one key with
 * a lock that others skip, does the work once for all of them, and deletes them in the same transaction. What fails is tried again
 * later, a few times.
 */
@Service
public class Due {
  private static final Logger LOG = LoggerFactory.getLogger(Due.class);
  private static final int THREADS = 2;
  private static final int MOST_AT_ONCE = 400;
  private static final int MOST_TRIES = 4;
  private static final int MOST_WORDS = 200;
  /** While more comes it is put off, but for no longer. */
  private static final String LONGEST_WAIT = "interval '20 seconds'";

  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final CurrentClub club;
  private final ObjectProvider<DueWork> all;
  private final AtomicInteger running = new AtomicInteger();
  private final ExecutorService threads = Executors.newFixedThreadPool(THREADS, task -> {
    Thread thread = new Thread(task, "due");
    thread.setDaemon(true);
    thread.setPriority(Thread.MIN_PRIORITY);
    return thread;
  });
  private volatile boolean closing;

  Due(JdbcClient jdbc, TransactionTemplate transaction, CurrentClub club, ObjectProvider<DueWork> all) {
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.club = club;
    this.all = all;
  }

  /** Says that something is due, in a moment; with the transaction in force where there is one. */
  public void mark(String kind, String key, DueWork.Cause cause) {
    jdbc.sql("insert into due_work (id, club_id, kind, key, cause, words, who, due_at) values (nextval('yarbel_id'), :club, :kind, :key, "
        + ":cause, :words, :who, now() + interval '2 seconds')").param("club", club.id()).param("kind", kind).param("key", key)
        .param("cause", cause.cause()).param("words", cut(cause.words())).param("who", cause.who()).update();
  }

  private static String cut(String words) {
    return words.substring(0, Math.min(MOST_WORDS, words.length()));
  }

  private record Key(long clubId, String kind, String key) {}

  private record Row(long id, String cause, String words, String who) {}

  /** Sees what is due and does it; every node does. */
  @Scheduled(initialDelay = 4, fixedDelay = 1, timeUnit = TimeUnit.SECONDS)
  public void look() {
    if (!closing && running.compareAndSet(0, THREADS)) {
      for (int i = 0; i < THREADS; i++) {
        threads.execute(this::through);
      }
    }
  }

  private void through() {
    try {
      for (Key key : due()) {
        if (closing) {
          break;
        }
        club.within(key.clubId(), () -> one(key));
      }
    } catch (DataAccessException | CannotCreateTransactionException away) {
      if (!closing) {
        LOG.warn("What is due cannot be asked for; it is tried again: {}", away.getMessage());
      }
    } finally {
      running.decrementAndGet();
    }
  }

  private List<Key> due() {
    return jdbc.sql("select club_id, kind, key from due_work group by club_id, kind, key having max(due_at) <= now() or min(due_at) "
        + "<= now() - "
        + LONGEST_WAIT + " order by min(id) limit " + MOST_AT_ONCE).query(Key.class).list();
  }

  private void one(Key key) {
    try {
      transaction.executeWithoutResult(status -> work(key));
    } catch (RuntimeException wrong) {
      if (!closing) {
        LOG.warn("The work {} for {} failed; it is tried again later", key.kind(), key.key(), wrong);
        later(key);
      }
    }
  }

  private void work(Key key) {
    List<Row> rows = jdbc.sql("select id, cause, words, who from due_work where club_id = :club and kind = :kind and key = :key and "
        + "due_at <= now() order by id for update skip locked").param("club", key.clubId()).param("kind", key.kind())
        .param("key", key.key()).query(Row.class).list();
    Map<String, DueWork> works = all.stream().collect(Collectors.toMap(DueWork::kind, Function.identity()));
    DueWork work = works.get(key.kind());
    if (rows.isEmpty() || work == null) {
      return;
    }
    long newest = rows.get(rows.size() - 1).id();
    List<DueWork.Cause> causes = rows.stream().map(row -> new DueWork.Cause(row.cause(), row.words(), row.who())).toList();
    if (!work.work(key.key(), causes, () -> newer(key, newest))) {
      return;
    }
    jdbc.sql("delete from due_work where club_id = :club and id in (:ids)").param("club", key.clubId())
        .param("ids", rows.stream().map(Row::id).toList()).update();
  }

  private boolean newer(Key key, long newest) {
    return jdbc.sql("select exists(select 1 from due_work where club_id = :club and kind = :kind and key = :key and id > :newest) and not "
        + "exists(select 1 from due_work where club_id = :club and kind = :kind and key = :key and due_at <= now() - " + LONGEST_WAIT + ")")
        .param("club", key.clubId()).param("kind", key.kind()).param("key", key.key()).param("newest", newest).query(Boolean.class)
            .single();
  }

  /** Tried again later; after a few times it waits for the next cause. */
  private void later(Key key) {
    jdbc.sql("update due_work set tries = tries + 1, due_at = now() + (tries + 1) * interval '20 seconds' where club_id = :club and "
        + "kind = :kind and key = :key").param("club", key.clubId()).param("kind", key.kind()).param("key", key.key()).update();
    jdbc.sql("delete from due_work where club_id = :club and kind = :kind and key = :key and tries > :most").param("club", key.clubId())
        .param("kind", key.kind()).param("key", key.key()).param("most", MOST_TRIES).update();
  }

  @PreDestroy
  void close() throws InterruptedException {
    closing = true;
    threads.shutdown();
    threads.awaitTermination(20, TimeUnit.SECONDS);
  }
}
