package org.yarbel.web.lifter;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class LifterTest {
  private static Map<String, String> form(TestApp app, String... more) {
    Map<String, String> form = new HashMap<>(Map.of("name", "Tamsin Vale", "unit", "KG", "place",
        app.jdbc().sql("select min(p.id) from place p join demo_week d on d.club_id = p.club_id").query(String.class).single(),
        "squat.level", "INTERMEDIATE", "squat.basis", "estimated"));
    for (int i = 0; i < more.length; i += 2) {
      form.put(more[i], more[i + 1]);
    }
    return form;
  }

  private static Client coach(TestApp app) {
    Client coach = Client.of(app, "coach");
    coach.get("/lifters/new");
    return coach;
  }

  private static long idOf(HttpResponse<String> created) {
    return Long.parseLong(created.headers().firstValue("Location").orElseThrow().replaceAll(".*/lifters/(\\d+)/.*", "$1"));
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', quoteCharacter = '"', value = {
    "name | \"\" | Write the name, at most 80 characters.",
    "bodyMass | 8 | The body mass must be from 20 to 300 kg but was 8 kg. Is it kg or lb?",
    "bodyMass | heavy | Write the mass as a number in kg, such as 142.5.",
    "bodyMass | -80 | Write the mass as a number in kg, such as 142.5.",
    "birthYear | 2025 | The birth year must be from 1916 to 2021.",
    "birthYear | 19x4 | The birth year must be from 1916 to 2021.",
    "squat.tested | 200 | Write the day it was tested, too.",
    "squat.tested | 1001 | The mass must be over 0 and at most 1000 kg but was 1001 kg.",
    "squat.goal | 0 | The mass must be over 0 and at most 1000 kg but was 0 kg.",
    "place | 999999 | Choose one of the club&#39;s places.",
  })
  void refusesWhatCannotBeBesideItsFieldAndKeepsIt(String field, String typed, String message) {
    TestApp app = TestApp.running();
    long before = app.jdbc().sql("select count(*) from lifter").query(Long.class).single();
    HttpResponse<String> answer = coach(app).post("/lifters", form(app, field, typed, "note", "kept <as typed>"));
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains(message).contains("kept &lt;as typed&gt;");
    assertThat(app.jdbc().sql("select count(*) from lifter").query(Long.class).single()).isEqualTo(before);
  }

  @Test
  void refusesATestThatLiesAhead(TestApp app) {
    HttpResponse<String> answer = coach(app).post("/lifters", form(app, "squat.tested", "200", "squat.testedOn", "2026-03-03"));
    assertThat(answer.body()).contains("A test lies in the past: the day was 2026-03-03.");
  }

  @Test
  void takesALifterOnWithANameAndOneNumber(TestApp app) {
    Client coach = coach(app);
    long id = idOf(coach.post("/lifters", form(app, "squat.tested", "187,5", "squat.testedOn", "2026-02-20")));
    assertThat(app.jdbc().sql("select estimate_ng / 1000000000000.0 from lift_numbers where lifter_id = :id").param("id", id)
        .query(Double.class).single()).as("the tracker starts from the test").isBetween(187.49, 187.51);
    assertThat(coach.get("/lifters/" + id).body()).contains("187.5 ± ").contains("value=\"187.5\"");
  }

  @Test
  void keepsMassesWhenTheUnitChanges(TestApp app) {
    Client coach = coach(app);
    long id = idOf(coach.post("/lifters", form(app, "squat.tested", "100", "squat.testedOn", "2026-02-20", "bodyMass", "80")));
    coach.get("/lifters/" + id);
    HttpResponse<String> saved = coach.post("/lifters/" + id, form(app, "unit", "LB", "shownUnit", "KG", "version", "0",
        "squat.tested", "100", "squat.testedOn", "2026-02-20", "bodyMass", "80"));
    assertThat(saved.statusCode()).isEqualTo(302);
    assertThat(coach.get("/lifters/" + id).body()).as("100 and 80 kg in pounds").contains("value=\"220.46\"").contains("value=\"176.37\"");
  }

  @Test
  void theSecondOfTwoTabsIsToldAndLosesNothing(TestApp app) {
    Client coach = coach(app);
    long id = idOf(coach.post("/lifters", form(app)));
    assertThat(coach.post("/lifters/" + id, form(app, "version", "0", "note", "first")).statusCode()).isEqualTo(302);
    HttpResponse<String> second = coach.post("/lifters/" + id, form(app, "version", "0", "note", "second"));
    assertThat(second.statusCode()).isEqualTo(409);
    assertThat(second.body()).contains("somebody changed this lifter meanwhile").contains("value=\"second\"");
    assertThat(app.jdbc().sql("select note from lifter where id = :id").param("id", id).query(String.class).single()).isEqualTo("first");
  }

  @Test
  void addsAnotherLift(TestApp app) {
    Client coach = coach(app);
    long id = idOf(coach.post("/lifters", form(app)));
    assertThat(coach.get("/lifters/" + id).body()).doesNotContain("front-squat.tested");
    coach.post("/lifters/" + id, form(app, "version", "0", "addLift", "front-squat"));
    assertThat(coach.get("/lifters/" + id).body()).contains("front-squat.tested");
  }

  @Test
  void givesALifterASignInOfTheirOwn(TestApp app) {
    Client coach = coach(app);
    long id = idOf(coach.post("/lifters", form(app)));
    coach.get("/lifters/" + id);
    String account = "/lifters/" + id + "/account";
    assertThat(coach.post(account, Map.of("email", "tamsin", "password", "short")).body())
        .contains("Write an e-mail address").contains("must have 10 to 200 characters but has 5");
    assertThat(coach.post(account, Map.of("email", "Maren@Tarnbrook.example", "password", "tarnbrook-demo")).body())
        .as("taken, whatever the case").contains("This address cannot be used here");
    assertThat(coach.post(account, Map.of("email", "Tamsin@tarnbrook.example", "password", "tarnbrook-demo")).statusCode()).isEqualTo(302);
    Client tamsin = Client.of(app, "tamsin");
    assertThat(tamsin.get("/me").body()).contains("Nothing is planned yet");
    assertThat(tamsin.get("/lifters/" + id + "/ledger").statusCode()).isEqualTo(200);
    assertThat(coach.post(account, Map.of("email", "again@tarnbrook.example", "password", "tarnbrook-demo")).body())
        .contains("has a sign-in already");
  }
}
