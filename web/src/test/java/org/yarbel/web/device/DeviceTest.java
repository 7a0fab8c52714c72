package org.yarbel.web.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class DeviceTest {
  private static final String[] HTMX = {"HX-Request", "true"};

  private record Measuring(TestApp app, Someone lifter, long session, String token) {
    static Measuring of(TestApp app, String name) {
      Someone lifter = Someone.called(app, name, Map.of("squat", "200"));
      lifter.add(TestApp.TODAY, "MAIN", "squat", "3x3 75%");
      long session = app.session(name, TestApp.TODAY);
      lifter.coach().post("/sessions/" + session + "/issue", Map.of(), HTMX);
      String page = lifter.coach().post(lifter.at("/devices"), Map.of("name", "sensor on the bar")).body();
      Matcher token = Pattern.compile("id=\"token\">([^<]+)<").matcher(page);
      assertThat(token.find()).isTrue();
      return new Measuring(app, lifter, session, token.group(1));
    }

    Instant now() {
      return app.bean(ClubClock.class).now().truncatedTo(ChronoUnit.MILLIS);
    }

    HttpResponse<String> send(Instant started, String reps) {
      return lifter.coach().postJson("/sensor", "{\"device\":\"" + token + "\",\"started\":\"" + started + "\",\"reps\":[" + reps + "]}");
    }

    void log(int set, int reps, String... more) {
      String line = app.jdbc().sql("select ref::text from slot where session_id = :s").param("s", session).query(String.class).single();
      Map<String, String> entry = new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "slot", line, "part", "1", "set", "" + set,
          "issue", "1", "seen", "-1", "load", "150", "reps", "" + reps, "outcome", "done", "sure", "1"));
      for (int i = 0; i < more.length; i += 2) {
        entry.put(more[i], more[i + 1]);
      }
      lifter.coach().post("/sessions/" + session + "/sets", entry, HTMX);
    }

    List<String> speeds() {
      return app.jdbc().sql("select coalesce(speeds::text, '-') || coalesce(' ' || speed_source, '') from logged_set where session_id = :s "
          + "order by set_number").param("s", session).query(String.class).list();
    }
  }

  private static String reps(String... means) {
    StringBuilder all = new StringBuilder();
    for (int i = 0; i < means.length; i++) {
      all.append(i == 0 ? "" : ",").append("{\"seconds\":").append(2 * i + 2).append(",\"metres\":0.6,\"mean\":").append(means[i]).append('}');
    }
    return all.toString();
  }

  @Test
  void whatWasMeasuredGoesToTheSetThatIsWrittenDownThen(TestApp app) {
    Measuring measuring = Measuring.of(app, "Sensor One");
    Instant started = measuring.now().minusSeconds(30);
    HttpResponse<String> answer = measuring.send(started, reps("0.48", "0.45", "0.41"));
    assertThat(answer.statusCode()).isEqualTo(202);
    assertThat(answer.body()).isEqualTo("{\"reps\":3,\"found\":false}");
    assertThat(measuring.send(started, reps("0.48", "0.45", "0.41")).statusCode()).as("sent again").isEqualTo(202);
    measuring.log(1, 2);
    measuring.log(2, 3);
    assertThat(measuring.speeds()).as("three reps are of the set of three").containsExactly("-", "{480,450,410} DEVICE");
    measuring.log(3, 3);
    assertThat(measuring.speeds().get(2)).as("each is found once").isEqualTo("-");
    assertThat(measuring.send(measuring.now().minusSeconds(10), reps("0.4", "0.39", "0.38")).body()).as("told after it was written down")
        .isEqualTo("{\"reps\":3,\"found\":true}");
    assertThat(measuring.speeds().get(2)).isEqualTo("{400,390,380} DEVICE");
    assertThat(measuring.lifter().coach().get(measuring.lifter().at("/devices")).body()).contains("0.48 0.45 0.41 m/s", "written to its set",
        "sent last ");
  }

  @Test
  void whatATypedSpeedSaysStays(TestApp app) {
    Measuring measuring = Measuring.of(app, "Sensor Two");
    measuring.send(measuring.now().minusSeconds(20), reps("0.48", "0.45", "0.41"));
    measuring.log(1, 3, "chips", "1", "speeds", "0.5");
    assertThat(measuring.speeds()).containsExactly("{500} TYPED");
    measuring.log(2, 2, "ended", "COULD_NOT");
    assertThat(measuring.speeds().get(1)).as("two good ones and the one that failed").isEqualTo("{480,450,410} DEVICE");
  }

  @Test
  void aRevokedTokenOpensNothing(TestApp app) {
    Measuring measuring = Measuring.of(app, "Sensor Three");
    Instant started = measuring.now().minusSeconds(60);
    measuring.send(started, reps("0.48"));
    long id = app.jdbc().sql("select id from device where lifter_id = :l").param("l", measuring.lifter().id()).query(Long.class).single();
    measuring.lifter().coach().post(measuring.lifter().at("/devices/" + id + "/revoke"), Map.of());
    HttpResponse<String> refused = measuring.send(started.plusSeconds(9), reps("0.48"));
    assertThat(refused.statusCode()).isEqualTo(401);
    assertThat(refused.headers().firstValue("Content-Type")).contains("application/problem+json");
    assertThat(refused.body()).contains("No device has this token, or it was revoked.");
    assertThat(measuring.lifter().coach().postJson("/sensor", "{\"device\":\"x\",\"started\":\"" + started + "\",\"reps\":[]}").statusCode())
        .isEqualTo(401);
    assertThat(app.jdbc().sql("select count(*) from device_set where lifter_id = :l").param("l", measuring.lifter().id()).query(Long.class)
        .single()).as("what was told before stays").isEqualTo(1);
    assertThat(app.jdbc().sql("select token_hash from device where id = :id").param("id", id).query(String.class).single()).as("only a fingerprint")
        .isNotEqualTo(measuring.token()).hasSize(64);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {"{\"seconds\":2,\"metres\":0.6,\"mean\":12}|The bar speed must be from 0.01 to 3 m/s but was 12.",
      "{\"seconds\":2,\"metres\":4,\"mean\":0.4}|The metres of a rep must be over 0 and at most 3.",
      "{\"seconds\":0,\"metres\":0.6,\"mean\":0.4}|The seconds of a rep must be over 0 and at most 600.",
      "{\"seconds\":2,\"metres\":0.6}|The bar speed must be from 0.01 to 3 m/s but was 0.",
      "{\"seconds\":2,\"metres\":0.6,\"mean\":0.4},{\"seconds\":1,\"metres\":0.6,\"mean\":0.4}|Each rep must end after the one before it."})
  void refusesWhatNoBarDoes(String reps, String why) {
    TestApp app = TestApp.running();
    Measuring measuring = Measuring.of(app, "Sensor " + why.hashCode());
    HttpResponse<String> answer = measuring.send(measuring.now(), reps);
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains(why);
  }

  @Test
  void hasItsBounds(TestApp app) {
    Measuring measuring = Measuring.of(app, "Sensor Four");
    assertThat(measuring.send(measuring.now().minus(25, ChronoUnit.HOURS), reps("0.4")).body()).contains("within a day behind now");
    assertThat(measuring.send(measuring.now().plus(6, ChronoUnit.MINUTES), reps("0.4")).statusCode()).isEqualTo(422);
    assertThat(measuring.send(measuring.now(), "").body()).contains("A set must have 1 to 100 reps.");
    assertThat(measuring.lifter().coach().postJson("/sensor", "{\"device\":7").statusCode()).isEqualTo(400);
    assertThat(measuring.lifter().coach().postJson("/sensor", "{\"reps\":\"" + "x".repeat(300_000) + "\"}").statusCode()).isEqualTo(413);
    Client coach = measuring.lifter().coach();
    for (int i = 0; i < Devices.MOST - 1; i++) {
      coach.post(measuring.lifter().at("/devices"), Map.of("name", "more " + i));
    }
    assertThat(coach.post(measuring.lifter().at("/devices"), Map.of("name", "one too many")).body()).contains("A lifter has at most 10 devices.");
    assertThat(coach.post(measuring.lifter().at("/devices"), Map.of("name", "")).body()).contains("Write what the device is called");
  }

  @Test
  void aSimulatedSensorPlaysASet(TestApp app) {
    Measuring measuring = Measuring.of(app, "Sensor Five");
    measuring.log(1, 3);
    Client coach = measuring.lifter().coach();
    coach.post(measuring.lifter().at("/devices/play"), Map.of("token", measuring.token(), "reps", "3", "speed", "0.5"));
    assertThat(measuring.speeds()).containsExactly("{500,480,461} DEVICE");
    assertThat(coach.post(measuring.lifter().at("/devices/play"), Map.of("token", "wrong", "reps", "3", "speed", "0.5")).body())
        .contains("No device has this token");
    assertThat(coach.post(measuring.lifter().at("/devices/play"), Map.of("token", measuring.token(), "reps", "101", "speed", "9")).body())
        .contains("The reps must be a whole number from 1 to 100", "The speed of the first rep must be a number from 0.05 to 3");
  }

  @Test
  void anothersDevicesAreNotThere(TestApp app) {
    Measuring measuring = Measuring.of(app, "Sensor Six");
    Client maren = Client.of(app, "maren");
    assertThat(maren.get(measuring.lifter().at("/devices")).statusCode()).isEqualTo(404);
    assertThat(maren.post(measuring.lifter().at("/devices"), Map.of("name", "mine")).statusCode()).isEqualTo(404);
    long id = app.jdbc().sql("select id from device where lifter_id = :l").param("l", measuring.lifter().id()).query(Long.class).single();
    assertThat(maren.post("/lifters/" + app.lifter("Maren") + "/devices/" + id + "/revoke", Map.of()).statusCode()).isEqualTo(404);
    assertThat(maren.get("/lifters/" + app.lifter("Maren") + "/devices").statusCode()).isEqualTo(200);
  }
}
