package org.yarbel.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@ExtendWith(TestApp.class)
class CalculatorTest {
  private static final JsonMapper JSON = new JsonMapper();

  private static HttpResponse<String> post(String call, String json) {
    return new Client(TestApp.running()).postJson("/api/v1/" + call, json.replace('\'', '"'));
  }

  private static JsonNode answer(String call, String json) {
    HttpResponse<String> answer = post(call, json);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    return JSON.readTree(answer.body());
  }

  // plain sums by hand; 25 first would leave 15, which nothing makes
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "{'unit':'kg','target':182.5} | "
        + "{'exact':true,'below':{'total':182.5,'perSide':[25,25,25,5,1.25]},'above':{'total':182.5,'perSide':[25,25,25,5,1.25]}}",
    "{'unit':'lb','target':315} | {'exact':true,'below':{'total':315,'perSide':[45,45,45]},'above':{'total':315,'perSide':[45,45,45]}}",
    "{'unit':'kg','target':101} | {'exact':false,'below':{'total':100,'perSide':[25,15]},'above':{'total':102.5,'perSide':[25,15,1.25]}}",
    "{'unit':'kg','target':100,'plates':[{'mass':20,'pairs':2},{'mass':25,'pairs':1}]} | "
        + "{'exact':true,'below':{'total':100,'perSide':[20,20]},'above':{'total':100,'perSide':[20,20]}}",
    "{'unit':'kg','target':15} | {'exact':false,'below':null,'above':{'total':20,'perSide':[]}}",
    "{'unit':'kg','target':20} | {'exact':true,'below':{'total':20,'perSide':[]},'above':{'total':20,'perSide':[]}}",
    "{'unit':'kg','target':70,'bar':20,'collars':5,'plates':[{'mass':20,'pairs':1}]} | "
        + "{'exact':false,'below':{'total':65,'perSide':[20]},'above':null}",
    "{'unit':'kg','target':60.02,'bar':20,'plates':[{'mass':20.01,'pairs':1}]} | "
        + "{'exact':true,'below':{'total':60.02,'perSide':[20.01]},'above':{'total':60.02,'perSide':[20.01]}}",
  })
  void loadsATargetOrSaysWhatIsNear(String request, String expected) {
    assertThat(answer("plates", request)).isEqualTo(JSON.readTree(expected.replace('\'', '"')));
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "plates | {'unit':'kg'} | 400", "plates | {'unit':'kg','target':'100'} | 400", "plates | {'unit':'stone','target':100} | 400",
    "plates | {'unit':'kg','target':100,'colour':'red'} | 400", "plates | {'unit':'kg','target':0} | 422",
    "plates | {'unit':'kg','target':-100} | 422", "plates | {'unit':'kg','target':1000.5} | 422",
    "plates | {'unit':'kg','target':100,'plates':[{'mass':25,'pairs':1},{'mass':25,'pairs':2}]} | 422",
    "plates | {'unit':'kg','target':100,'plates':[{'mass':25,'pairs':21}]} | 422",
    "plates | {'unit':'kg','target':100,'plates':[{'mass':25}]} | 400",
    "plates | {'unit':'kg','target':100,'plates':[{'mass':1.255,'pairs':1}]} | 422",
    "plates | {'unit':'kg','target':100,'bar':20.005} | 422",
    "plates | {'unit':'kg','target':100,'bar':-20} | 422", "plates | {'unit':'kg','target':100,'plates':[{'mass':0,'pairs':1}]} | 422",
    "ramp | {'unit':'kg'} | 400", "ramp | {'unit':'kg','top':240,'lift':'curl'} | 400",
    "ramp | {'unit':'kg','top':240,'style':'even'} | 400",
    "ramp | {'unit':'kg','top':240,'style':'fixed','jump':0} | 422", "ramp | {'unit':'kg','top':240,'style':'fixed','jump':1} | 422",
    "track | {'unit':'kg'} | 400", "track | {'unit':'kg','observations':[{'date':'2026-02-30','load':100,'reps':5}]} | 400",
    "track | {'unit':'kg','observations':[{'date':'2026-03-01','load':100}]} | 400",
    "track | {'unit':'kg','observations':[{'date':'2026-03-01','load':-1,'reps':5}]} | 422",
    "track | {'unit':'kg','observations':[{'date':'2026-03-01','load':100,'reps':5,'rpe':10.5}]} | 422",
    "track | {'unit':'kg','observations':[{'date':'2026-03-01','load':100,'reps':5}],'at':'2026-02-01'} | 422",
    "track | {'unit':'kg','level':'novice','observations':[]} | 400", "track | {'unit':'kg','observations':[null]} | 400",
  })
  void refusesWhatIsNotDescribedOrOutOfRange(String call, String request, int status) {
    HttpResponse<String> answer = post(call, request);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(status);
    assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith("application/problem+json");
    assertThat(answer.body()).doesNotContain("Exception");
  }

  // the worked example of the trade: aims 76, 88.5 and 95 % of 240
  @Test
  void warmsUpToATop() {
    JsonNode ramp = answer("ramp", "{'unit':'kg','top':240,'lift':'squat'}");
    assertThat(ramp.get("steps").toString()).contains("{\"load\":20,\"reps\":10,\"perSide\":[]}")
        .contains("\"load\":182.5,\"reps\":3", "\"load\":212.5,\"reps\":2", "\"load\":227.5,\"reps\":1").doesNotContain("\"load\":240");
    JsonNode fixed = answer("ramp", "{'unit':'lb','top':405,'lift':'deadlift','style':'fixed'}");
    assertThat(fixed.get("steps").toString()).as("135 and jumps of 90").contains("\"load\":135", "\"load\":225", "\"load\":315")
        .doesNotContain("405");
    assertThat(answer("ramp", "{'unit':'kg','top':15}").get("steps").isEmpty()).isTrue();
  }

  // Haff & Triplett's table by way of the house curve: 5 at 8 is 7 to failure, 83 %; 12 at 6 is 16, beyond
  @Test
  void answersAChart(TestApp app) {
    JsonNode rows = JSON.readTree(new Client(app).get("/api/v1/chart?curve=house").body()).get("rows");
    assertThat(rows.size()).isEqualTo(9);
    assertThat(rows.get(0).get("rpe").doubleValue()).isEqualTo(10);
    assertThat(rows.get(8).get("rpe").doubleValue()).isEqualTo(6);
    assertThat(rows.get(4).get("percents").get(4).doubleValue()).isEqualTo(83);
    assertThat(rows.get(8).get("percents").get(11).isNull()).isTrue();
    assertThat(new Client(app).get("/api/v1/chart?curve=other").statusCode()).isEqualTo(400);
    assertThat(new Client(app).get("/api/v1/chart").body()).isEqualTo(new Client(app).get("/api/v1/chart?curve=house").body());
  }

  // our own defaults; every figure from the worked example of the tracker's specification, days counted from 2 March
  @Test
  void tracksALog() {
    String log = "{'unit':'kg','level':'intermediate','tested':{'load':200,'date':'2026-03-02'},'observations':["
        + "{'date':'2026-02-27','load':150,'reps':5,'rpe':8},"
        + "{'date':'2026-03-05','load':185,'reps':1,'rpe':8},{'date':'2026-03-05','load':165,'reps':4,'rpe':7.5},"
        + "{'date':'2026-03-05','load':165,'reps':4},{'date':'2026-03-05','load':60,'reps':20,'rpe':7},"
        + "{'date':'2026-03-09','load':177.5,'reps':3,'rpe':10},{'date':'2026-03-09','load':160,'reps':3,'easier':true},"
        + "{'date':'2026-03-09','load':175,'reps':4,'toFailure':true},"
        + "{'date':'2026-04-11','load':205,'reps':1},{'date':'2026-04-11','load':210,'reps':0}]";
    JsonNode track = answer("track", log + "}");
    assertThat(track.get("estimate").doubleValue()).isEqualTo(201.18);
    assertThat(track.get("sd").doubleValue()).isEqualTo(4.55);
    assertThat(track.get("today").get("estimate").doubleValue()).isEqualTo(205.21);
    assertThat(track.get("skipped").toString()).as("twenty reps only train").isEqualTo("[4]");
    assertThat(track.has("chances")).as("nobody asked").isFalse();
    assertThat(track.get("points").get(0).toString()).as("before the test").isEqualTo(
        "{\"date\":\"2026-02-27\",\"raw\":180.72,\"estimate\":null,\"sd\":null}");
    assertThat(track.get("points").get(1).toString()).as("185 of 93 %, the spread 2.2").isEqualTo(
        "{\"date\":\"2026-03-05\",\"raw\":198.92,\"estimate\":200.8,\"sd\":4.03}");
    assertThat(track.get("points").get(3).get("raw").doubleValue()).as("a floor").isEqualTo(205);
    JsonNode later = answer("track", log + ",'at':'2026-05-01','chances':[200, 150, 260]}");
    assertThat(later.get("estimate").doubleValue()).isEqualTo(199.64);
    assertThat(later.get("sd").doubleValue()).isEqualTo(5.1);
    assertThat(later.get("chances").get(0).get("chance").doubleValue()).isEqualTo(0.499941);
    assertThat(later.get("chances").get(1).get("chance").doubleValue()).as("three in a hundred go wrong for skill").isEqualTo(0.97);
    assertThat(later.get("chances").get(2).get("chance").doubleValue()).isLessThan(1e-4);
    assertThat(later.get("learned").get("stretch").doubleValue()).isBetween(1.0, 1.1);
    assertThat(later.get("learned").get("ratingBias").doubleValue()).isBetween(-0.5, 0.0);
  }

  @Test
  void tracksNothingAsNothing() {
    assertThat(answer("track", "{'unit':'kg','observations':[],'chances':[200]}").toString()).isEqualTo("{\"points\":[],\"estimate\":null,"
        + "\"sd\":null,\"today\":null,\"learned\":null,\"chances\":[{\"load\":200,\"chance\":null}],\"skipped\":[]}");
    JsonNode missed = answer("track", "{'unit':'kg','observations':[{'date':'2026-01-01','load':300,'reps':0}]}");
    assertThat(missed.get("skipped").toString()).as("a miss before anything was made").isEqualTo("[0]");
    assertThat(missed.get("estimate").isNull()).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"'at':'2026-01-01',422", "'at':'2026-01-05',200", "'at':'soon',400", "'chances':[0],422", "'chances':[1000.01],422",
    "'chances':'many',400", "'chances':[null],400", "'easier':true,400"})
  void refusesWhatCannotBeTracked(String more, int status) {
    String log = "{'unit':'kg','observations':[{'date':'2026-01-05','load':150,'reps':5,'rpe':8}]," + more + "}";
    assertThat(post("track", log).statusCode()).isEqualTo(status);
  }

  @Test
  void takesAHundredChancesAndNotOneMore() {
    String log = "{'unit':'kg','observations':[{'date':'2026-01-05','load':150,'reps':5,'rpe':8}],'chances':[";
    String hundred = IntStream.rangeClosed(1, 100).mapToObj(Integer::toString).collect(Collectors.joining(","));
    assertThat(answer("track", log + hundred + "]}").get("chances").size()).isEqualTo(100);
    assertThat(post("track", log + hundred + ",101]}").statusCode()).isEqualTo(422);
  }

  @Test
  void takesFiveThousandSetsAndNotOneMore() {
    String sets = IntStream.range(0, 5_000).mapToObj(i -> "{'date':'" + LocalDate.of(2000, 1, 1).plusDays(i)
        + "','load':182.5,'reps':1,'rpe':8.5,'toFailure':false,'contest':false,'nextMissed':false,'flagged':false,'touchAndGo':false}")
        .collect(Collectors.joining(","));
    assertThat(answer("track", "{'unit':'kg','observations':[" + sets + "]}").get("points").size()).isEqualTo(5_000);
    String more = "{'unit':'kg','observations':[" + sets + ",{'date':'2026-01-01','load':1,'reps':1}]}";
    assertThat(post("track", more).statusCode()).isEqualTo(422);
  }

  // computed outside from the published polynomials; 205.03 lb are 93 kg
  @ParameterizedTest
  @CsvSource({
    "formula=dots&sex=m&bodyMass=93&total=800, 509", "formula=wilks&sex=m&bodyMass=93&total=800&equipment=classic&event=full, 502.55",
    "formula=dots&sex=m&bodyMass=205.03&total=1763.7&unit=lb, 509", "formula=dots&sex=m&bodyMass=30&total=0, 0"})
  void answersPoints(String query, double points) {
    HttpResponse<String> answer = new Client(TestApp.running()).get("/api/v1/points?" + query);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    assertThat(JSON.readTree(answer.body()).get("points").doubleValue()).isCloseTo(points, org.assertj.core.api.Assertions.within(0.011));
  }

  @ParameterizedTest
  @CsvSource({
    "sex=m&bodyMass=93&total=800, 400", "formula=best&sex=m&bodyMass=93&total=800, 400", "formula=dots&sex=x&bodyMass=93&total=800, 400",
    "formula=dots&sex=m&total=800, 400", "formula=dots&sex=m&bodyMass=93&total=800&x=1, 400",
    "formula=wilks&sex=m&bodyMass=39&total=800, 422",
    "formula=dots&sex=m&bodyMass=0&total=800, 422", "formula=dots&sex=m&bodyMass=93&total=-1, 422",
    "formula=dots&sex=m&bodyMass=93&total=3001, 422", "formula=ipfgl&sex=m&bodyMass=93&total=800&equipment=raw, 400"})
  void refusesPointsThatCannotBe(String query, int status) {
    assertThat(new Client(TestApp.running()).get("/api/v1/points?" + query).statusCode()).isEqualTo(status);
  }
}
