package org.yarbel.web.journal;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.edit.PlanService;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** Undo of whatever was written, over several steps, and what it says beforehand. */
@ExtendWith(TestApp.class)
class UndoTest {
  private static final LocalDate MONDAY = TestApp.TODAY;
  private static final LocalDate TUESDAY = MONDAY.plusDays(1);

  private static String undo(Someone lifter) {
    return lifter.within(() -> lifter.app().bean(Undo.class).undo(lifter.id(), 1));
  }

  private static Undo.Steps steps(Someone lifter) {
    return lifter.within(() -> lifter.app().bean(Undo.class).of(lifter.id()));
  }

  private static void write(Someone lifter, String lift, String work) {
    long slot = lifter.slot(MONDAY, lift);
    lifter.post("/slots/" + slot, Map.of("kind", "MAIN", "lift", lift, "work", work, "version", "" + lifter.version(slot)));
  }

  private static void remove(Someone lifter, String lift) {
    long slot = lifter.slot(MONDAY, lift);
    lifter.post("/slots/" + slot + "/remove", Map.of("version", "" + lifter.version(slot)));
  }

  private static UUID ref(Someone lifter, String lift) {
    return lifter.app().jdbc().sql("select ref from slot where id = :id").param("id", lifter.slot(MONDAY, lift)).query(UUID.class).single();
  }

  /** A line that was put back was another row, and the changes before it were about one that was gone. */
  @Test
  void aLineThatComesBackIsTheSameOneForTheStepsBeforeIt(TestApp app) {
    Someone lifter = Someone.called(app, "Isaura Penn", Map.of("squat", "150"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    UUID ref = ref(lifter, "squat");
    write(lifter, "squat", "3x5 75%");
    write(lifter, "squat", "3x5 80%");
    remove(lifter, "squat");
    assertThat(steps(lifter).levels()).containsExactly("taking out Squat 3x5 80%", "Squat 3x5 75% → 3x5 80%",
        "Squat 3x5 70% → 3x5 75%", "adding Squat 3x5 70%");
    assertThat(undo(lifter)).isEqualTo("The line is back as it was: 3x5 80%");
    assertThat(ref(lifter, "squat")).isEqualTo(ref);
    assertThat(undo(lifter)).isEqualTo("The line is back as it was: 3x5 75%");
    assertThat(undo(lifter)).isEqualTo("The line is back as it was: 3x5 70%");
    assertThat(undo(lifter)).isEqualTo("The line is out again.");
    assertThat(undo(lifter)).isEqualTo("There is nothing to undo.");
    for (String work : List.of("3x5 70%", "3x5 75%", "3x5 80%")) {
      lifter.post(lifter.at("/week/redo"), Map.of());
      assertThat(lifter.on(MONDAY)).containsExactly("squat " + work);
    }
    lifter.post(lifter.at("/week/redo"), Map.of());
    assertThat(lifter.on(MONDAY)).isEmpty();
    assertThat(steps(lifter).redo()).isFalse();
  }

  @Test
  void severalStepsAreTakenAtOnceAndToldBeforehand(TestApp app) {
    Someone lifter = Someone.called(app, "Jarvis Oak", Map.of("squat", "150", "bench", "100"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    lifter.add(MONDAY, "MAIN", "bench", "3x5 70%");
    write(lifter, "bench", "3x5 75%");
    assertThat(lifter.coach().get(lifter.at("/week?of=" + MONDAY)).body()).contains("Undo Bench press 3x5 70% → 3x5 75%")
        .contains("and adding Bench press 3x5 70%");
    assertThat(lifter.post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY, "steps", "2")).body()).contains("The line is out again.");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 70%");
    for (int i = 0; i < Undo.LEVELS + 2; i++) {
      lifter.add(TUESDAY, "MAIN", "bench", "3x" + (i + 1));
    }
    lifter.post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY, "steps", "99"));
    assertThat(lifter.on(TUESDAY)).as("no more at once than are told").hasSize(2);
    assertThat(lifter.coach().post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY, "steps", "many")).statusCode()).isEqualTo(404);
  }

  @Test
  void stopsWhereAStepCannotBeTaken(TestApp app) {
    Someone lifter = Someone.called(app, "Kezia Rowe", Map.of("squat", "150"));
    lifter.add(MONDAY, "MAIN", "squat", "1x5 70%");
    write(lifter, "squat", "1x5 75%");
    lifter.lift(MONDAY, "squat", 5);
    assertThat(lifter.post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY, "steps", "2")).body())
        .contains("Sets of that line are logged: only what lies ahead can change.");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 1x5 75%");
  }

  @Test
  void aDayThatWasMovedToAnotherPlaceIsMovedBack(TestApp app) {
    Someone lifter = Someone.called(app, "Lambert Coyle", Map.of("squat", "150"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    long other = app.jdbc().sql("select id from place where id <> (select place_id from lifter where id = :l) and club_id = "
        + "(select club_id from lifter where id = :l) limit 1")
        .param("l", lifter.id()).query(Long.class).single();
    lifter.within(() -> {
      app.bean(PlanService.class).moveTo(lifter.lifter(), MONDAY, other, lifter.who());
      return 0;
    });
    assertThat(place(lifter)).isEqualTo(other);
    assertThat(steps(lifter).undoes()).isEqualTo("Mon 2 Mar: in another place");
    assertThat(undo(lifter)).isEqualTo("The session stands as before.");
    assertThat(place(lifter)).isNull();
    lifter.post(lifter.at("/week/redo"), Map.of());
    assertThat(place(lifter)).isEqualTo(other);
  }

  private static Long place(Someone lifter) {
    return lifter.app().jdbc().sql("select place_id from training_session where lifter_id = :l and day = :d")
        .param("l", lifter.id()).param("d", MONDAY)
        .query((row, n) -> (Long) row.getObject(1)).list().get(0);
  }

  /** It came back as a line of the coach's own, and the method wrote its own no more. */
  @Test
  void aLineOfAMethodComesBackAsItsLine(TestApp app) {
    Someone lifter = Someone.called(app, "Mabel Thorne", Map.of("squat", "100"));
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of());
    String written = lifter.on(MONDAY).get(0);
    remove(lifter, "squat");
    assertThat(leftOut(lifter)).isEqualTo("[\"0.0\"]");
    undo(lifter);
    assertThat(lifter.on(MONDAY)).containsExactly(written);
    assertThat(leftOut(lifter)).isEqualTo("[]");
    assertThat(app.jdbc().sql("select p.id from slot s join progression p on p.ref = s.progression where s.id = :id")
        .param("id", lifter.slot(MONDAY, "squat")).query(Long.class).single()).isPositive();
    lifter.post(lifter.at("/week/redo"), Map.of());
    assertThat(lifter.on(MONDAY)).isEmpty();
    assertThat(leftOut(lifter)).as("it is written no more").isEqualTo("[\"0.0\"]");
    undo(lifter);
    lifter.post(lifter.at("/days/" + MONDAY + "/clear"), Map.of());
    assertThat(leftOut(lifter)).isEqualTo("[\"0.0\"]");
    assertThat(undo(lifter)).isEqualTo("The days stand as before.");
    assertThat(leftOut(lifter)).isEqualTo("[]");
  }

  private static String leftOut(Someone lifter) {
    return lifter.app().jdbc().sql("select left_out from progression where lifter_id = :l").param("l", lifter.id())
        .query(String.class).single();
  }

  @Test
  void aGroupsUndoSaysForHowManyAndGoesBackSeveralSteps(TestApp app) {
    Someone one = Someone.called(app, "Nerissa Blythe", Map.of("squat", "150"));
    Someone other = Someone.called(app, "Osbert Crane", Map.of("squat", "120"));
    one.post("/groups", Map.of("name", "Undo pair", "member", one.id() + "," + other.id()));
    long group = app.jdbc().sql("select id from lifter_group where name = 'Undo pair'").query(Long.class).single();
    for (String work : List.of("3x5 70%", "3x3 80%")) {
      one.post("/groups/" + group + "/lines", Map.of("of", "" + MONDAY, "weekday", "1", "kind", "MAIN", "lift", "squat", "work", work));
    }
    assertThat(one.coach().get("/groups/" + group + "/week?of=" + MONDAY).body()).contains("Undo Squat 3x3 80%, Mon 2 Mar, for 2 lifters")
        .contains("and Squat 3x5 70%, Mon 2 Mar, for 2 lifters");
    assertThat(one.post("/groups/" + group + "/undo", Map.of("of", "" + MONDAY, "steps", "2")).body()).contains("Taken back for 2.");
    assertThat(one.on(MONDAY)).isEmpty();
    assertThat(other.on(MONDAY)).isEmpty();
    assertThat(one.post("/groups/" + group + "/undo", Map.of("of", "" + MONDAY)).body()).contains("There is nothing to undo.");
  }

  @Test
  void aChangeOfAnotherKindIsNoneOfTheBoard(TestApp app) {
    Someone lifter = Someone.called(app, "Phineas Gale", Map.of());
    long change = app.jdbc().sql("insert into change (id, club_id, account_id, at, lifter_id, subject, subject_id, before, after, undone) "
        + "select nextval('yarbel_id'), l.club_id, :a, now(), l.id, 'OLD', l.id, '{}', '{}', false from lifter l where l.id = "
        + ":l returning id")
        .param("a", lifter.who().accountId()).param("l", lifter.id()).query(Long.class).single();
    assertThat(lifter.coach().post("/changes/" + change + "/undo", Map.of()).statusCode()).isEqualTo(404);
    assertThat(steps(lifter).undo()).as("kept as a record only").isFalse();
  }
}
