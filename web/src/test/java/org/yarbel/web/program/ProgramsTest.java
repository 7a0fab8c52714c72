package org.yarbel.web.program;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.core.plan.Deload;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class ProgramsTest {
  private static final LocalDate MONDAY = TestApp.TODAY;

  @Test
  void writesFourWeeksAndKeepsWhatWasEdited(TestApp app) {
    Someone lifter = Someone.called(app, "Perrin Holloway", Map.of("squat", "150"));
    assertThat(lifter.method("Squat", "rpe-weeks", MONDAY, Map.of()).body()).contains("Written for the weeks to come");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 @7");
    assertThat(lifter.on(MONDAY.plusWeeks(2))).containsExactly("squat 3x5 @9");
    assertThat(lifter.on(MONDAY.plusWeeks(3))).containsExactly("squat 3x5 40% est");
    assertThat(lifter.on(MONDAY.plusWeeks(4))).isEmpty();
    long edited = lifter.slot(MONDAY.plusWeeks(1), "squat");
    lifter.post("/slots/" + edited, Map.of("kind", "MAIN", "lift", "squat", "work", "2x5 @8", "version", "" + lifter.version(edited)));
    long own = app.jdbc().sql("select id from progression where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of("own", "" + own, "p.sets", "4"));
    assertThat(lifter.on(MONDAY)).containsExactly("squat 4x5 @7");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).as("the edit stands").containsExactly("squat 2x5 @8");
    String week = lifter.coach().get(lifter.at("/week?of=" + MONDAY.plusWeeks(1))).body();
    assertThat(week).contains("is-edited").contains("edited; the method says squat 4x5 @8");
    assertThat(lifter.post("/slots/" + edited + "/as-written", Map.of()).body()).contains("As the method writes it: Squat 4x5 @8");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 4x5 @8");
  }

  @Test
  void saysWhatItDoesNotWrite(TestApp app) {
    Someone lifter = Someone.called(app, "Thaddea Wren", Map.of("squat", "150"));
    assertThat(lifter.method("Squat", "rpe-weeks", MONDAY.plusWeeks(9), Map.of()).body()).contains("Kept. It begins on ")
        .contains("its lines come when that ")
        .doesNotContain("Written for the weeks to come");
    assertThat(lifter.method("Squat", "taper", MONDAY, Map.of()).body()).contains("Kept. It writes nothing: ")
        .doesNotContain("Written for the weeks to come");
  }

  @Test
  void showsWhatItWritesByWhatIsTypedAlsoWhereSomethingIsWrong(TestApp app) {
    Someone lifter = Someone.called(app, "Ulric Penhale", Map.of("squat", "200"));
    assertThat(lifter.coach().get(lifter.at("/progressions?lift=Squat&method=density")).body())
        .contains("<code>density 10 90% in 10:00</code>");
    assertThat(lifter.method("Squat", "density", MONDAY, Map.of("p.goal", "8", "p.minutes", "99")).body())
        .contains("must be a whole number from 4 to 30 but was 99")
        .contains("<code>density 8 90% in 10:00</code>");
    lifter.method("Squat", "density", MONDAY, Map.of("p.goal", "8"));
    long own = app.jdbc().sql("select id from progression where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
    assertThat(lifter.coach().get(lifter.at("/progressions?edit=" + own)).body()).contains("<code>density 8 90% in 10:00</code>");
    assertThat(lifter.coach().get("/methods/taper").body()).contains("the contest ends the last week").contains("The last heavy day");
    assertThat(lifter.coach().get("/methods/shrinking-jumps").body()).doesNotContain("the contest ends the last week");
  }

  @Test
  void undoesAndRedoesAllThatAMethodWrote(TestApp app) {
    Someone lifter = Someone.called(app, "Quillon Marsh", Map.of("squat", "150"));
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of());
    assertThat(lifter.post(lifter.at("/week/undo"), Map.of()).body()).contains("The days stand as before.");
    assertThat(lifter.on(MONDAY)).isEmpty();
    assertThat(lifter.post(lifter.at("/week/redo"), Map.of()).body()).contains("The change is done again.");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 3x5 @8");
    assertThat(lifter.post(lifter.at("/week/redo"), Map.of()).body()).contains("There is nothing to do again.");
  }

  @Test
  void aLineTakenOutIsNotWrittenAgain(TestApp app) {
    Someone lifter = Someone.called(app, "Roswitha Penn", Map.of("squat", "150"));
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of());
    long slot = lifter.slot(MONDAY.plusWeeks(1), "squat");
    lifter.post("/slots/" + slot + "/remove", Map.of("version", "" + lifter.version(slot)));
    lifter.post(lifter.at("/deloads/rule"), Map.of("every", "", "kind", "HALF_LOAD"));
    assertThat(lifter.on(MONDAY.plusWeeks(1))).isEmpty();
    assertThat(lifter.on(MONDAY.plusWeeks(2))).containsExactly("squat 3x5 @9");
  }

  @Test
  void writesTheNextExposureFromTheLogAndForecastsTheRest(TestApp app) {
    Someone lifter = Someone.called(app, "Sorrel Vane", Map.of("squat", "100"));
    lifter.method("Squat", "novice-linear", MONDAY, Map.of("p.load", "60", "p.sets", "1"));
    assertThat(lifter.on(MONDAY)).containsExactly("squat 1x5+ 60kg");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 1x5+ 62.5kg");
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY.plusWeeks(1))).body()).contains("is-forecast");
    log(lifter, MONDAY, 4);
    // the minimum was missed: the same load again, and no forecast any more
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 1x5+ 60kg");
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY.plusWeeks(1))).body()).doesNotContain("is-forecast")
        .contains("The mark to beat at 60 kg: 4 reps");
    assertThat(lifter.on(MONDAY.plusWeeks(2))).containsExactly("squat 1x5+ 62.5kg");
    assertThat(app.jdbc().sql("select max(i.number) from card_issue i join training_session t on t.id = i.session_id where "
        + "t.lifter_id = :l").param("l", lifter.id()).query(Integer.class).single())
        .as("the card of today stays the one that is on the phone").isEqualTo(1);
  }

  private static void log(Someone lifter, LocalDate day, int reps) {
    long session = lifter.app().jdbc().sql("select id from training_session where lifter_id = :l and day = :d").param("l", lifter.id())
        .param("d", day).query(Long.class).single();
    String answer = lifter.post("/sessions/" + session + "/sets", Map.of("key", UUID.randomUUID()
        .toString(), "slot", lifter.app().line(lifter.slot(day, "squat")), "part", "1", "set", "1", "issue", "1",
        "seen", "-1", "load", "60", "reps", "" + reps, "rpe", "")).body();
    assertThat(lifter.app().jdbc().sql("select count(*) from logged_set where lifter_id = :l").param("l", lifter.id()).query(Integer.class)
        .single()).as(answer).isEqualTo(1);
  }

  @Test
  void keepsATrainingMaxThatTheWaveRaises(TestApp app) {
    Someone lifter = Someone.called(app, "Tibalt Crowe", Map.of("bench", "120"));
    lifter.method("Bench press", "plus-sets", MONDAY, Map.of());
    // 90 % of 120.72, what is published of a tested 120
    assertThat(app.jdbc().sql("select training_ng from lift_numbers where lifter_id = :l").param("l", lifter.id()).query(Long.class)
        .single()).isEqualTo(108_650_000_000_000L);
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).contains("Training max 108.6 kg.").contains("87.5 ×3");
  }

  @Test
  void anEasyWeekIsPlacedMovedAndTakenOut(TestApp app) {
    Someone lifter = Someone.called(app, "Ulric Fenby", Map.of("squat", "150"));
    lifter.method("Squat", "falling-backoffs", MONDAY, Map.of());
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 1x3 @8; 3x3 -10%");
    String page = lifter.post(lifter.at("/deloads"), Map.of("monday", "" + MONDAY.plusWeeks(1), "kind", "LIGHT_TECHNIQUE")).body();
    assertThat(page).contains("Deload: light technique").contains("nothing over 70 % nor over RPE 6");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 3x3 60%");
    assertThat(lifter.on(MONDAY.plusWeeks(2))).as("the week after goes on where it stood").containsExactly("squat 1x3 @8; 3x3 -10%");
    lifter.post(lifter.at("/deloads"), Map.of("monday", "" + MONDAY.plusWeeks(1), "move", "-1"));
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x3 60%");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 1x3 @8; 4x3 -5%");
    lifter.post(lifter.at("/deloads"), Map.of("monday", "" + MONDAY, "move", "0"));
    assertThat(lifter.on(MONDAY)).containsExactly("squat 1x3 @8; 4x3 -5%");
    lifter.post(lifter.at("/deloads/rule"), Map.of("every", "2", "kind", "DAYS_OFF"));
    assertThat(app.jdbc().sql("select monday from deload_week where lifter_id = :l order by monday limit 2").param("l", lifter.id())
        .query(LocalDate.class).list())
        .containsExactly(MONDAY.plusWeeks(2), MONDAY.plusWeeks(5));
    assertThat(lifter.on(MONDAY.plusWeeks(2))).isEmpty();
    assertThat(lifter.post(lifter.at("/deloads/rule"), Map.of("every", "1", "kind", "DAYS_OFF")).body())
        .contains("must be from 2 to 16, or empty for none, but were &#39;1&#39;");
  }

  @Test
  void plansByRpeWhereNoNumberIsKnown(TestApp app) {
    Someone lifter = Someone.called(app, "Vesper Lowe", Map.of());
    lifter.method("Squat", "blocks", MONDAY, Map.of());
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 cap @7");
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).contains("No max of the squat is known, so it is planned by RPE")
        .contains("lifter picks");
  }

  @Test
  void refusesDaysThatAreNotFreeAndLosesNothing(TestApp app) {
    Someone lifter = Someone.called(app, "Wystan Bright", Map.of("squat", "150"));
    app.jdbc().sql("update lifter set days_free = 2 where id = :l").param("l", lifter.id()).update();
    var refused = lifter.method("Squat", "rpe-weeks", MONDAY, Map.of("p.sets", "7", "p.reps", "x"));
    assertThat(refused.statusCode()).isEqualTo(422);
    assertThat(refused.body()).contains("Monday is not free for Wystan Bright").contains("value=\"7\"")
        .contains("&#39;reps&#39; must be a whole number from 1 to 8 but was x.");
    app.jdbc().sql("update lifter set days_free = 0 where id = :l").param("l", lifter.id()).update();
    assertThat(lifter.method("Squat", "rpe-weeks", MONDAY, Map.of()).body()).contains("No day of the week is free for Wystan Bright");
    assertThat(lifter.on(MONDAY)).isEmpty();
  }

  @Test
  void endsAndGoesOn(TestApp app) {
    Someone lifter = Someone.called(app, "Xanthe Rule", Map.of("squat", "150"));
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of());
    long own = app.jdbc().sql("select id from progression where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
    assertThat(lifter.post("/progressions/" + own + "/end", Map.of()).body()).contains("Ended");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).isEmpty();
    lifter.post("/progressions/" + own + "/end", Map.of("on", "yes"));
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 3x5 @8");
  }

  @Test
  void mindsASecondMethodOfTheSameLiftAndAsksWhyOneIsLeftSoon(TestApp app) {
    Someone lifter = Someone.called(app, "Rowena Sedge", Map.of("squat", "100"));
    lifter.method("Squat", "novice-linear", MONDAY.minusWeeks(2), Map.of());
    long own = app.jdbc().sql("select id from progression where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
    assertThat(lifter.method("Squat", "rpe-weeks", MONDAY.plusDays(3), Map.of()).body())
        .contains("Mind: Novice linear writes the squat too; end it if this was meant in its place.");
    assertThat(lifter.post("/progressions/" + own + "/end", Map.of()).body()).contains("Ended").contains("After 2 weeks: a straight line");
  }

  @Test
  void tellsEveryMethodInPlainWords(TestApp app) {
    Someone lifter = Someone.called(app, "Yorick Sale", Map.of());
    assertThat(lifter.coach().get("/methods").body()).contains("Step-down ladder").contains("Partials cycle");
    assertThat(lifter.coach().get("/methods/ladder").body()).contains("For whom", "When to leave it", "Who would do otherwise",
        "the single set fails");
    assertThat(lifter.coach().get("/methods/nothing").statusCode()).isEqualTo(404);
    assertThat(lifter.coach().get(lifter.at("/progressions?lift=Squad&method=ladder")).body()).contains("There is no lift &#39;Squad&#39;");
    assertThat(Deload.values()).allSatisfy(kind -> assertThat(lifter.coach().get(lifter.at("/progressions")).body())
        .contains(kind.meaning()));
  }

  @Test
  void twoLiftsGoByTurns(TestApp app) {
    Someone lifter = Someone.called(app, "Zenobia Hart", Map.of("bench", "100", "overhead-press", "60"));
    lifter.method("Bench press", "rpe-weeks", MONDAY, Map.of("turn", "FIRST"));
    lifter.method("Overhead press", "rpe-weeks", MONDAY, Map.of("turn", "SECOND"));
    assertThat(lifter.on(MONDAY)).containsExactly("bench 3x5 @7");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("overhead-press 3x5 @7");
    assertThat(lifter.on(MONDAY.plusWeeks(2))).containsExactly("bench 3x5 @8");
    assertThat(lifter.on(MONDAY.plusWeeks(3))).containsExactly("overhead-press 3x5 @8");
    assertThat(lifter.coach().get(lifter.at("/progressions")).body()).contains("every other time, from the second");
  }

  @Test
  void mainWorkStandsBeforeAssistanceWhoeverCameFirst(TestApp app) {
    Someone lifter = Someone.called(app, "Amabel Thrush", Map.of("squat", "150", "deadlift", "200"));
    lifter.add(MONDAY, "ASSISTANCE", "leg-curl", "3x10");
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of());
    lifter.method("Deadlift", "falling-backoffs", MONDAY, Map.of());
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 @7", "deadlift 1x3 @8; 4x3 -5%", "leg-curl 3x10");
  }

  @Test
  void aLineSomebodyMovedStaysWhereItWasPut(TestApp app) {
    Someone lifter = Someone.called(app, "Basil Undern", Map.of("squat", "150"));
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of());
    lifter.post("/slots/" + lifter.slot(MONDAY.plusWeeks(1), "squat") + "/to", Map.of("to", "" + MONDAY.plusWeeks(1).plusDays(2)));
    long own = app.jdbc().sql("select id from progression where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of("own", "" + own, "p.reps", "4"));
    assertThat(lifter.on(MONDAY.plusWeeks(1))).isEmpty();
    assertThat(lifter.on(MONDAY.plusWeeks(1).plusDays(2))).as("it stays there and follows its method").containsExactly("squat 3x4 @8");
  }

  @Test
  void otherDaysOfTheWeekTakeTheLinesAlong(TestApp app) {
    Someone lifter = Someone.called(app, "Cressida Vole", Map.of("squat", "150"));
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of());
    long own = app.jdbc().sql("select id from progression where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
    lifter.method("Squat", "rpe-weeks", MONDAY.plusDays(3), Map.of("own", "" + own));
    assertThat(lifter.on(MONDAY)).isEmpty();
    assertThat(lifter.on(MONDAY.plusDays(3))).containsExactly("squat 3x5 @7");
    assertThat(lifter.on(MONDAY.plusWeeks(2).plusDays(3))).containsExactly("squat 3x5 @9");
    assertThat(lifter.post(lifter.at("/week/undo"), Map.of()).body()).contains("The days stand as before.");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 @7");
  }

  @Test
  void aMethodThatBeganWeeksAgoGoesOnWhereItStands(TestApp app) {
    Someone lifter = Someone.called(app, "Dorian Stoat", Map.of("squat", "200"));
    lifter.method("Squat", "blocks", MONDAY.minusWeeks(6), Map.of("days", "MONDAY"));
    assertThat(lifter.on(MONDAY.minusWeeks(1))).as("nothing is written behind today").isEmpty();
    assertThat(lifter.on(MONDAY)).containsExactly("squat 5x4 81.5%");
    assertThat(lifter.on(MONDAY.plusWeeks(2))).containsExactly("squat 3x2 85%");
  }

  @Test
  void aWeekWithNothingToDoSaysWhy(TestApp app) {
    Someone lifter = Someone.called(app, "Euphemia Brant", Map.of("squat", "200"));
    lifter.method("Squat", "blocks", MONDAY.minusWeeks(12), Map.of());
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body())
        .contains("Squat: The week of the contest: the platform is the session.");
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY.plusWeeks(1))).body()).contains("Squat: A week off.");
  }

  @Test
  void anEasyWeekTellsItsCeilingBesideEveryLine(TestApp app) {
    Someone lifter = Someone.called(app, "Fulbert Knox", Map.of("squat", "200"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 @8");
    lifter.post(lifter.at("/deloads"), Map.of("monday", "" + MONDAY, "kind", "LESS_VOLUME"));
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).contains("Deload: nothing over RPE 8.5")
        .contains("Pull a week forward");
    lifter.post(lifter.at("/deloads"), Map.of("monday", "" + MONDAY, "kind", "LIGHT_TECHNIQUE"));
    String week = lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body();
    assertThat(week).contains("Deload: nothing over 70 % nor over RPE 6")
        .contains("A deload, light technique: nothing over 70 % nor over RPE 6; this goes to");
    assertThat(lifter.post(lifter.at("/deloads"), Map.of("monday", "" + MONDAY.minusWeeks(3), "kind", "DAYS_OFF")).body())
        .contains("That week is behind");
    assertThat(lifter.post(lifter.at("/deloads"), Map.of("monday", "" + MONDAY.plusWeeks(2), "move", "1")).body())
        .contains("That week is no deload any more.");
  }
}
