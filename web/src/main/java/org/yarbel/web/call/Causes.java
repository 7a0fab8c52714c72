package org.yarbel.web.call;

import java.sql.Date;
import java.util.Collection;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.KitChanged;
import org.yarbel.web.job.Due;
import org.yarbel.web.job.DueWork;
import org.yarbel.web.journal.PlanListener;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.NumbersChanged;
import org.yarbel.web.log.LineLogged;
import org.yarbel.web.log.SetJudged;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.session.SessionSaid;
import org.yarbel.web.who.SignedIn;

/**
 * What makes a lifter worth a look: a log, answers, a second opinion, a mark on a clip, an edit of the plan, numbers, kit, and the end
 * of the club's day.
 */
@Component
public class Causes implements PlanListener {
  private static final Logger LOG = LoggerFactory.getLogger(Causes.class);

  private final Due due;
  private final JdbcClient jdbc;
  private final CurrentClub club;
  private final ClubClock clock;
  private final TransactionTemplate transaction;

  Causes(Due due, JdbcClient jdbc, CurrentClub club, ClubClock clock, TransactionTemplate transaction) {
    this.due = due;
    this.jdbc = jdbc;
    this.club = club;
    this.clock = clock;
    this.transaction = transaction;
  }

  @Override
  public void plansChanged(Collection<TrainingSession> sessions, Lifter lifter) {
    if (!sessions.isEmpty()) {
      mark(lifter.id(), "plan", "");
    }
  }

  /** The entry is kept already: who wrote it down is not told otherwise since its look could not be asked for. */
  @EventListener
  void logged(LineLogged event) {
    try {
      transaction.executeWithoutResult(status -> lookAnew(event));
    } catch (DataAccessException | TransactionException wrong) {
      LOG.warn("The look after line {} was not asked for; the next entry or the end of the day asks for it", event.line(), wrong);
    }
  }

  private void lookAnew(LineLogged event) {
    jdbc.sql("select s.lifter_id, s.lift, l.name, s.load_ng, s.unit, s.reps from logged_set s join lifter l on l.club_id = s.club_id "
        + "and l.id = s.lifter_id where s.club_id = :club and s.line = :line order by s.logged_at desc limit 1")
        .param("club", club.id()).param("line", event.line()).query((row, n) -> {
          mark(row.getLong("lifter_id"), "log", row.getString("lift").replace('-', ' ') + ", a set logged");
          return 1;
        }).list();
    jdbc.sql("select t.lifter_id from slot s join training_session t on t.club_id = s.club_id and t.id = s.session_id where s.club_id "
        + "= :club "
        + "and s.ref = :line and not exists (select 1 from logged_set g where g.club_id = s.club_id and g.line = s.ref)")
        .param("club", club.id()).param("line", event.line()).query(Long.class).list()
            .forEach(lifter -> mark(lifter, "log", "a set taken out"));
  }

  @EventListener
  void said(SessionSaid event) {
    mark(event.lifterId(), event.what(), "");
  }

  @EventListener
  void judged(SetJudged event) {
    mark(event.lifterId(), "mark", "a mark on a clip");
  }

  @EventListener
  void numbers(NumbersChanged event) {
    mark(event.lifterId(), "numbers", "numbers, body mass or complaints written down");
  }

  /** Who trains where on which day is not asked: everybody of the club is looked at. */
  @EventListener
  void kit(KitChanged event) {
    jdbc.sql("select id from lifter where club_id = :club").param("club", club.id()).query(Long.class).list()
        .forEach(lifter -> mark(lifter, "kit", "the kit was changed"));
  }

  private void mark(long lifterId, String cause, String words) {
    due.mark(CallBook.KIND, Long.toString(lifterId), new DueWork.Cause(cause, words, who()));
  }

  private static String who() {
    Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
    return authentication != null && authentication.getPrincipal() instanceof SignedIn who ? who.name() : "";
  }

  private record Day(long id, Date lookedOn) {}

  /** Each club's day ends once, whatever node sees it first: everybody of it is looked at. */
  @Scheduled(initialDelay = 6, fixedDelay = 30, timeUnit = TimeUnit.SECONDS)
  public void dayEnds() {
    try {
      jdbc.sql("select id, looked_on from club order by id").query(Day.class).list().forEach(day -> club.within(day.id(),
          () -> transaction.executeWithoutResult(status -> ends(day.id()))));
    } catch (DataAccessException | CannotCreateTransactionException away) {
      LOG.warn("The end of the clubs' day cannot be asked for; it is tried again: {}", away.getMessage());
    }
  }

  private void ends(long id) {
    int turned = jdbc.sql("update club set looked_on = :today where id = :id and looked_on is distinct from :today")
        .param("today", clock.today()).param("id", id).update();
    if (turned > 0) {
      List<Long> all = jdbc.sql("select id from lifter where club_id = :club").param("club", id).query(Long.class).list();
      all.forEach(lifter -> mark(lifter, "day", "a day has ended"));
    }
  }
}
