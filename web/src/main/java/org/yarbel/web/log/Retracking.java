package org.yarbel.web.log;

import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.mass.Count;
import org.yarbel.core.track.Standing;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;

/**
 * Runs the logs anew that were last run with a tracker of an earlier version, before the application says it is ready. Each lift is
 * done in a transaction of its own: a start that is broken off goes on where it was, and nodes that start together share the work.
 */
@Component
@Order(1)
class Retracking implements ApplicationRunner {
  private static final Logger LOG = LoggerFactory.getLogger(Retracking.class);
  private static final int TOLD_EVERY_PERCENT = 5;

  private final JdbcClient jdbc;
  private final TransactionTemplate transaction;
  private final CurrentClub club;
  private final LifterRepository lifters;
  private final Tracking tracking;

  Retracking(JdbcClient jdbc, TransactionTemplate transaction, CurrentClub club, LifterRepository lifters, Tracking tracking) {
    this.jdbc = jdbc;
    this.transaction = transaction;
    this.club = club;
    this.lifters = lifters;
    this.tracking = tracking;
  }

  private record Behind(long id, long clubId, long lifterId, String lift) {}

  @Override
  public void run(ApplicationArguments arguments) {
    List<Behind> behind = jdbc.sql("select id, club_id, lifter_id, lift from lift_numbers where tracked_with < :version order by club_id, "
        + "lifter_id, lift").param("version", Standing.VERSION).query(Behind.class).list();
    int told = 0;
    for (int done = 0; done < behind.size(); done++) {
      int percent = 100 * done / behind.size();
      if (done == 0 || percent >= told + TOLD_EVERY_PERCENT) {
        LOG.info("Working out maxes anew: {} of {}, {} %", done, Count.of(behind.size(), "lift"), percent);
        told = percent;
      }
      Behind one = behind.get(done);
      club.within(one.clubId(), () -> transaction.executeWithoutResult(status -> again(one)));
    }
    if (!behind.isEmpty()) {
      LOG.info("The maxes of {} are worked out anew", Count.of(behind.size(), "lift"));
    }
  }

  /** One that another node has in hand is left to it. */
  private void again(Behind one) {
    boolean ours = jdbc.sql("select id from lift_numbers where club_id = :club and id = :id and tracked_with < :version for update skip "
        + "locked").param("club", one.clubId()).param("id", one.id()).param("version", Standing.VERSION).query(Long.class).optional()
        .isPresent();
    if (ours) {
      Lifter lifter = lifters.findById(one.lifterId()).orElseThrow();
      tracking.rerunLong(lifter, one.lift());
    }
  }
}
