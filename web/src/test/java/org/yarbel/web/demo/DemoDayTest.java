package org.yarbel.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

/** The contest days of the demo: under way on whatever day it is looked at. */
@ExtendWith(TestApp.class)
class DemoDayTest {

  private static long contest(TestApp app, String name) {
    return app.jdbc().sql("select id from contest where name = :name").param("name", name).query(Long.class).single();
  }

  private static LocalDate day(TestApp app, String name) {
    return app.jdbc().sql("select day from contest where name = :name").param("name", name).query(LocalDate.class).single();
  }

  @Test
  void twoOfTheClubLiftTodayOneAfterAMissedSecond(TestApp app) {
    assertThat(day(app, "Skelbeck Winter Meet")).isEqualTo(TestApp.TODAY);
    String table = Client.of(app, "coach").get("/contests/" + contest(app, "Skelbeck Winter Meet") + "/day").body();
    assertThat(table).contains("Juno Ashdown", "Leopold Quince", "Ida Fennick").containsPattern("attempt 2, \\d+(\\.5)? kg, missed");
    assertThat(Client.of(app, "coach").get("/contests/" + contest(app, "Skelbeck Winter Meet") + "/warm-up").body())
        .containsPattern("Leopold Quince</a></h2>\\s*<p><span>Squat</span>, opener <b>\\d+(\\.5)? kg</b>");
  }

  @Test
  void aStrongmanDayStandsBeforeItsLastEvent(TestApp app) {
    long yard = contest(app, "Quarry Yard Day");
    String events = Client.of(app, "coach").get("/contests/" + yard + "/events").body();
    assertThat(events).contains("Brannoc Tull", "Wystan Crake", "Most implements", "7 entered", "0 entered");
    long brannoc = app.jdbc().sql("select id from contest_athlete where contest_id = :yard and lifter_id = :lifter").param("yard", yard)
        .param("lifter", app.lifter("Brannoc")).query(Long.class).single();
    // 17 points each; Wystan Crake has a first and Brannoc Tull has none: only ahead of him does Brannoc win
    assertThat(Client.of(app, "coach").get("/contests/" + yard + "/platform/" + brannoc).body()).contains("Win it: first for sure",
        "2nd, with Wystan Crake 3rd or worse: first");
  }

  @Test
  void lastWeeksMockContestSaysWhatItTellsOfRatings(TestApp app) {
    assertThat(day(app, "Tarnbrook mock meet")).isBefore(TestApp.TODAY).isAfter(TestApp.TODAY.minusWeeks(1).minusDays(3));
    assertThat(Client.of(app, "coach").get("/contests/" + contest(app, "Tarnbrook mock meet") + "/summary").body())
        .containsPattern("the ratings of the last four weeks (said [\\d.]+ reps? too (many|few) were left|were about right), by \\d+ sets?. The rating bias is "
            + "[+-][\\d.]+ ± [\\d.]+ reps now, and [+-][\\d.]+ ± [\\d.]+ reps once this is in the log");
  }

  @Test
  void whatIsUnderWayMovesToTheDayItIsLookedAt(TestApp app) {
    long club = app.jdbc().sql("select club_id from demo_week").query(Long.class).single();
    LocalDate mock = day(app, "Tarnbrook mock meet");
    app.bean(CurrentClub.class).within(club, () -> app.bean(DemoDay.class).renew(TestApp.TODAY.plusDays(3)));
    assertThat(day(app, "Skelbeck Winter Meet")).isEqualTo(TestApp.TODAY.plusDays(3));
    assertThat(day(app, "Quarry Yard Day")).isEqualTo(TestApp.TODAY.plusDays(3));
    assertThat(day(app, "Tarnbrook mock meet")).isEqualTo(mock);
    app.bean(CurrentClub.class).within(club, () -> app.bean(DemoDay.class).renew(TestApp.TODAY));
    assertThat(day(app, "Skelbeck Winter Meet")).isEqualTo(TestApp.TODAY);
  }
}
