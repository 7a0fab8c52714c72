package org.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.locks.LockSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.core.contest.AllowedGear;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.job.Jobs;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Crowd;
import org.yarbel.web.support.TestApp;
import org.yarbel.web.who.SignedIn;

/**
 * How long it takes until the plans of 500 lifters are refitted whose contest moved: they get a plan each by copying, then the
 * contest moves twice. Also the Runway of one of them. Not part of the tests: its name keeps it out; {@code ./yarbel bench}
 * runs it.
 */
@ExtendWith(TestApp.class)
class RefitLoad {
  private static final int LIFTERS = 500;

  @Test
  void ofFiveHundredLifters(TestApp app) {
    SignedIn who = app.bean(Accounts.class).of("coach@tarnbrook.example").get(0);
    List<Long> lifters = Crowd.like(app.jdbc(), app.lifter("Odile"), LIFTERS);
    LocalDate day = TestApp.TODAY.plusWeeks(15).plusDays(5);
    long contest = app.bean(CurrentClub.class).within(who.clubId(), () -> app.bean(Contests.class).keep(null, said(day)).id());
    app.jdbc().sql("insert into contest_entry (id, club_id, contest_id, lifter_id) select nextval('yarbel_id'), club_id, "
        + ":contest, id from lifter where name like 'Load %'")
        .param("contest", contest).update();
    JdbcClient.create(app.owner()).sql("vacuum analyze").update();
    run(app, who, "copy-plan", app.jdbc().sql("select ref::text from lifter where id = :id").param("id", app.lifter("Emeric"))
        .query(String.class).single(), lifters, "plans copied");
    // as the database does by itself a minute after a table has grown; contests move later than that
    JdbcClient.create(app.owner()).sql("vacuum analyze").update();
    for (int weeks : new int[] {-4, 3, -4, -2}) {
      app.bean(CurrentClub.class).within(who.clubId(), () -> app.bean(Contests.class).keep(contest, said(day.plusWeeks(weeks))).id());
      run(app, who, "refit", "", lifters, "plans refitted, the contest moved to " + weeks + " weeks");
    }
    assertThat(app.jdbc().sql("select count(*) from long_plan where contest_id = :c and document like '%' || :day || '%'")
        .param("c", contest)
        .param("day", day.minusWeeks(2).toString()).query(Integer.class).single()).isEqualTo(LIFTERS);
    Client coach = Client.of(app, "coach");
    long[] micros = new long[120];
    for (int i = 0; i < micros.length + 40; i++) {
      long from = System.nanoTime();
      coach.get("/lifters/" + lifters.get(i * 7 % LIFTERS) + "/runway");
      if (i >= 40) {
        micros[i - 40] = (System.nanoTime() - from) / 1000;
      }
    }
    Arrays.sort(micros);
    System.out.printf(Locale.ROOT, "the Runway: median %.0f ms, p95 %.0f ms%n", micros[micros.length / 2] / 1e3,
        micros[micros.length * 95 / 100] / 1e3);
  }

  private static Contest.ContestSaid said(LocalDate day) {
    return new Contest.ContestSaid("Load Open", Contest.Sport.POWERLIFTING, Contest.State.PLANNED, day, "", "", AllowedGear.CLASSIC,
        "", "", List.of());
  }

  private static void run(TestApp app, SignedIn who, String kind, String document, List<Long> lifters, String what) {
    Jobs jobs = app.bean(Jobs.class);
    CurrentClub club = app.bean(CurrentClub.class);
    long from = System.nanoTime();
    long job = club.within(who.clubId(), () -> jobs.start(kind, what, document, items(app, lifters), who));
    Jobs.Progress progress = club.within(who.clubId(), () -> jobs.progress(job));
    while (!progress.ended()) {
      LockSupport.parkNanos(20_000_000);
      progress = club.within(who.clubId(), () -> jobs.progress(job));
    }
    System.out.printf(Locale.ROOT, "%s: %d lifters in %.1f s, %d failed%n", what, progress.done(),
        (System.nanoTime() - from) / 1e9, progress.failed());
  }

  private static List<Jobs.Item> items(TestApp app, List<Long> lifters) {
    return app.jdbc().sql("select ref::text as key, name from lifter where id in (:ids)").param("ids", lifters)
        .query(Jobs.Item.class).list();
  }
}
