package org.yarbel.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@ExtendWith(TestApp.class)
class ApiTest {
  private static final JsonMapper JSON = new JsonMapper();

  private static HttpResponse<String> resolve(String json) {
    return new Client(TestApp.running()).postJson("/api/v1/resolve", json.replace('\'', '"'));
  }

  private static JsonNode body(HttpResponse<String> answer) {
    return JSON.readTree(answer.body());
  }

  // Haff & Triplett's table at 7 reps to failure, 83 %, and Epley 1985 and Brzycki 1993 at 7 reps
  @Test
  void estimatesByEveryCurve(TestApp app) {
    HttpResponse<String> answer = new Client(app).get("/api/v1/estimate?load=140&reps=5&rpe=8&unit=kg");
    assertThat(answer.statusCode()).isEqualTo(200);
    assertThat(answer.headers().firstValue("Set-Cookie")).isEmpty();
    JsonNode json = body(answer);
    assertThat(json.get("repsToFailure").intValue()).isEqualTo(7);
    assertThat(json.get("reliable").booleanValue()).isTrue();
    assertThat(json.get("estimates").size()).isEqualTo(9);
    assertThat(json.get("estimates").toString())
        .contains("{\"curve\":\"house\",\"oneRepMax\":168.67}", "{\"curve\":\"handbook\",\"oneRepMax\":168.67}",
            "{\"curve\":\"epley\",\"oneRepMax\":172.67}", "{\"curve\":\"brzycki\",\"oneRepMax\":168}");
  }

  @ParameterizedTest
  @CsvSource({
    "load=140&reps=5, 400", "load=abc&reps=5&unit=kg, 400", "load=140&reps=5&unit=stone, 400", "load=140&unit=kg, 400",
    "load=140&reps=5&unit=kg&x=1, 400", "load=140&reps=16&unit=kg, 422", "load=140&reps=12&rpe=6&unit=kg, 422",
    "load=0&reps=5&unit=kg, 422", "load=1001&reps=5&unit=kg, 422", "load=140&reps=5&rpe=11&unit=kg, 422",
    "load=140&reps=5&rpe=8.3&unit=kg, 422", "load=140&reps=0&unit=kg, 422", "load=140&reps=11&unit=kg, 200",
  })
  void answersBadParametersAsAProblem(String query, int status) {
    HttpResponse<String> answer = new Client(TestApp.running()).get("/api/v1/estimate?" + query);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(status);
    if (status != 200) {
      assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith("application/problem+json");
      assertThat(body(answer).get("detail").stringValue()).isNotBlank();
    }
  }

  @Test
  void resolvesALineWithItsRampAndPlates() {
    JsonNode json = body(resolve("{'unit':'kg','work':'1x1 @8; 4x4 -15%','maxes':{'estimated':195},'lift':'squat'}"));
    assertThat(json.get("notation").stringValue()).isEqualTo("1x1 @8; 4x4 -15%");
    assertThat(json.get("sets").size()).isEqualTo(5);
    JsonNode top = json.get("sets").get(0);
    assertThat(top.get("role").stringValue()).isEqualTo("top");
    assertThat(top.get("exact").doubleValue()).isEqualTo(181.35);
    assertThat(top.get("load").doubleValue()).isEqualTo(182.5);
    assertThat(top.get("percent").intValue()).isEqualTo(93);
    assertThat(top.get("perSide").toString()).isEqualTo("[25,25,25,5,1.25]");
    assertThat(top.get("status").stringValue()).isEqualTo("planned");
    assertThat(json.get("sets").get(4).get("load").intValue()).isEqualTo(155);
    assertThat(json.get("ramp").get(0).toString()).isEqualTo("{\"load\":20,\"reps\":10,\"perSide\":[]}");
    assertThat(json.get("today").isNull()).isTrue();
  }

  @Test
  void takesLoggedSetsInOrderOrByPlace() {
    String inOrder = "{'unit':'kg','work':'1x1 @8; 2x4 -15%','maxes':{'estimated':195},'logged':[{'load':190,'reps':1,'rpe':8}]}";
    String byPlace = inOrder.replace("'load':190", "'part':1,'set':1,'load':190");
    assertThat(resolve(inOrder).body()).isEqualTo(resolve(byPlace).body());
    JsonNode json = body(resolve(inOrder));
    assertThat(json.get("sets").get(1).get("load").doubleValue()).as("190 × 0.85 = 161.5").isEqualTo(162.5);
    assertThat(json.get("sets").get(0).get("status").stringValue()).isEqualTo("logged");
    assertThat(json.get("today").get("estimate").doubleValue()).as("190/0.93").isEqualTo(204.3);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "5x5 @11 | 4 | 7", "'' | 0 | 0", "3x5 85% tm | 4 | 10", "5x5 75% today of squat | 17 | 22",
  })
  void saysWhereALineIsWrong(String work, int from, int to) {
    HttpResponse<String> answer = resolve("{'unit':'kg','work':'" + work + "','maxes':{'estimated':195}}");
    assertThat(answer.statusCode()).isEqualTo(422);
    JsonNode error = body(answer).get("errors").get(0);
    assertThat(error.get("from").intValue()).isEqualTo(from);
    assertThat(error.get("to").intValue()).isEqualTo(to);
    assertThat(error.get("message").stringValue()).isNotBlank();
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "{'unit':'kg','work':'5x5','maxes':{},'colour':'red'} | 400",
    "{'unit':'kg','work':5,'maxes':{}} | 400",
    "{'unit':'kg','work':'5x5','maxes':{'estimated':'195'}} | 400",
    "{'unit':'kg','work':'5x5'} | 400",
    "{'work':'5x5','maxes':{}} | 400",
    "[] | 400",
    "{ | 400",
    "{'unit':'kg','work':'5x5','maxes':{},'basis':'today'} | 400",
    "{'unit':'kg','work':'5x5','maxes':{'estimated':-5}} | 422",
    "{'unit':'kg','work':'5x5','maxes':{'estimated':1e300}} | 422",
    "{'unit':'kg','work':'5x5','maxes':{},'plates':[{'mass':25,'pairs':0}]} | 422",
    "{'unit':'kg','work':'5x5','maxes':{},'plates':[{'mass':25,'pairs':1},{'mass':25,'pairs':1}]} | 422",
    "{'unit':'kg','work':'5x5','maxes':{},'logged':[{'part':2,'set':1,'load':5,'reps':5}]} | 422",
    "{'unit':'kg','work':'5x5','maxes':{}} | 200",
  })
  void refusesABodyThatIsNotDescribed(String json, int status) {
    HttpResponse<String> answer = resolve(json);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(status);
    assertThat(answer.body()).doesNotContain("Exception");
  }

  @Test
  void loadsWhatTheStockAllowsInPounds() {
    JsonNode json = body(resolve("{'unit':'lb','work':'3x5 "
        + "75%','maxes':{'estimated':405},'bar':45,'plates':[{'mass':45,'pairs':2},{'mass':25,'pairs':1}],'ramp':false}"));
    assertThat(json.get("sets").get(0).get("load").intValue()).as("303.75; 275 is all there is").isEqualTo(275);
    assertThat(json.get("cautions").get(0).get("code").stringValue()).isEqualTo("beyond-stock");
    assertThat(json.get("ramp").size()).isZero();
  }

  @Test
  void answersEveryFieldOfTheFurtherSchemes() {
    JsonNode bands = set("3x3 80% bands 10>40kg at bottom", 0);
    assertThat(bands.get("exact").intValue()).isEqualTo(156);
    assertThat(bands.get("load").intValue()).as("156 less the 10 at the bottom").isEqualTo(145);
    assertThat(bands.get("bottom").intValue()).isEqualTo(155);
    assertThat(bands.get("top").intValue()).isEqualTo(185);
    assertThat(bands.get("percent").intValue()).isEqualTo(80);
    JsonNode carry = set("carry 2x60ft 140kg in 45s turns 1", 1);
    assertThat(carry.get("role").stringValue()).isEqualTo("carry");
    assertThat(carry.get("reps").isNull()).isTrue();
    assertThat(carry.get("metres").doubleValue()).as("18.288, to the centimetre").isEqualTo(18.29);
    assertThat(carry.get("turns").intValue()).isEqualTo(1);
    assertThat(carry.get("limitSeconds").intValue()).isEqualTo(45);
    assertThat(set("hold 1x30s 60kg", 0).get("seconds").intValue()).isEqualTo(30);
    assertThat(set("cluster 3x6 93% gap 20s", 2).get("gapSeconds").intValue()).isEqualTo(20);
    assertThat(set("emom 2x2 70%", 0).get("everySeconds").intValue()).isEqualTo(60);
    assertThat(set("5x5 70% until @9", 4).get("stop").stringValue()).isEqualTo("@9");
    assertThat(set("5x5 75%", 0).propertyNames()).as("what does not apply is left out")
        .doesNotContain("bottom", "top", "seconds", "metres", "turns", "gapSeconds", "limitSeconds", "everySeconds", "stop",
            "repsTo", "exactFrom");
  }

  private JsonNode set(String work, int index) {
    return body(resolve("{'unit':'kg','work':'" + work + "','maxes':{'estimated':195}}")).get("sets").get(index);
  }

  @Test
  void aRatingUnderSixIsAnsweredAndTellsNothingOfTheDay() {
    JsonNode json = body(resolve("{'unit':'kg','work':'1x1 @8; 1x4 "
        + "-15%','maxes':{'estimated':195},'logged':[{'load':170,'reps':1,'rpe':5.5}]}"));
    assertThat(json.get("sets").get(0).get("rpe").doubleValue()).isEqualTo(5.5);
    assertThat(json.get("today").isNull()).isTrue();
    assertThat(json.get("sets").get(1).get("load").intValue()).as("85 % of 170").isEqualTo(145);
    assertThat(resolve("{'unit':'kg','work':'1x1 @8','maxes':{'estimated':195},'logged':[{'load':170,'reps':1,'rpe':5.3}]}")
        .statusCode()).isEqualTo(422);
  }

  @Test
  void cautionsCarryTheirReasonAndTheLevelCounts() {
    JsonNode json = body(resolve("{'unit':'kg','work':'negative 1x6 120%','maxes':{'estimated':195},'level':'beginner'}"));
    assertThat(json.get("cautions").valueStream().map(c -> c.get("code").stringValue()))
        .containsExactly("negative", "level", "spotters-carry");
    assertThat(json.get("cautions").valueStream()).allMatch(c -> !c.get("reason").stringValue().isBlank());
    assertThat(body(resolve("{'unit':'kg','work':'3x3 125%','maxes':{'estimated':195},'partial':true}")).get("sets").get(0)
        .get("load").doubleValue())
        .as("243.75, the lower of two equally near").isEqualTo(242.5);
  }
}
