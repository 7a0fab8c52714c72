package org.yarbel.web.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class TrackingTest {
  @Test
  void runningItAgainChangesNothing(TestApp app) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    List<String> before = points(app);
    app.bean(CurrentClub.class).within(club, () -> {
      Lifter corwin = app.bean(LifterRepository.class).findById(app.lifter("Corwin")).orElseThrow();
      app.bean(Tracking.class).rerun(corwin, "squat");
    });
    assertThat(points(app)).isNotEmpty().isEqualTo(before);
  }

  @Test
  void followsWhenASetIsTakenOut(TestApp app) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    app.bean(CurrentClub.class).within(club, () -> app.bean(TransactionTemplate.class).executeWithoutResult(status -> {
      Lifter corwin = app.bean(LifterRepository.class).findById(app.lifter("Corwin")).orElseThrow();
      LoggedSetRepository log = app.bean(LoggedSetRepository.class);
      log.deleteAll(log.ofLift(corwin.id(), "squat"));
      log.flush();
      app.bean(Tracking.class).rerun(corwin, "squat");
      LiftNumbers numbers = app.bean(LiftNumbersRepository.class).findByLifterIdAndLift(corwin.id(), "squat").orElseThrow();
      assertThat(numbers.estimate(corwin.unit(), TestApp.TODAY)).as("back to the tested max").satisfies(now -> assertThat(now.max().hits(numbers.tested())).isTrue());
      assertThat(app.bean(TrackedPointRepository.class).findByLifterIdAndLiftOrderByDay(corwin.id(), "squat")).isEmpty();
      status.setRollbackOnly();
    }));
  }

  private static List<String> points(TestApp app) {
    return app.jdbc().sql("select id || ' ' || day || ' ' || raw_ng || ' ' || estimate_ng from tracked_point where lifter_id = :id and lift = 'squat' order by day")
        .param("id", app.lifter("Corwin")).query(String.class).list();
  }
}
