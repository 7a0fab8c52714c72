package org.yarbel.web.floor;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class FloorTest {
  @Test
  void showsWhoTrainsTodayWithTheirLoads(TestApp app) {
    String page = Client.of(app, "coach").get("/?all=true").body();
    String today = page.substring(page.indexOf("Training today"), page.indexOf("Not today"));
    assertThat(page).contains("Monday 2 March 2026");
    assertThat(today).contains("Maren Oakhurst", "1x1 @8; 4x4 -15%", "Odile Farrant").doesNotContain("Corwin");
    assertThat(page.substring(page.indexOf("Not today"))).contains("Corwin Thackeray-Hale", "Tue 3 Mar");
  }

  @Test
  void findsAnyoneByAPartOfTheNameAndTakesSignsAsSigns(TestApp app) {
    Client coach = Client.of(app, "coach");
    HttpResponse<String> found = coach.get("/?find=OAKH", "HX-Request", "true");
    assertThat(found.body()).contains("Maren Oakhurst").doesNotContain("Odile", "<html");
    assertThat(found.headers().allValues("Vary")).anyMatch(vary -> vary.toLowerCase(Locale.ROOT).contains("hx-request"));
    assertThat(coach.get("/?find=%25").body()).as("a per cent sign is no wildcard").doesNotContain("Maren");
    assertThat(coach.get("/?find=_").body()).doesNotContain("Maren");
    assertThat(coach.get("/?find=zzz").body()).contains("Nobody of that name trains today").contains("Nobody else of that name");
  }

  @Test
  void showsALifterWhatComesNext(TestApp app) {
    String page = Client.of(app, "maren").get("/me").body();
    assertThat(page).contains("Today, Monday 2 March", "Wednesday 4 March", "What I lifted so far");
    assertThat(Client.of(app, "coach").get("/me").statusCode()).as("a coach has none").isEqualTo(404);
  }

  @Test
  void yesterdaysCardThatNobodyLoggedIsStillThereAndTodaysLoadsStandFirst(TestApp app) {
    Someone lifter = Someone.called(app, "Tegan Ashwood", Map.of("squat", "200"));
    lifter.add(TestApp.TODAY.minusDays(1), "MAIN", "squat", "1x5 70%");
    lifter.add(TestApp.TODAY.minusDays(20), "MAIN", "squat", "1x5 71%");
    lifter.add(TestApp.TODAY, "MAIN", "squat", "1x1 @8; 4x4 -15%");
    String mine = lifter.within(() -> {
      MyTraining.Mine of = app.bean(MyTraining.class).of(lifter.id());
      assertThat(of.behind()).as("a fortnight back, no further").hasSize(1);
      assertThat(of.today().lines().get(0).loads()).isEqualTo("187.5 · 160 ×4");
      return of.behind().get(0).day();
    });
    assertThat(mine).isEqualTo("Sunday 1 March");
    lifter.lift(TestApp.TODAY.minusDays(1), "squat", 5);
    assertThat(lifter.<Integer>within(() -> app.bean(MyTraining.class).of(lifter.id()).behind().size())).isZero();
  }

  @Test
  void tellsAMaxThatNoSetOfTheLastWeeksSpeaksOf(TestApp app) {
    Someone.called(app, "Thessaly Quill", Map.of("squat", "133"));
    String found = Client.of(app, "coach").get("/?find=Thessaly", "HX-Request", "true").body();
    assertThat(found).contains("<span>134</span>");
  }

  @Test
  void ofManyTheFirstAreShownAndThoseFirstWhoTrainToday(TestApp app) {
    app.jdbc().sql("insert into lifter (id, club_id, place_id, name, unit, version) select nextval('yarbel_id'), club_id, "
        + "place_id, 'Crowd ' || (100 + n), unit, 0 "
        + "from lifter cross join generate_series(1, 45) n where id = :like").param("like", app.lifter("Maren")).update();
    app.jdbc().sql("insert into training_session (id, club_id, lifter_id, day, version) select nextval('yarbel_id'), club_id, "
        + "id, :day, 0 from lifter where name = 'Crowd 145'")
        .param("day", TestApp.TODAY).update();
    Client coach = Client.of(app, "coach");
    String some = coach.get("/?find=Crowd").body();
    assertThat(some.split("Crowd 1\\d\\d</a>", -1)).hasSize(41);
    assertThat(some).contains("Crowd 145", "Crowd 139").doesNotContain("Crowd 140").contains("Show 5 more");
    String all = coach.get("/?find=Crowd&all=true", "HX-Request", "true").body();
    assertThat(all.split("Crowd 1\\d\\d</a>", -1)).hasSize(46);
    assertThat(all).contains("Crowd 144").doesNotContain(" more</a>");
    assertThat(coach.get("/?find=Crowd%2010").body()).doesNotContain(" more</a>");
    assertThat(coach.get("/?all=perhaps").statusCode()).isEqualTo(404);
    app.jdbc().sql("delete from training_session where lifter_id in (select id from lifter where name like 'Crowd %')").update();
    app.jdbc().sql("delete from lifter where name like 'Crowd %'").update();
  }
}
