package org.yarbel.web.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class LedgerTest {
  @Test
  void showsEverySetOnceOverItsPages(TestApp app) {
    Client coach = Client.of(app, "coach");
    manyDips(app);
    String path = "/lifters/" + app.lifter("Odile") + "/ledger?lift=dip";
    List<String> days = new ArrayList<>();
    int sets = 0;
    int pages = 0;
    while (path != null) {
      String page = coach.get(path).body();
      sets += count(page, "class=\"set");
      Matcher day = Pattern.compile("<th scope=\"row\">([^<]+)</th>").matcher(page);
      while (day.find()) {
        days.add(day.group(1));
      }
      Matcher older = Pattern.compile("href=\"([^\"]+before=[^\"]+)\"").matcher(page);
      path = older.find() ? older.group(1).replace("&amp;", "&") : null;
      pages++;
    }
    assertThat(pages).as("300 sets are more than two pages of 120").isEqualTo(3);
    assertThat(days).doesNotHaveDuplicates();
    assertThat(sets).isEqualTo(app.jdbc().sql("select count(*) from logged_set where lifter_id = :id and lift = 'dip'")
        .param("id", app.lifter("Odile")).query(Integer.class).single());
  }

  /** Three hundred sets of one lift, seven a day. */
  private static void manyDips(TestApp app) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    app.jdbc().sql("""
        insert into lift_numbers (id, club_id, lifter_id, lift, level, basis, version)
        values (nextval('yarbel_id'), :club, :lifter, 'dip', 'INTERMEDIATE', 'ESTIMATED', 0)""")
        .param("club", club).param("lifter", app.lifter("Odile")).update();
    app.jdbc().sql("""
        insert into logged_set (id, club_id, lifter_id, session_id, line, issue_number, part, set_number, lift, day, load_ng,
          unit, reps, to_failure, flagged, entry_key, logged_at, version)
        select nextval('yarbel_id'), :club, :lifter, -1, gen_random_uuid(), 1, 1, n % 7 + 1, 'dip', :today - n / 7 - 1, 20000000000000,
          'KG', 8, false, false, gen_random_uuid(), now(), 0 from generate_series(0, 299) n""")
        .param("club", club).param("lifter", app.lifter("Odile")).param("today", TestApp.TODAY).update();
  }

  @Test
  void showsWhatWasAskedWhereItDiffers(TestApp app) {
    long lifter = app.jdbc().sql("select lifter_id from logged_set where reps > 0 and reps < asked_reps and lift = 'squat' limit 1")
        .query(Long.class).optional().orElseGet(() -> app.lifter("Maren"));
    String page = Client.of(app, "coach").get("/lifters/" + lifter + "/ledger?lift=squat").body();
    assertThat(page).contains("tracked max");
  }

  @Test
  void drawsRawEstimatesAsDotsAndTheTrackedMaxAsALine(TestApp app) {
    long maren = app.lifter("Maren");
    String page = Client.of(app, "coach").get("/lifters/" + maren + "/ledger?lift=squat").body();
    int rated = app.jdbc().sql("select count(*) from tracked_point where lifter_id = :id and lift = 'squat' and spread is not null")
        .param("id", maren).query(Integer.class).single();
    assertThat(count(page, "class=\"dot\"")).as("a day of unrated sets only says the least it can be, and has no dot")
        .isPositive().isEqualTo(rated);
    assertThat(page).contains("class=\"band\"").contains("days with an estimate from");
  }

  @Test
  void saysWhenNothingIsLoggedYetAndFallsBackFromAnUnknownLift(TestApp app) {
    Client coach = Client.of(app, "coach");
    assertThat(coach.get("/lifters/" + app.lifter("Ansel") + "/ledger?lift=squat&before=2020-01-01").body())
        .contains("Nothing logged yet");
    assertThat(coach.get("/lifters/" + app.lifter("Ansel") + "/ledger?lift=nonsense").body()).contains("<h2>Squat</h2>");
  }

  private static int count(String text, String part) {
    return text.split(Pattern.quote(part), -1).length - 1;
  }
}
