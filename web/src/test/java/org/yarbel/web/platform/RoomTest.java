package org.yarbel.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.support.TestApp;

/** The warm-up room and the rules of a day. */
@ExtendWith(TestApp.class)
class RoomTest {

  private static Meet meet(TestApp app, String name) {
    Meet meet = Meet.of(app, name);
    rules(meet, Map.of("starts", "A Squat 10:00\nA Bench press 11:30"));
    meet.coach().post(meet.at("/day/" + meet.athlete() + "/person"), Map.of("category", "93", "body", "92", "flight", "A", "lot", "3", "key",
        UUID.randomUUID().toString()));
    meet.send(Meet.entry("squat", 1, "180", ""));
    return meet;
  }

  /** The rules as they stand in the form. */
  static final Map<String, String> USUAL = usual();

  private static Map<String, String> usual() {
    Map<String, String> form = new HashMap<>(Map.of("step", "2.5", "recordStep", "0.5", "changes0", "1", "changes1", "0", "changes2", "0", "changes3",
        "2", "toHandIn", "60", "free", "3", "anAttempt", "60", "bar", "20"));
    form.putAll(Map.of("collar", "2.5", "plates", "25 20 15 10 5 2.5 1.25 0.5 0.25", "lifts", "Squat, Bench press, Deadlift", "formula", "DOTS",
        "lighterFirst", "yes", "countsBack", "yes", "withdrawnKeeps", "yes"));
    return form;
  }

  static String version(Meet meet) {
    return meet.coach().get(meet.at("/rules")).body().replaceFirst("(?s).*name=\"version\" value=\"(\\d+)\".*", "$1");
  }

  private static HttpResponse<String> rules(Meet meet, Map<String, String> changed) {
    Map<String, String> form = new HashMap<>(USUAL);
    form.put("version", version(meet));
    form.putAll(changed);
    return meet.coach().post(meet.at("/rules"), form);
  }

  private static RoomView room(TestApp app, Meet meet) {
    return meet.someone().within(() -> app.bean(RoomPages.class).view(meet.contest(), false));
  }

  @Test
  void everyStepIsCountedBackFromThePlatform(TestApp app) {
    Meet meet = meet(app, "Matty Oakes");
    RoomView room = room(app, meet);
    assertThat(room.warming()).singleElement().satisfies(one -> {
      assertThat(one.clock()).as("nobody of the flight opens lighter").isEqualTo("10:00:00");
      assertThat(one.opener()).isEqualTo("180 kg");
    });
    RoomView.DueView last = room.due().get(room.due().size() - 1);
    assertThat(last.clock()).as("six and a half minutes before").isEqualTo("09:53:30");
    assertThat(Double.parseDouble(last.load())).as("86 to 98 % of the opener").isBetween(0.86 * 180, 0.98 * 180);
    meet.add("Ned Garrow, m, 93, 92, A, 9\nOwen Tull, m, 93, 92, B, 9");
    meet.send(meet.coach(), meet.rival("Ned Garrow"), Meet.entry("squat", 1, "160", ""));
    meet.send(meet.coach(), meet.rival("Owen Tull"), Meet.entry("squat", 1, "150", ""));
    assertThat(room(app, meet).warming().get(0).clock()).as("one of the own flight opens lighter").isEqualTo("10:01:00");
  }

  @Test
  void oneLifterMoreAndALateFlightShiftAllOfIt(TestApp app) {
    Meet meet = meet(app, "Nye Farrow");
    String warm = meet.at("/warm-up/" + meet.athlete());
    assertThat(meet.coach().post(warm, Map.of("lift", "squat", "ahead", "7")).statusCode()).isEqualTo(302);
    assertThat(room(app, meet).warming().get(0).clock()).isEqualTo("10:07:00");
    meet.coach().post(meet.at("/warm-up/late"), Map.of("minutes", "12"));
    assertThat(room(app, meet).warming().get(0).clock()).isEqualTo("10:19:00");
    meet.coach().post(meet.at("/warm-up/late"), Map.of("minutes", "-5"));
    assertThat(room(app, meet).warming().get(0).clock()).isEqualTo("10:02:00");
    meet.coach().post(meet.at("/warm-up/late"), Map.of("minutes", "−7"));
    assertThat(room(app, meet).warming().get(0).clock()).as("with the sign of a minus").isEqualTo("10:00:00");
    for (Map<String, String> wrong : List.of(Map.of("minutes", "soon"), Map.of("minutes", "999"), Map.of("minutes", ""))) {
      HttpResponse<String> refused = meet.coach().post(meet.at("/warm-up/late"), wrong);
      assertThat(refused.statusCode()).isEqualTo(422);
      assertThat(refused.body()).contains("Write how many minutes late it is, from -360 to 360.");
    }
    assertThat(meet.coach().post(warm, Map.of("lift", "squat", "ahead", "101")).body()).contains("From 0 to 100 attempts may be ahead.");
    assertThat(meet.coach().post(warm, Map.of("lift", "curl", "ahead", "1")).statusCode()).isEqualTo(422);
  }

  @Test
  void whatIsLiftedStandsSoAndCanBeTakenBack(TestApp app) {
    Meet meet = meet(app, "Olin Crake");
    String warm = meet.at("/warm-up/" + meet.athlete());
    meet.coach().post(warm, Map.of("lift", "squat", "toggle", "0"));
    meet.coach().post(warm, Map.of("lift", "squat", "toggle", "1"));
    assertThat(room(app, meet).due()).filteredOn(RoomView.DueView::done).extracting(RoomView.DueView::number).containsExactly(0, 1);
    meet.coach().post(warm, Map.of("lift", "squat", "toggle", "0"));
    assertThat(room(app, meet).due()).filteredOn(RoomView.DueView::done).extracting(RoomView.DueView::number).containsExactly(1);
    meet.coach().post(warm, Map.of("lift", "squat", "done", "0,1,2,77,x"), "HX-Request", "true");
    assertThat(room(app, meet).due()).filteredOn(RoomView.DueView::done).extracting(RoomView.DueView::number).containsExactly(0, 1, 2);
  }

  @Test
  void oneBarForAllSaysWhatComesOffAndGoesOn(TestApp app) {
    Meet meet = meet(app, "Perrin Hale");
    String shared = meet.coach().get(meet.at("/warm-up?shared=yes")).body();
    assertThat(shared).contains("A bar for each").containsPattern("on 2\\d|on 1\\d|on 5");
    assertThat(meet.coach().post(meet.at("/warm-up/" + meet.athlete()), Map.of("lift", "squat", "toggle", "0", "shared", "yes"), "HX-Request", "true")
        .body()).as("one bar stays one bar after a press").contains("A bar for each");
    assertThat(meet.coach().get(meet.at("/warm-up")).body()).contains("One bar for all");
  }

  @Test
  void withoutAStartOrAnOpenerItIsSaid(TestApp app) {
    Meet meet = Meet.of(app, "Quill Marsh");
    assertThat(meet.coach().get(meet.at("/warm-up")).body()).contains("Quill Marsh, squat: no start of the flight is written down.");
  }

  @Test
  void rulesAreKeptAndWhatCannotBeIsSaidBesideItsField(TestApp app) {
    Meet meet = Meet.of(app, "Rafe Stell");
    assertThat(rules(meet, Map.of("step", "2", "lifts", "Bench press", "free", "5", "mock", "yes", "cap", "8.5")).statusCode()).isEqualTo(302);
    String kept = meet.coach().get(meet.at("/rules")).body();
    assertThat(kept).contains("name=\"step\" autocomplete=\"off\" maxlength=\"80\" value=\"2\"", "value=\"Bench press\"");
    assertThat(meet.table()).contains("free attempts", "held to RPE 8.5");
    assertThat(meet.send(Meet.entry("bench", 1, "121", "")).statusCode()).isEqualTo(422);
    assertThat(meet.send(Meet.entry("bench", 1, "122", "")).statusCode()).isEqualTo(200);
    for (String[] wrong : new String[][] {{"step", "0", "The mass must be over 0."}, {"free", "2", "must be a whole number from 3 to 9"},
        {"plates", "25 heavy", "Write the plates with blanks between"}, {"plates", "25 25", "was given twice"}, {"lifts", "Moon lift", "There is no lift"},
        {"lifts", "Squat, Squat", "each once"}, {"starts", "A Squat", "Write each start as flight, lift, time"},
        {"starts", "A Squat 25:00", "Write each start as flight, lift, time"}, {"cap", "11", "RPE"}, {"collar", "", "Write a number."},
        {"version", "99", "Meanwhile somebody else changed this contest"}}) {
      HttpResponse<String> refused = rules(meet, Map.of(wrong[0], wrong[1]));
      assertThat(refused.statusCode()).as(wrong[0] + " " + wrong[1]).isEqualTo(422);
      assertThat(refused.body()).contains(wrong[2]);
    }
  }

  @Test
  void theBagIsPackedByTheLifterThemselves(TestApp app) {
    Meet meet = Meet.of(app, "Seth Arkle");
    meet.coach().post(meet.platform() + "/bag", Map.of("packed.singlet", "yes", "packed." + "x".repeat(200), "yes"));
    assertThat(meet.someone().within(() -> app.bean(ContestAthleteRepository.class).findById(meet.athlete()).orElseThrow().prepared().packed()))
        .containsExactly("singlet");
    assertThat(meet.coach().get(meet.platform()).body()).containsPattern("name=\"packed.singlet\"[^>]*checked");
  }
}
