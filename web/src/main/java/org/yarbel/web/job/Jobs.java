package org.yarbel.web.job;

import jakarta.annotation.PreDestroy;
import jakarta.persistence.EntityManager;
import jakarta.persistence.FlushModeType;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.mass.Count;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.edge.Transient;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/**
 * Starts long work and does it in the background. Each of those it is for is a row that is marked done in the transaction that does
 * it, so that a process that dies has done one wholly or not at all, and whichever node looks next goes on with the rest. Rows are taken
 * with a lock that others skip: several threads and several nodes share the work.
 */
@Service
public class Jobs {
  private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
  private static final int THREADS = 2;
  private static final int SHOWN_FAILURES = 20;
  private static final int MOST_SAID = 600;
  private static final int MOST_TRIES = 2;
  private static final int MOST_AT_ONCE = 20;
  private static final String OURS = "It failed on our side and is noted in the log: try it there.";
  private static final String NO_ROOM = "There is no room left on the disk of the machine Yarbel runs on. Make some, and try it there.";

  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final CurrentClub club;
  private final Accounts accounts;
  private final EntityManager entities;
  private final Map<String, JobWork> works;
  private final ExecutorService threads = Executors.newFixedThreadPool(THREADS, task -> {
    Thread thread = new Thread(task, "job");
    thread.setDaemon(true);
    return thread;
  });
  private final Map<Long, AtomicInteger> running = new ConcurrentHashMap<>();
  private volatile boolean closing;

  Jobs(JdbcClient jdbc, TransactionTemplate transaction, CurrentClub club, Accounts accounts, EntityManager entities, List<JobWork> works) {
    this.entities = entities;
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.club = club;
    this.accounts = accounts;
    this.works = works.stream().collect(Collectors.toMap(JobWork::kind, Function.identity()));
  }

  private record Open(long clubId, long id, String kind, String document, long accountId) {}

  /** One of those a job is for: the key its work knows it by, and the name people do. */
  public record Item(String key, String name) {}

  /** One for whom it could not be done, why, and where to try. */
  public record Failure(String name, String said, JobWork.@Nullable Screen screen) {}

  /**
   * How far a job is.
   *
   * @param noun what each of those it is for is
   * @param seconds since it was begun, up to its end
   */
  public record Progress(long id, String title, String noun, int all, int done, int failed, boolean ended, long seconds,
      List<Failure> failures) {
    /** How many were left, in words. */
    public String left() {
      return Count.of(failed, noun) + (failed == 1 ? " was" : " were");
    }

    /** How much of it is done, 0 to 100. */
    public int percent() {
      return all == 0 ? 100 : 100 * (done + failed) / all;
    }
  }

  /** Starts a job; it runs once the transaction in force is through. */
  public long start(String kind, String title, String document, Collection<Item> items, SignedIn who) {
    if (!works.containsKey(kind)) {
      throw new IllegalArgumentException("There is no work of the kind " + kind);
    }
    Long id = transaction.execute(status -> {
      long job = jdbc.sql("select nextval('yarbel_id')").query(Long.class).single();
      jdbc.sql("insert into job (id, club_id, kind, title, document, account_id, begun) values (:id, :club, :kind, :title, "
          + ":document, :account, now())")
          .param("id", job).param("club", club.id()).param("kind", kind).param("title", title).param("document", document)
          .param("account", who.accountId()).update();
      List<Item> inOrder = items.stream().sorted(Comparator.comparing(Item::name)).toList();
      jdbc.sql("insert into job_item (id, club_id, job_id, key, name, state) select nextval('yarbel_id'), :club, :job, i.key, "
          + "i.name, 'PENDING' "
          + "from unnest(:keys, :names) with ordinality i (key, name, place) order by i.place").param("club", club.id()).param("job", job)
          .param("keys", inOrder.stream().map(Item::key).toArray(String[]::new))
          .param("names", inOrder.stream().map(Item::name).toArray(String[]::new)).update();
      return job;
    });
    long job = id == null ? 0 : id;
    Open open = new Open(club.id(), job, kind, document, who.accountId());
    if (TransactionSynchronizationManager.isSynchronizationActive()) {
      TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
        @Override
        public void afterCommit() {
          run(open);
        }
      });
    } else {
      run(open);
    }
    return job;
  }

  /**
   * Goes on with what is left of any work, of this process, one before it or another node: looked for every few seconds. A
   * node that was killed, or a database that was away, leaves nothing behind.
   */
  @Scheduled(initialDelay = 3, fixedDelay = 8, timeUnit = TimeUnit.SECONDS)
  public void resume() {
    try {
      jdbc.sql("select club_id, id, kind, document, account_id from job j where ended is null and not exists (select 1 from "
          + "job_item i where i.club_id = j.club_id "
          + "and i.job_id = j.id and i.state = 'PENDING' and i.not_before > now()) order by id limit " + MOST_AT_ONCE)
          .query(Open.class).list().forEach(this::run);
    } catch (DataAccessException | CannotCreateTransactionException away) {
      LOG.warn("What is left of long work cannot be asked for; it is tried again: {}", away.getMessage());
    }
  }

  private void run(Open job) {
    // each job has its threads here once, however often it is found
    JobWork work = works.get(job.kind());
    int hands = work == null || !work.alone() ? THREADS : 1;
    if (running.putIfAbsent(job.id(), new AtomicInteger(hands)) == null) {
      for (int i = 0; i < hands; i++) {
        threads.execute(() -> club.within(job.clubId(), () -> through(job)));
      }
    }
  }

  private void through(Open job) {
    try {
      work(job);
    } catch (RuntimeException away) {
      if (!closing) {
        LOG.warn("The work {} rests; it is gone on with in a moment", job.id(), away);
      }
    } finally {
      running.computeIfPresent(job.id(), (id, left) -> left.decrementAndGet() == 0 ? null : left);
    }
  }

  private void work(Open job) {
    JobWork work = works.get(job.kind());
    Optional<SignedIn> who = accounts.of(job.clubId(), job.accountId());
    if (work == null || who.isEmpty()) {
      jdbc.sql("update job_item set state = 'FAILED', said = 'Whoever started it has no account any more.' where club_id = "
          + ":club and job_id = :job "
          + "and state = 'PENDING'").param("club", job.clubId()).param("job", job.id()).update();
    }
    boolean more = work != null && who.isPresent();
    while (more && !closing && !Thread.currentThread().isInterrupted()) {
      long[] taken = {0};
      try {
        more = Boolean.TRUE.equals(transaction.execute(status -> one(job, work, who.orElseThrow(), taken)));
      } catch (RuntimeException wrong) {
        if (closing || taken[0] == 0 || Transient.is(wrong)) {
          // nothing was done and nothing is marked: it is found again
          throw wrong;
        }
        LOG.warn("The work {} failed for item {}", job.id(), taken[0], wrong);
        failed(job, taken[0], Transient.full(wrong) ? NO_ROOM : OURS);
      }
    }
    if (!closing) {
      end(job);
    }
  }

  private record Pending(long id, String key) {}

  private boolean one(Open job, JobWork work, SignedIn who, long[] taken) {
    // what is written is flushed where it is read again; to look for changes before every query would take a fifth of the time
    entities.setFlushMode(FlushModeType.COMMIT);
    Optional<Pending> next = jdbc.sql("select id, key from job_item where club_id = :club and job_id = :job and state = 'PENDING' "
        + "and (not_before is null or not_before <= now()) order by id limit 1 for update skip locked").param("club", job.clubId())
        .param("job", job.id())
        .query(Pending.class).optional();
    next.ifPresent(item -> {
      taken[0] = item.id();
      String said = work.work(item.key(), job.document(), who);
      jdbc.sql("update job_item set state = 'DONE', said = :said where club_id = :club and id = :id").param("said", cut(said))
          .param("club", job.clubId()).param("id", item.id()).update();
    });
    return next.isPresent();
  }

  /** Not done: tried again a little later, and after a few times left with a word. What is done meanwhile stays done. */
  private void failed(Open job, long item, String said) {
    jdbc.sql("update job_item set tries = tries + 1, not_before = now() + (tries + 1) * interval '3 seconds', state = case when "
        + "tries + 1 >= :most then 'FAILED' "
        + "else 'PENDING' end, said = case when tries + 1 >= :most then :said else said end where club_id = :club and id = :id "
        + "and state = 'PENDING'")
        .param("most", MOST_TRIES).param("said", said)
        .param("club", job.clubId()).param("id", item).update();
  }

  private static String cut(String said) {
    return said.substring(0, Math.min(MOST_SAID, said.length()));
  }

  private void end(Open job) {
    jdbc.sql("update job set ended = now() where club_id = :club and id = :id and ended is null and not exists (select 1 from job_item i "
        + "where i.club_id = job.club_id and i.job_id = job.id and i.state = 'PENDING')")
        .param("club", job.clubId()).param("id", job.id()).update();
  }

  /** How far a job of the club is. */
  public Progress progress(long id) {
    record Head(String kind, String title, boolean ended, double seconds) {}
    Head head = jdbc.sql("select kind, title, ended is not null as ended, extract(epoch from coalesce(ended, now()) - begun) as "
        + "seconds from job "
        + "where club_id = :club and id = :id").param("club", club.id()).param("id", id).query(Head.class).optional()
        .orElseThrow(NotFound::new);
    Map<String, Integer> counts = jdbc.sql("select state, count(*) as rows from job_item where club_id = :club and job_id = :id "
        + "group by state")
        .param("club", club.id()).param("id", id).query((row, n) -> Map.entry(row.getString("state"), row.getInt("rows"))).list().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    JobWork work = works.get(head.kind());
    List<Failure> failures = jdbc.sql("select key, name, said from job_item where club_id = :club and job_id = :id and state = "
        + "'FAILED' order by name limit "
        + SHOWN_FAILURES).param("club", club.id()).param("id", id)
        .query((row, n) -> new Failure(row.getString("name"), row.getString("said"),
            work == null ? null : work.screen(row.getString("key")))).list();
    return new Progress(id, head.title(), work == null ? "row" : work.noun(), counts.values().stream().mapToInt(Integer::intValue)
        .sum(), counts.getOrDefault("DONE", 0),
        counts.getOrDefault("FAILED", 0), head.ended(), Math.max(0, (long) head.seconds()), failures);
  }

  @PreDestroy
  void close() throws InterruptedException {
    closing = true;
    threads.shutdown();
    threads.awaitTermination(20, TimeUnit.SECONDS);
  }
}
