package org.yarbel.web.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class ArrangingTest {
  private static final String[] HTMX = {"HX-Request", "true"};
  private static final Pattern UNDO = Pattern.compile("/changes/(\\d+)/undo");

  /** A day of Ansel's that nobody else writes in. */
  private record Day(TestApp app, Client coach, LocalDate date) {
    static Day on(TestApp app, int offset, String... lines) {
      Client coach = Client.of(app, "coach");
      Day day = new Day(app, coach, TestApp.TODAY.plusWeeks(40).plusDays(offset));
      for (String line : lines) {
        String[] pieces = line.split(" ", 2);
        assertThat(coach.post("/lifters/" + app.lifter("Ansel") + "/days/" + day.date() + "/slots",
            Map.of("kind", "ASSISTANCE", "lift", pieces[0], "work", pieces[1]), HTMX).statusCode()).isEqualTo(200);
      }
      return day;
    }

    long session() {
      return app.session("Ansel", date);
    }

    /** The lines in their order: lift, group, and whether it is a second time. */
    List<String> order() {
      return app.jdbc().sql("select lift || coalesce(' ' || group_no, '') || case when link_of is null then '' else ' again' "
          + "end from slot where session_id = :id order by position, id")
          .param("id", session()).query(String.class).list();
    }

    long slot(String lift) {
      return app.jdbc().sql("select id from slot where session_id = :id and lift = :lift and link_of is null")
          .param("id", session()).param("lift", lift).query(Long.class).single();
    }

    HttpResponse<String> post(String path, Map<String, String> form) {
      return coach.post(path, form, HTMX);
    }

    HttpResponse<String> join(String lift) {
      return post("/slots/" + slot(lift) + "/join", Map.of());
    }

    void undo(HttpResponse<String> answer) {
      Matcher change = UNDO.matcher(answer.body());
      assertThat(change.find()).as(answer.body()).isTrue();
      post("/changes/" + change.group(1) + "/undo", Map.of());
    }
  }

  @Test
  void movesALineUpAndDownAndBeforeAnotherAndBack(TestApp app) {
    Day day = Day.on(app, 0, "row 3x10 50kg", "plank hold 3x30s", "leg-curl 3x12");
    assertThat(day.post("/slots/" + day.slot("leg-curl") + "/move", Map.of("by", "-1")).body()).contains("Moved.");
    assertThat(day.order()).containsExactly("row", "leg-curl", "plank");
    day.post("/slots/" + day.slot("plank") + "/move", Map.of("before", "" + day.slot("row")));
    assertThat(day.order()).containsExactly("plank", "row", "leg-curl");
    HttpResponse<String> last = day.post("/slots/" + day.slot("plank") + "/move", Map.of("before", "0"));
    assertThat(day.order()).containsExactly("row", "leg-curl", "plank");
    assertThat(day.post("/slots/" + day.slot("plank") + "/move", Map.of("by", "1")).body()).contains("It stands there already.");
    day.undo(last);
    assertThat(day.order()).containsExactly("plank", "row", "leg-curl");
    day.undo(last);
    assertThat(day.order()).as("undone once").containsExactly("plank", "row", "leg-curl");
  }

  @Test
  void doesLinesByTurnsAndApartAgain(TestApp app) {
    Day day = Day.on(app, 1, "row 3x10 50kg", "plank hold 3x30s", "leg-curl 3x12", "face-pull 3x15");
    assertThat(day.join("row").body()).contains("There is no line above it");
    day.join("plank");
    HttpResponse<String> three = day.join("leg-curl");
    assertThat(day.order()).containsExactly("row 1", "plank 1", "leg-curl 1", "face-pull");
    assertThat(three.body()).as("three lines are a giant set").contains("selected=\"selected\">giant set</option>");
    day.post("/slots/" + day.slot("face-pull") + "/move", Map.of("by", "-1"));
    assertThat(day.order()).as("between two lines of a group it joins them")
        .containsExactly("row 1", "plank 1", "face-pull 1", "leg-curl 1");
    day.post("/slots/" + day.slot("plank") + "/leave", Map.of());
    assertThat(day.order()).as("out of the middle it goes behind").containsExactly("row 1", "face-pull 1", "leg-curl 1", "plank");
    day.post("/slots/" + day.slot("face-pull") + "/leave", Map.of());
    HttpResponse<String> gone = day.post("/slots/" + day.slot("leg-curl") + "/leave", Map.of());
    assertThat(day.order()).as("a group of one is none").noneMatch(line -> line.contains("1"));
    day.undo(gone);
    assertThat(day.order()).filteredOn(line -> line.contains(" 1")).hasSize(2);
  }

  @Test
  void aLineThatComesBackIsDoneByTurnsAgain(TestApp app) {
    Day day = Day.on(app, 8, "row 3x10 50kg", "plank hold 3x30s");
    day.join("plank");
    day.post("/sessions/" + day.session() + "/groups/1", Map.of("kind", "CIRCUIT", "rounds", "2"));
    HttpResponse<String> out = day.post("/slots/" + day.slot("plank") + "/remove", Map.of("version", version(app, day.slot("plank"))));
    assertThat(day.order()).as("a group of one is none").containsExactly("row");
    day.undo(out);
    assertThat(day.order()).containsExactly("row 1", "plank 1");
    assertThat(day.coach().get("/lifters/" + app.lifter("Ansel") + "/week?of=" + day.date()).body())
        .contains("selected=\"selected\">circuit</option>");
  }

  @Test
  void theFirstOfAGroupLeavesToStandBeforeIt(TestApp app) {
    Day day = Day.on(app, 7, "row 3x10 50kg", "plank hold 3x30s", "leg-curl 3x12");
    day.join("plank");
    day.join("leg-curl");
    day.post("/slots/" + day.slot("row") + "/leave", Map.of());
    assertThat(day.order()).containsExactly("row", "plank 1", "leg-curl 1");
    assertThat(day.post("/slots/" + day.slot("row") + "/leave", Map.of()).body()).contains("It is done by itself already.");
  }

  @Test
  void roundsMultiplyTheSetsAndTheCardGoesByTurns(TestApp app) {
    Day day = Day.on(app, 2, "row 2x10 50kg", "plank hold 1x30s");
    day.join("plank");
    HttpResponse<String> answer = day.post("/sessions/" + day.session() + "/groups/1",
        Map.of("kind", "CIRCUIT", "rounds", "3", "between", "20", "betweenRounds", "1:30", "clock", ""));
    assertThat(answer.body()).contains("Group changed: circuit, 3 rounds, 20 s between, 90 s between rounds.").contains("50 ×6");
    String card = day.coach().card(day.session()).body();
    assertThat(card).contains("round 1 of 3").contains("circuit, 3 rounds");
    assertThat(panels(card)).containsExactly("1-1", "1-2", "1-1", "1-3", "1-4", "1-2", "1-5", "1-6", "1-3");
    assertThat(card).contains("Next: ").contains("then rest 1:30.").contains("then rest 0:20.");
    HttpResponse<String> tooMany = day.post("/sessions/" + day.session() + "/groups/1", Map.of("kind", "CIRCUIT", "rounds", "99"));
    assertThat(tooMany.statusCode()).isEqualTo(422);
    assertThat(tooMany.body()).contains("The rounds must be from 1 to 20 but was 99.").contains("value=\"99\"");
    assertThat(day.post("/sessions/" + day.session() + "/groups/1", Map.of("kind", "CIRCUIT", "between", "soon")).body())
        .contains("The rest between exercises must be a whole number but was &#39;soon&#39;.");
  }

  private static List<String> panels(String card) {
    return Pattern.compile("data-panel-id=\"[0-9a-f-]{36}-(\\d+-\\d+)\"").matcher(card).results().map(found -> found.group(1)).toList();
  }

  @Test
  void aGroupIsDoneASecondTimeAndFollowsTheFirst(TestApp app) {
    Day day = Day.on(app, 3, "row 2x10 50kg", "plank hold 2x30s", "squat 3x5 60kg");
    day.join("plank");
    HttpResponse<String> again = day.post("/sessions/" + day.session() + "/groups/1/again", Map.of());
    assertThat(again.body()).contains("Done again at the end, as cool-down.").contains("The superset above once more");
    assertThat(day.order()).containsExactly("row 1", "plank 1", "squat", "row 2 again", "plank 2 again");
    assertThat(day.post("/sessions/" + day.session() + "/groups/1/again", Map.of()).body()).contains("It is done a second time already.");
    long second = app.jdbc().sql("select min(id) from slot where session_id = :id and link_of is not null")
        .param("id", day.session()).query(Long.class).single();
    assertThat(day.post("/slots/" + second + "/move", Map.of("by", "-1")).body()).contains("It follows the line it does again");
    assertThat(day.post("/slots/" + second + "/leave", Map.of()).body()).contains("It follows the line it does again");
    assertThat(day.post("/sessions/" + day.session() + "/groups/2", Map.of("kind", "CIRCUIT", "rounds", "5")).body())
        .contains("It follows the line it does again");
    day.post("/slots/" + day.slot("row"), Map.of("kind", "PREPARE", "lift", "row", "work", "2x12 40kg", "version",
        version(app, day.slot("row"))));
    assertThat(app.jdbc().sql("select work from slot where session_id = :id and link_of is not null order by position")
        .param("id", day.session())
        .query(String.class).list()).as("what is written above").containsExactly("2x12 40kg", "hold 2x30s");
    day.post("/slots/" + day.slot("squat") + "/move", Map.of("before", "" + day.slot("plank")));
    assertThat(day.order()).as("a line that joins is done twice too").containsExactly("row 1", "squat 1", "plank 1", "row 2 again",
        "plank 2 again", "squat 2 again");
    day.post("/sessions/" + day.session() + "/groups/2/dissolve", Map.of());
    assertThat(day.order()).containsExactly("row 1", "squat 1", "plank 1");
    day.undo(again);
    assertThat(day.order()).as("changed since: not undone").containsExactly("row 1", "squat 1", "plank 1");
  }

  private static String version(TestApp app, long slot) {
    return app.jdbc().sql("select version from slot where id = :id").param("id", slot).query(String.class).single();
  }

  @Test
  void whatIsLoggedStaysAsItWasIssued(TestApp app) {
    Day day = Day.on(app, 4, "row 2x10 50kg", "plank hold 2x30s");
    day.join("plank");
    app.jdbc().sql("""
        insert into logged_set (id, club_id, lifter_id, session_id, line, issue_number, part, set_number, lift, day, load_ng, unit, reps,
          to_failure, flagged, entry_key, logged_at, version)
        select nextval('yarbel_id'), club_id, :lifter, session_id, ref, 1, 1, 1, lift, :day, 50000000000000, 'KG', 10, false, false,
          gen_random_uuid(), now(), 0 from slot where id = :slot""")
        .param("lifter", app.lifter("Ansel")).param("day", day.date()).param("slot", day.slot("row")).update();
    assertThat(day.post("/slots/" + day.slot("row") + "/leave", Map.of()).body()).contains("It stays: sets of this line are logged.");
    assertThat(day.post("/sessions/" + day.session() + "/groups/1", Map.of("kind", "CIRCUIT", "rounds", "3")).body())
        .contains("It stays: sets of this group are logged.");
    assertThat(day.post("/sessions/" + day.session() + "/groups/1/dissolve", Map.of()).body()).contains("It stays");
    assertThat(day.order()).containsExactly("row 1", "plank 1");
  }

  @Test
  void anotherClubsLinesAndSessionsAreNotThere(TestApp app) {
    Day day = Day.on(app, 5, "row 2x10 50kg", "plank hold 2x30s");
    for (String path : List.of("/slots/999999999/move", "/slots/999999999/join", "/slots/999999999/leave", "/sessions/999999999/groups/1",
        "/sessions/999999999/groups/1/again", "/sessions/999999999/groups/1/dissolve", "/sessions/" + day.session() + "/groups/7",
        "/sessions/" + day.session() + "/groups/7/again")) {
      assertThat(day.post(path, Map.of()).statusCode()).as(path).isEqualTo(404);
    }
    Client lifter = Client.of(app, "ansel");
    assertThat(lifter.post("/slots/" + day.slot("row") + "/move", Map.of("by", "1"), HTMX).statusCode())
        .as("a lifter plans nothing").isEqualTo(403);
  }

  @Test
  void whatIsSaidBesideTheWorkIsCheckedKeptAndShown(TestApp app) {
    Day day = Day.on(app, 6, "squat 3x5 100kg");
    long slot = day.slot("squat");
    Map<String, String> typed = new HashMap<>(Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 100kg", "version", version(app, slot),
        "details", "1", "optional", "1", "gear", "these", "pieces", "BELT", "gearFrom", "abc", "reason", "slow out of the hole"));
    typed.put("ramp", "20x10 banana");
    typed.put("cues", "chest up");
    HttpResponse<String> refused = day.post("/slots/" + slot, typed);
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("Write the load as a number over 0").contains("value=\"abc\"")
        .contains("but &#39;banana&#39; is not.")
        .contains("value=\"20x10 banana\"").contains("value=\"chest up\"").contains("Not saved yet: see below.");
    typed.put("gearFrom", "80");
    typed.put("ramp", "20x10 60x5 80x2");
    typed.put("mind", "stop if the knee hurts");
    HttpResponse<String> saved = day.post("/slots/" + slot, typed);
    assertThat(saved.body()).contains("Saved.").contains("left to the lifter · belt from 80 kg · why: slow out of the hole");
    String card = day.coach().card(day.session()).body();
    assertThat(card).contains("Left to you.").contains("Gear: belt from 80 kg").contains("Cues: chest up")
        .contains("Mind: stop if the knee hurts")
        .contains("20×10  60×5  80×2");
    typed.put("version", version(app, slot));
    typed.put("work", "3x5 65kg");
    assertThat(day.post("/slots/" + slot, typed).statusCode()).isEqualTo(200);
    assertThat(day.coach().card(day.session()).body()).as("a lower top: the hand-written steps below it stay")
        .contains("20×10  60×5<").doesNotContain("80×2");
    assertThat(day.post("/slots/" + slot, Map.of("kind", "MAIN", "lift", "squat", "work", "3x5 75kg", "version",
        version(app, slot))).body())
        .as("a form without these fields leaves them").contains("why: slow out of the hole");
  }

  @Test
  void offersWhatCanComeNextAndReadsTheLineOut(TestApp app) {
    Client coach = Client.of(app, "coach");
    String path = "/lifters/" + app.lifter("Maren") + "/week/line";
    String typing = coach.post(path, Map.of("lift", "squat", "work", "5x5 75% re", "caret", "10"), HTMX).body();
    assertThat(typing).contains("data-whole=\"5x5 75% rest 2:00\"").contains("The word &#39;re&#39; is not known here.");
    String whole = coach.post(path, Map.of("lift", "squat", "work", "1x1 @8; 4x4 -15%"), HTMX).body();
    assertThat(whole).contains("A single at RPE 8. 4 sets of 4 at 15 % under the single.").as("nobody is typing")
        .doesNotContain("class=\"next\"");
    String caution = coach.post(path, Map.of("lift", "deadlift", "work", "1xAMRAP 80%"), HTMX).body();
    assertThat(caution).contains("When the lower back rounds under the load")
        .contains("A lower back that rounds under load is how backs are hurt.");
  }
}
