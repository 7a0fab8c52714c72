package org.yarbel.web.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
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
      assertThat(numbers.estimate(corwin.unit(), TestApp.TODAY)).as("back to the tested max")
          .satisfies(now -> assertThat(now.max().ratioTo(numbers.tested())).isBetween(1.0, 1.04));
      assertThat(app.bean(TrackedPointRepository.class).findByLifterIdAndLiftOrderByDay(corwin.id(), "squat")).isEmpty();
      status.setRollbackOnly();
    }));
  }

  /** A set of a new day, and another of the same: as a run over all of the log says. */
  @Test
  void goesOnFromWhereItStood(TestApp app) {
    Someone lifter = Someone.called(app, "Quilla Marsh", Map.of("squat", "180"));
    app.jdbc().sql("update lift_numbers set tested_on = :on where lifter_id = :id").param("on", TestApp.TODAY.minusWeeks(8))
        .param("id", lifter.id()).update();
    for (int week = 3; week >= 0; week--) {
      LocalDate day = TestApp.TODAY.minusWeeks(week);
      lifter.add(day, "MAIN", "squat", "3x3 80%");
      lifter.lift(day, "squat", 3, 3, 3);
      lifter.within(() -> app.bean(TransactionTemplate.class).execute(status -> {
        app.bean(Tracking.class).logged(lifter.lifter(), "squat", day);
        return 0;
      }));
      List<String> gone = told(lifter);
      lifter.within(() -> app.bean(TransactionTemplate.class).execute(status -> {
        app.bean(Tracking.class).rerun(lifter.lifter(), "squat");
        return 0;
      }));
      assertThat(told(lifter)).as("week " + week).isEqualTo(gone);
    }
    assertThat(app.jdbc().sql("select numbers[2] from standing_before where lifter_id = :id and lift = 'squat'")
        .param("id", lifter.id()).query(Double.class).single()).isEqualTo(TestApp.TODAY.minusWeeks(1).toEpochDay());
  }

  /** What a first start after an older version does: every lift of every club once, and no more at the next. */
  @Test
  void logsOfAnOlderTrackerAreRunAnewAtTheStart(TestApp app) {
    Someone lifter = Someone.called(app, "Odile Farrow", Map.of("squat", "180"));
    lifter.add(TestApp.TODAY.minusDays(2), "MAIN", "squat", "3x3 80%");
    lifter.lift(TestApp.TODAY.minusDays(2), "squat", 3, 3, 3);
    List<String> before = rerun(lifter);
    app.jdbc().sql("update lift_numbers set tracked_with = 0, standing = null, before_ng = 170000000000000, before_on = :today "
        + "where lifter_id = :id").param("today", TestApp.TODAY).param("id", lifter.id()).update();
    app.jdbc().sql("delete from tracked_point where lifter_id = :id").param("id", lifter.id()).update();
    app.bean(Retracking.class).run(null);
    assertThat(told(lifter)).isEqualTo(before);
    assertThat(app.jdbc().sql("select count(*) from lift_numbers where tracked_with = 0").query(Long.class).single()).isZero();
    String page = lifter.coach().get("/maxes").body();
    assertThat(page).contains("Odile Farrow").containsPattern("170\\.0|170<").contains("+");
    assertThat(lifter.coach().get("/?find=Odile").body()).contains("worked out anew");
    assertThat(Client.of(app, "maren").get("/maxes").statusCode()).as("a coach's page").isNotEqualTo(200);
    app.jdbc().sql("update lift_numbers set before_ng = null, before_on = null where lifter_id = :id").param("id", lifter.id()).update();
    assertThat(lifter.coach().get("/maxes").body()).contains("from the start");
  }

  private static List<String> rerun(Someone lifter) {
    lifter.within(() -> lifter.app().bean(TransactionTemplate.class).execute(status -> {
      lifter.app().bean(Tracking.class).rerun(lifter.lifter(), "squat");
      return 0;
    }));
    return told(lifter);
  }

  private static List<String> told(Someone lifter) {
    List<String> told = new ArrayList<>(lifter.app().jdbc()
        .sql("select day || ' ' || raw_ng || ' ' || estimate_ng || ' ' || spread from tracked_point "
        + "where lifter_id = :id order by day").param("id", lifter.id()).query(String.class).list());
    told.addAll(lifter.app().jdbc().sql("select n.lift || ' ' || standing::text || ' ' || sets_that_day || ' ' || coalesce(numbers::text, '-') "
        + "from lift_numbers n left join standing_before b on b.lifter_id = n.lifter_id and b.lift = n.lift where n.lifter_id = :id")
        .param("id", lifter.id()).query(String.class).list());
    return told;
  }

  private static List<String> points(TestApp app) {
    return app.jdbc().sql("select id || ' ' || day || ' ' || raw_ng || ' ' || estimate_ng from tracked_point where lifter_id = "
        + ":id and lift = 'squat' order by day")
        .param("id", app.lifter("Corwin")).query(String.class).list();
  }
}
