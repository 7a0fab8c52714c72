package org.yarbel.web.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class BoardTest {
  private static final String[] HTMX = {"HX-Request", "true"};
  /** A week nobody else writes in. */
  private static final LocalDate FAR = TestApp.TODAY.plusWeeks(20);

  private record Written(TestApp app, Client coach, long lifter, LocalDate day) {
    static Written on(TestApp app, int dayOfFarWeek) {
      Client coach = Client.of(app, "coach");
      long lifter = app.lifter("Corwin");
      coach.get("/lifters/" + lifter + "/week");
      return new Written(app, coach, lifter, FAR.plusDays(dayOfFarWeek));
    }

    HttpResponse<String> add(String work) {
      return coach.post("/lifters/" + lifter + "/days/" + day + "/slots", Map.of("kind", "MAIN", "lift", "squat", "work", work), HTMX);
    }

    long slot() {
      return app.jdbc().sql("select s.id from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l and t.day = :d")
          .param("l", lifter).param("d", day).query(Long.class).single();
    }

    HttpResponse<String> save(long slot, int version, String work) {
      return coach.post("/slots/" + slot, Map.of("kind", "MAIN", "lift", "squat", "work", work, "version", "" + version), HTMX);
    }

    List<String> stored() {
      return app.jdbc().sql("select s.work from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l "
          + "and t.day = :d")
          .param("l", lifter).param("d", day).query(String.class).list();
    }
  }

  @Test
  void resolvesALineWhileItIsTyped(TestApp app) {
    Written written = Written.on(app, 0);
    String answer = written.coach().post("/lifters/" + app.lifter("Maren") + "/week/line",
        Map.of("lift", "deadlift", "work", "1x1 100kg; 2x3 -10%"), HTMX).body();
    assertThat(answer).contains(">100<").contains("90 ×2").contains("<svg");
  }

  @Test
  void marksWhatIsWrongAtItsPlace(TestApp app) {
    String answer = Written.on(app, 0).coach().post("/lifters/" + app.lifter("Maren") + "/week/line",
        Map.of("lift", "squat", "work", "5x5 @11 rest 90s"), HTMX).body();
    assertThat(answer).contains("<span>5x5 </span><mark>@11</mark><span> rest 90s</span>")
        .contains("RPE must be from 6 to 10 inclusive but was 11.");
  }

  @Test
  void losesNothingOfALineItRefuses(TestApp app) {
    Written written = Written.on(app, 1);
    HttpResponse<String> refused = written.add("5x5 75 <b>");
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("value=\"5x5 75 &lt;b&gt;\"").contains("The unit is missing");
    assertThat(written.stored()).isEmpty();
  }

  @Test
  void takesALiftByItsNameOrKeyAndSaysWhenThereIsNone(TestApp app) {
    Written written = Written.on(app, 6);
    String days = "/lifters/" + written.lifter() + "/days/" + written.day() + "/slots";
    HttpResponse<String> refused = written.coach().post(days, Map.of("kind", "MAIN", "lift", "Front squad", "work", "3x5 135lb"), HTMX);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("There is no lift &#39;Front squad&#39;. Maybe front-squat?", "value=\"Front squad\"",
        "value=\"3x5 135lb\"");
    assertThat(written.coach().post(days, Map.of("kind", "MAIN", "lift", " front Squat ", "work", "3x5 135lb"), HTMX).body())
        .contains("value=\"Front squat\"");
    HttpResponse<String> changed = written.coach().post("/slots/" + written.slot(),
        Map.of("kind", "MAIN", "lift", "Elevator", "work", "3x5 135lb", "version", "0"), HTMX);
    assertThat(changed.statusCode()).isEqualTo(422);
    assertThat(changed.body()).contains("There is no lift &#39;Elevator&#39;.", "value=\"Elevator\"", "Not saved yet");
    assertThat(written.stored()).containsExactly("3x5 135lb");
  }

  @Test
  void storesALineInNormalFormAndTellsTheSecondOfTwoTabs(TestApp app) {
    Written written = Written.on(app, 2);
    assertThat(written.add("5 X 5 225 LB REST 120s").statusCode()).isEqualTo(200);
    assertThat(written.stored()).containsExactly("5x5 225lb rest 2:00");
    long slot = written.slot();
    assertThat(written.save(slot, 0, "5x5 230lb").statusCode()).isEqualTo(200);
    assertThat(written.save(slot, 0, "5x5  230 lb").statusCode()).as("the same again, as Enter and leaving the field send it")
        .isEqualTo(200);
    HttpResponse<String> second = written.save(slot, 0, "5x5 235lb");
    assertThat(second.statusCode()).isEqualTo(409);
    assertThat(second.body()).contains("meanwhile this line was changed to 5x5 230lb").contains("value=\"5x5 235lb\"");
    assertThat(written.stored()).containsExactly("5x5 230lb");
    assertThat(written.save(slot, 1, "5x5 235lb").statusCode()).as("saved again on what is there now").isEqualTo(200);
  }

  @Test
  void takesALineOutAndPutsItBack(TestApp app) {
    Written written = Written.on(app, 3);
    written.add("3x5 200lb");
    HttpResponse<String> out = written.coach().post("/slots/" + written.slot() + "/remove", Map.of("version", "0"), HTMX);
    assertThat(out.body()).contains("Taken out: Squat 3x5 200lb").contains("Undo");
    assertThat(written.stored()).isEmpty();
    String undo = out.body().replaceAll("(?s).*(/changes/\\d+/undo).*", "$1");
    assertThat(written.coach().post(undo, Map.of()).statusCode()).isEqualTo(302);
    assertThat(written.stored()).containsExactly("3x5 200lb");
    written.coach().post(undo, Map.of());
    assertThat(written.stored()).as("undone once").containsExactly("3x5 200lb");
  }

  @Test
  void worksWithoutScript(TestApp app) {
    Written written = Written.on(app, 5);
    String days = "/lifters/" + written.lifter() + "/days/" + written.day() + "/slots";
    HttpResponse<String> refused = written.coach().post(days, Map.of("kind", "SECOND", "lift", "bench", "work", "3x5 @12"));
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("<html", "value=\"3x5 @12\"", "RPE must be from 6 to 10");
    assertThat(written.coach().post(days, Map.of("kind", "SECOND", "lift", "bench", "work", "3x5 135lb")).body())
        .contains("<html", "3x5 135lb");
    HttpResponse<String> wrong = written.coach().post("/slots/" + written.slot(),
        Map.of("kind", "SECOND", "lift", "bench", "work", "3x5 -", "version", "0"));
    assertThat(wrong.statusCode()).isEqualTo(422);
    assertThat(wrong.body()).contains("<html", "value=\"3x5 -\"", "Not saved yet");
    HttpResponse<String> out = written.coach().post("/slots/" + written.slot() + "/remove", Map.of("version", "0"));
    assertThat(out.body()).contains("<html", "Taken out: Bench press 3x5 135lb", "Undo");
  }

  @Test
  void changesOnlyWhatLiesAhead(TestApp app) {
    Written written = Written.on(app, 4);
    long past = app.jdbc().sql("select s.id from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l "
        + "and t.day < :d and s.kind = 'MAIN' limit 1")
        .param("l", written.lifter()).param("d", TestApp.TODAY).query(Long.class).single();
    int version = app.jdbc().sql("select version from slot where id = :id").param("id", past).query(Integer.class).single();
    HttpResponse<String> refused = written.save(past, version, "1x1 500lb");
    assertThat(refused.statusCode()).isEqualTo(409);
    assertThat(refused.body()).contains("only what lies ahead can change").contains("value=\"1x1 500lb\"");
  }

  @Test
  void aChangeToAnIssuedCardIssuesTheNextNumber(TestApp app) {
    long lifter = app.lifter("Ansel");
    Client coach = Client.of(app, "coach");
    coach.get("/lifters/" + lifter + "/week");
    coach.post("/lifters/" + lifter + "/days/" + TestApp.TODAY + "/slots", Map.of("kind", "MAIN", "lift", "bench", "work", "3x5 40kg"));
    long session = app.session("Ansel", TestApp.TODAY);
    assertThat(coach.card(session).body()).contains("card 1");
    coach.post("/lifters/" + lifter + "/days/" + TestApp.TODAY + "/slots", Map.of("kind", "SECOND", "lift", "row", "work", "3x8"));
    assertThat(coach.card(session).body()).contains("card 2").contains("Barbell row");
    assertThat(app.jdbc().sql("select document from card_issue where session_id = :id and number = 1").param("id", session)
        .query(String.class).single()).as("the first stays as it was").doesNotContain("\"lift\":\"row\"");
  }
}
