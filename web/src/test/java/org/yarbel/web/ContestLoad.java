package org.yarbel.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

/**
 * How long a contest's day takes: the table of 200 athletes with nine attempts each, the screen of a lifter after an attempt, what a phone
 * takes along, and the results of 200 athletes in eight events. Not part of the tests: its name keeps it out; the launcher's bench calls it.
 */
@ExtendWith(TestApp.class)
class ContestLoad {
  private static final int ATHLETES = 200;
  private static final int WARM = 300;
  private static final int COUNTED = 400;

  @Test
  void ofTwoHundredAthletes(TestApp app) {
    Client coach = Client.of(app, "coach");
    long lifter = app.lifter("Odile");
    long meet = contest(coach, "POWERLIFTING", "");
    long ours = sent(app, coach, meet, lifter);
    JdbcClient owner = JdbcClient.create(app.owner());
    fill(owner, meet);
    owner.sql("insert into contest_attempt (id, club_id, contest_id, athlete_id, lift, number, load_ng, load_unit, changed, good, note_id, version) "
        + "select nextval('yarbel_id'), a.club_id, a.contest_id, a.id, l, n, (100 + a.id % 60 + 5 * n) / 5 * 5 * 1000000000000, 'KG', 0, a.id % 4 > 0, 0, "
        + "0 from contest_athlete a cross join unnest(array['squat', 'bench', 'deadlift']) l cross join generate_series(1, 3) n where a.contest_id = "
        + ":contest and a.lifter_id is null").param("contest", meet).update();
    owner.sql("analyze").update();
    PageLoad.measure("the table of 200 athletes", WARM, COUNTED, i -> coach.packed("/contests/" + meet + "/day"));
    PageLoad.measure("a lifter's screen", WARM, COUNTED, i -> coach.packed("/contests/" + meet + "/platform/" + ours));
    send(coach, meet, ours, "", "");
    send(coach, meet, ours, "90 kg", "good");
    // what came of the opener, said otherwise each time
    PageLoad.measure("an attempt entered, and the next choices", WARM, COUNTED, i -> send(coach, meet, ours, i % 2 == 0 ? "90 kg good"
        : "90 kg missed", i % 2 == 0 ? "missed" : "good"));
    PageLoad.measure("what a phone takes along", WARM / 3, COUNTED, i -> coach.packed("/contests/" + meet + "/platform/" + ours + "/odds"));
    long strong = contest(coach, "STRONGMAN", "Log clean and press: timed 1x60s 100kg\n".repeat(8));
    sent(app, coach, strong, lifter);
    fill(owner, strong);
    owner.sql("insert into contest_result (id, club_id, contest_id, athlete_id, event, figures, note_id, version) select nextval('yarbel_id'), "
        + "a.club_id, a.contest_id, a.id, e, 'REPS=' || (1 + (a.id * e) % 12) || ' TIME=' || (40 + (a.id * 7 * e) % 20), 0, 0 from contest_athlete a "
        + "cross join generate_series(1, 8) e where a.contest_id = :contest and a.lifter_id is null").param("contest", strong).update();
    owner.sql("analyze").update();
    PageLoad.measure("results of 200 athletes in eight events", WARM, COUNTED, i -> coach.packed("/contests/" + strong + "/events?event=8"));
  }

  private static long contest(Client coach, String sport, String events) {
    String today = TestApp.TODAY.toString();
    Map<String, String> form = Map.of("name", "Load " + sport, "sport", sport, "state", "PLANNED", "day", today, "rules", "CLASSIC", "sure.day", today,
        "events", events);
    return Long.parseLong(coach.post("/contests", form).headers().firstValue("Location").orElseThrow().replaceFirst(".*/contests/", ""));
  }

  private static long sent(TestApp app, Client coach, long contest, long lifter) {
    coach.post("/contests/" + contest + "/entries", Map.of("lifter", Long.toString(lifter), "weightClass", "class 3"));
    return app.jdbc().sql("select id from contest_athlete where contest_id = :contest and lifter_id = :lifter").param("contest", contest)
        .param("lifter", lifter).query(Long.class).single();
  }

  private static void fill(JdbcClient owner, long contest) {
    int made = owner.sql("insert into contest_athlete (id, club_id, contest_id, name, sex, category, flight, body_mass_ng, version) select "
        + "nextval('yarbel_id'), (select club_id from demo_week), :contest, 'Rival ' || n, case n % 2 when 0 then 'MALE' else 'FEMALE' end, 'class ' || n % "
        + "8, 'A', (60 + n % 60) * 1000000000000, 0 from generate_series(1, :athletes) n").param("contest", contest).param("athletes", ATHLETES - 1).update();
    assertThat(made).isEqualTo(ATHLETES - 1);
  }

  private static HttpResponse<String> send(Client coach, long contest, long athlete, String seen, String verdict) {
    return coach.post("/contests/" + contest + "/platform/" + athlete + "/attempts", Map.of("key", UUID.randomUUID().toString(), "lift", "squat",
        "number", "1", "load", "90", "seen", seen, "verdict", verdict), "HX-Request", "true");
  }
}
