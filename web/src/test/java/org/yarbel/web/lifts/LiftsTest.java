package org.yarbel.web.lifts;

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
class LiftsTest {
  private static Client coach(TestApp app) {
    Client coach = Client.of(app, "coach");
    coach.get("/lifts");
    return coach;
  }

  private static Map<String, String> lift(String name, String... more) {
    Map<String, String> lift = new HashMap<>(Map.of("name", name, "parent", "squat", "ratio", "70", "spread", "7", "equipment",
        "BAR", "variation", "pause=3"));
    for (int i = 0; i < more.length; i += 2) {
      lift.put(more[i], more[i + 1]);
    }
    return lift;
  }

  @Test
  void showsTheTreeAndFindsInIt(TestApp app) {
    Client coach = coach(app);
    assertThat(coach.get("/lifts").body()).contains("Front squat", "82 ± 6 %", "close grip", "Stone loading");
    assertThat(coach.get("/lifts?find=stone").body()).contains("<span>Stone loading</span>").doesNotContain("<span>Front squat</span>");
    assertThat(coach.get("/lifts?find=hamstrings").body()).contains("<span>Leg curl</span>").doesNotContain("<span>Overhead press</span>");
    assertThat(coach.get("/lifts?find=xyzzy").body()).contains("Nothing by that name.");
  }

  @Test
  void aClubsOwnLiftIsPlannedByItsRatioChangedAndRetired(TestApp app) {
    Client coach = coach(app);
    assertThat(coach.post("/lifts", lift("Mill-race squat")).headers().firstValue("Location").orElse("")).endsWith("find=mill-race-squat");
    assertThat(coach.get("/lifts?find=mill-race-squat").body()).contains("Added. It can be planned as mill-race-squat.",
        "3 s pause", "yours");
    coach.get("/lifters/new");
    String place = app.hall();
    String lifter = coach.post("/lifters", Map.of("name", "Sorrel Wick", "unit", "KG", "place", place, "lift.1", "squat", "load.1", "200",
        "how.1", "tested", "on.1", "2026-02-27")).headers().firstValue("Location").orElseThrow().replaceAll(".*(/lifters/\\d+)/.*", "$1");
    coach.get(lifter + "/week");
    coach.post(lifter + "/days/2026-03-02/slots", Map.of("kind", "SECOND", "lift", "mill-race-squat", "work", "3x5 50%"));
    assertThat(coach.get(lifter + "/week").body()).as("half of 70 % of 200").contains("70 ×3", "worked out as 70 % (± 7) of the squat");
    long session = app.jdbc().sql("select id from training_session where lifter_id = :id")
        .param("id", Long.parseLong(lifter.replaceAll("\\D", "")))
        .query(Long.class).single();
    assertThat(coach.card(session).body()).contains("Mill-race squat");
    coach.get("/lifts?edit=mill-race-squat");
    coach.post("/lifts", lift("Mill-race squat, slow", "edit", "mill-race-squat", "ratio", "65"));
    assertThat(coach.get("/lifts?find=mill-race-squat").body()).contains("Mill-race squat, slow", "65 ± 7 %");
    coach.post("/lifts/mill-race-squat/retire", Map.of());
    assertThat(coach.get("/lifters/new").body()).as("not offered").doesNotContain("mill-race-squat");
    assertThat(coach.get(lifter + "/week").body()).as("what was planned stays").contains("70 ×3");
    coach.post("/lifts/mill-race-squat/retire", Map.of("retired", "false"));
    assertThat(coach.get("/lifters/new").body()).contains("mill-race-squat");
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', quoteCharacter = '"', value = {
    "name | \"\" | Write the name of the lift, at most 60 characters.",
    "name | Front squat | There is a lift front-squat already: choose another key.",
    "name | 123 | The key of a lift must be one word of small letters",
    "parent | nothing-known | There is no lift &#39;nothing-known&#39; to vary.",
    "parent | \"\" | A ratio needs a lift to compare with: choose what it varies.",
    "ratio | 250 | The ratio in % must be a number from 20 to 200 but was 250.",
    "spread | 0 | The spread in % must be a number from 1 to 20 but was 0.",
    "variation | colour=red | There is no trait &#39;colour&#39; of a lift.",
    "variation | pause=long | The pause of a lift cannot be &#39;long&#39;.",
  })
  void refusesALiftThatCannotBe(String field, String typed, String message) {
    HttpResponse<String> answer = coach(TestApp.running()).post("/lifts", lift("Odd lift", "muscle.QUADS", "yes", field, typed));
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains(message).containsPattern("name=\"muscle.QUADS\"[^>]*checked");
  }

  @Test
  void onesOwnLiftsOnlyCanBeChanged(TestApp app) {
    Client coach = coach(app);
    assertThat(coach.get("/lifts?edit=squat").statusCode()).isEqualTo(404);
    assertThat(coach.post("/lifts/squat/retire", Map.of()).statusCode()).isEqualTo(404);
    assertThat(Client.of(app, "maren").get("/lifts").statusCode()).isEqualTo(403);
  }
}
