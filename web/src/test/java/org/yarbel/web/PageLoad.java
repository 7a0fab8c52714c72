package org.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.program.Programs;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Crowd;
import org.yarbel.web.support.SqlMeter;
import org.yarbel.web.support.TestApp;

/**
 * How long the server takes for a keystroke on the board and for whole pages, and how much of that is the database, with 200
 * lifters and years of logs. Not part of the tests: its name keeps it out; the launcher's bench calls it. The figures stand in
 * docs/benchmarks.md.
 */
@ExtendWith(TestApp.class)
class PageLoad {
  private static final int LIFTERS = 200;
  /** Four sessions of twelve sets a week: 520 weeks of 200 lifters are five million sets. */
  private static final int WEEKS = Integer.getInteger("load.weeks", 104);
  private static final int WARM = 400;
  private static final int COUNTED = 2_000;
  private static final List<String> TYPED = List.of("3", "3x5", "3x5 8", "3x5 82%", "1x1 @8; 4x4 -15%", "3x5+ 85% tm",
      "cluster 3x5 92% gap 20s", "10x2 55% rest 45s chains 20kg", "5x5 @1", "max 1; 1xAMRAP 80% top");

  @Test
  void ofTwoHundredLiftersWithTwoYearsOfLogs(TestApp app) {
    List<Long> lifters = fill(JdbcClient.create(app.owner()), app.lifter("Odile"));
    Client coach = Client.of(app, "coach");
    LocalDate day = TestApp.TODAY.plusDays(2);
    System.out.println("logged sets: " + app.jdbc().sql("select count(*) from logged_set").query(Long.class).single());
    IntFunction<Long> lifter = i -> lifters.get(i * 7 % lifters.size());
    List<Long> trained = lifters.stream().map(id -> app.jdbc()
        .sql("select max(id) from training_session where lifter_id = :id and day < :today")
        .param("id", id).param("today", TestApp.TODAY).query(Long.class).single()).toList();
    measure("a keystroke on the board", WARM, COUNTED, i -> coach.post("/lifters/" + lifter.apply(i) + "/week/line?day=" + day,
        Map.of("lift", "squat", "work", TYPED.get(i % TYPED.size()), "kind", "MAIN", "caret", "3"), "HX-Request", "true"));
    measure("the week board", WARM, COUNTED / 8, i -> coach.packed("/lifters/" + lifter.apply(i) + "/week"));
    measure("a card", WARM, COUNTED / 8, i -> coach.packed("/sessions/" + trained.get(i * 7 % trained.size()) + "/card"));
    measure("the ledger", WARM, COUNTED / 8, i -> coach.packed("/lifters/" + lifter.apply(i) + "/ledger?lift=squat"));
    measure("the Runway", WARM, COUNTED / 8, i -> coach.packed("/lifters/" + app.lifter("Emeric") + "/runway"));
    measure("sums and findings drawn anew", WARM / 4, COUNTED / 8, i -> coach.packed("/lifters/" + lifter.apply(i)
        + "/week/panel?of=" + TestApp.TODAY, "HX-Request", "true"));
    measure("weeks side by side", WARM / 4, COUNTED / 8, i -> coach.packed("/lifters/" + lifter.apply(i) + "/weeks"));
    measure("the Floor", WARM / 2, COUNTED / 20, i -> coach.packed("/"));
    measure("how well ratings are told", WARM / 4, COUNTED / 8, i -> coach.packed("/lifters/" + lifter.apply(i) + "/ratings?lift=squat"));
    List<Long> begun = app.jdbc().sql("select id from training_session where day = :today order by id desc limit 20")
        .param("today", TestApp.TODAY).query(Long.class).list();
    begun.forEach(session -> coach.post("/sessions/" + session + "/issue", Map.of(), "HX-Request", "true"));
    measure("Training now, 20 under way", WARM / 4, COUNTED / 20, i -> coach.packed("/now"));
    logged(app);
    lookedThrough(app, lifters);
    measure("the Calls page", WARM / 4, COUNTED / 20, i -> coach.packed("/calls"));
    measure("who was looked at this week", WARM / 4, COUNTED / 20, i -> coach.packed("/looks"));
    measure("a weekly look", WARM / 4, COUNTED / 8, i -> coach.packed("/lifters/" + lifter.apply(i) + "/look"));
  }

  /** The end of the club's day: everybody's calls are drawn up in the background; the second time with warm code. */
  private static void lookedThrough(TestApp app, List<Long> lifters) {
    for (String time : List.of("first", "second")) {
      long from = System.nanoTime();
      app.jdbc().sql("insert into due_work (id, club_id, kind, key, cause, words, who, due_at) select nextval('yarbel_id'), club_id, 'calls', "
          + "id::text, 'day', 'a day has ended', '', now() from lifter where id in (:all)").param("all", lifters).update();
      while (app.jdbc().sql("select exists(select 1 from due_work where key in (:all))").param("all", lifters.stream().map(String::valueOf)
          .toList()).query(Boolean.class).single()) {
        LockSupport.parkNanos(20_000_000);
      }
      System.out.printf(Locale.ROOT, "the club looked through, the %s time: %d lifters in %.1f s; %d calls wait%n", time, lifters.size(),
          (System.nanoTime() - from) / 1e9, app.jdbc().sql("select count(*) from coach_call where state = 'OPEN'").query(Long.class).single());
    }
  }

  /** What follows a logged set where methods with memory have written half a year. */
  private static void logged(TestApp app) {
    long corwin = app.lifter("Corwin");
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    UUID line = app.jdbc().sql("select s.ref from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l "
        + "and t.day >= :today and s.lift = 'squat' order by t.day limit 1")
        .param("l", corwin).param("today", TestApp.TODAY).query(UUID.class).single();
    time("the weeks written anew after a logged set", WARM / 4, COUNTED / 8, () -> app.bean(CurrentClub.class)
        .within(club, () -> app.bean(Programs.class).logged(line)));
  }

  private static void time(String what, int warm, int counted, Runnable work) {
    long[] micros = new long[counted];
    for (int i = -warm; i < counted; i++) {
      long from = System.nanoTime();
      work.run();
      micros[Math.max(i, 0)] = (System.nanoTime() - from) / 1000;
    }
    Arrays.sort(micros);
    System.out.printf(Locale.ROOT, "%s: median %.1f ms, p95 %.1f ms%n", what, micros[counted / 2] / 1e3, micros[counted * 95 / 100] / 1e3);
  }

  /** Times of a request, and of the statements it sends; kB as they are sent. */
  static void measure(String what, int warm, int counted, IntFunction<HttpResponse<?>> request) {
    if (!what.matches(".*(" + System.getProperty("load.only", "") + ").*")) {
      return;
    }
    for (int i = 0; i < warm; i++) {
      assertThat(request.apply(i).statusCode()).as(what).isEqualTo(200);
    }
    long[] micros = new long[counted];
    long[] database = new long[counted];
    long statements = 0;
    long bytes = 0;
    for (int i = 0; i < counted; i++) {
      int at = i;
      List<HttpResponse<?>> answers = new ArrayList<>();
      List<SqlMeter.Sent> sent = SqlMeter.of(() -> {
        long from = System.nanoTime();
        answers.add(request.apply(at));
        micros[at] = (System.nanoTime() - from) / 1000;
      });
      database[i] = sent.stream().mapToLong(SqlMeter.Sent::nanos).sum() / 1000;
      statements = Math.max(statements, sent.size());
      bytes = Math.max(bytes, answers.get(0).body() instanceof byte[] packed ? packed.length : answers.get(0).body().toString().length());
    }
    Arrays.sort(micros);
    Arrays.sort(database);
    System.out.printf(Locale.ROOT, "%s: median %.1f ms, p95 %.1f ms, p99 %.1f ms; its SQL median %.1f ms, p95 %.1f ms; page / "
        + "SQL %.1f; %d statements, %.1f kB%n",
        what, micros[counted / 2] / 1e3, micros[counted * 95 / 100] / 1e3, micros[counted * 99 / 100] / 1e3, database[counted / 2] / 1e3,
        database[counted * 95 / 100] / 1e3, micros[counted / 2] / (double) Math.max(1, database[counted / 2]), statements, bytes / 1e3);
  }

  /** Lifters like one of the demo, each with four sessions a week of three lines and twelve sets. */
  private static List<Long> fill(JdbcClient jdbc, long like) {
    String club = "(select club_id from demo_week)";
    List<Long> lifters = Crowd.like(jdbc, like, LIFTERS);
    jdbc.sql("insert into training_session (id, club_id, lifter_id, day, version) select nextval('yarbel_id'), " + club
        + ", l.id, :monday - 7 * w + d, 0 "
        + "from lifter l cross join generate_series(-3, " + WEEKS + ") w cross join unnest(array[0, 2, 4, 5]) d where l.name like 'Load %'")
            .param("monday", TestApp.TODAY).update();
    jdbc.sql("insert into slot (id, club_id, session_id, position, kind, lift, work, version) select nextval('yarbel_id'), "
        + "t.club_id, t.id, p, case p when 1 then 'MAIN' else 'ASSISTANCE' end, "
        + "case p when 1 then (array['squat', 'bench', 'deadlift'])[1 + t.id % 3] when 2 then 'front-squat' else 'row' end, "
        + "case p when 1 then '4x5 75%' when 2 then '4x5 60% of squat' else '4x8' end, 0 "
        + "from training_session t join lifter l on l.id = t.lifter_id and l.name like 'Load %' cross join generate_series(1, 3) p")
        .update();
    jdbc.sql("insert into logged_set (id, club_id, lifter_id, session_id, line, issue_number, part, set_number, lift, day, "
        + "load_ng, unit, reps, rpe_halves, to_failure, flagged, entry_key, logged_at, version) "
        + "select nextval('yarbel_id'), t.club_id, t.lifter_id, t.id, s.ref, 1, 1, n, s.lift, t.day, 80000000000000, 'KG', 5, "
        + "16, false, false, gen_random_uuid(), now(), 0 "
        + "from training_session t join slot s on s.session_id = t.id and s.club_id = t.club_id join lifter l on l.id = "
        + "t.lifter_id and l.name like 'Load %' cross join generate_series(1, 4) n where t.day < :today")
        .param("today", TestApp.TODAY).update();
    jdbc.sql("analyze").update();
    return lifters;
  }
}
