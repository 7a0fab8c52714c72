package org.yarbel.web.journal;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.ChangeRepository;
import org.yarbel.web.edit.Batches;
import org.yarbel.web.edit.NewLine;
import org.yarbel.web.plan.Details;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class DaysTest {
  private static final LocalDate MONDAY = TestApp.TODAY;
  private static final Group SUPERSET = new Group(Group.Kind.SUPERSET, null, 0, 90, null);

  private static NewLine line(LocalDate day, String lift, String work, Group group) {
    return new NewLine(day, SlotKind.MAIN, lift, work, Details.NONE, group);
  }

  private static Change newest(Someone lifter) {
    return lifter.within(() -> lifter.app().bean(ChangeRepository.class)
        .findFirstBySubjectAndSubjectIdAndUndoneFalseOrderByIdDesc(Change.Subject.PLAN, lifter.id()).orElseThrow());
  }

  private static int write(Someone lifter, List<NewLine> lines, boolean replace) {
    Batches batches = lifter.app().bean(Batches.class);
    return lifter.within(() -> (replace ? batches.replace(lifter.lifter(), lines, lifter.who())
        : batches.add(lifter.lifter(), lines, lifter.who())).lines());
  }

  private static String undo(Someone lifter, Change change) {
    return lifter.within(() -> lifter.app().bean(Undo.class).change(change.id()));
  }

  @Test
  void whatChangesNothingLeavesNoRecord(TestApp app) {
    Someone lifter = Someone.called(app, "Albin Starke", Map.of("squat", "150"));
    PlanWriter writer = app.bean(PlanWriter.class);
    Sessions sessions = app.bean(Sessions.class);
    assertThat(lifter.<Optional<Long>>within(() -> writer.change(lifter.lifter(), Scope.days(Set.of(MONDAY)), lifter.who(),
        () -> sessions.session(lifter.lifter(), MONDAY)))).isEmpty();
    assertThat(lifter.post(lifter.at("/week/undo"), Map.of()).body()).contains("There is nothing to undo.");
  }

  @Test
  void groupsComeBackWithTheirLines(TestApp app) {
    Someone lifter = Someone.called(app, "Bettina Orr", Map.of("squat", "150"));
    write(lifter, List.of(line(MONDAY, "row", "3x8", SUPERSET), line(MONDAY, "curl", "3x10", SUPERSET),
        line(MONDAY, "squat", "3x5 70%", null)), false);
    assertThat(groupNumbers(lifter)).containsExactly(1, 1, null);
    write(lifter, List.of(line(MONDAY, "bench", "3x5", null)), true);
    assertThat(lifter.on(MONDAY)).containsExactly("bench 3x5");
    assertThat(undo(lifter, newest(lifter))).isEqualTo("The days stand as before.");
    assertThat(lifter.on(MONDAY)).containsExactly("row 3x8", "curl 3x10", "squat 3x5 70%");
    assertThat(groupNumbers(lifter)).containsExactly(1, 1, null);
  }

  @Test
  void whatIsDoneAgainIsWhatWasUndoneLast(TestApp app) {
    Someone lifter = Someone.called(app, "Ottoline Marsh", Map.of("squat", "150"));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 70%");
    lifter.post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY));
    lifter.add(MONDAY, "MAIN", "squat", "3x5 80%");
    lifter.add(MONDAY, "MAIN", "bench", "3x5");
    lifter.post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY));
    lifter.post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY));
    assertThat(lifter.on(MONDAY)).isEmpty();
    lifter.post(lifter.at("/week/redo"), Map.of("of", "" + MONDAY));
    assertThat(lifter.on(MONDAY)).as("not what was thrown away before it").containsExactly("squat 3x5 80%");
    lifter.post(lifter.at("/week/redo"), Map.of("of", "" + MONDAY));
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 80%", "bench 3x5");
  }

  @Test
  void aCoolDownIsCopiedKeptAndDoneAgainAfterAnUndo(TestApp app) {
    Someone lifter = Someone.called(app, "Cressida Lowe", Map.of("squat", "150"));
    write(lifter, List.of(line(MONDAY, "row", "3x8", SUPERSET), line(MONDAY, "curl", "3x10", SUPERSET)), false);
    long session = app.jdbc().sql("select id from training_session where lifter_id = :l").param("l", lifter.id()).query(Long.class)
        .single();
    lifter.coach().post("/sessions/" + session + "/groups/1/again", Map.of());
    assertThat(lifter.on(MONDAY)).containsExactly("row 3x8", "curl 3x10", "row 3x8", "curl 3x10");
    LocalDate copy = MONDAY.plusDays(2);
    lifter.post(lifter.at("/days/" + MONDAY + "/copy"), Map.of("to", "" + copy));
    assertThat(lifter.on(copy)).containsExactly("row 3x8", "curl 3x10", "row 3x8", "curl 3x10");
    assertThat(linked(lifter, copy)).as("they follow what is written there").isEqualTo(2);
    lifter.post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY));
    assertThat(lifter.on(copy)).isEmpty();
    lifter.post(lifter.at("/week/redo"), Map.of("of", "" + MONDAY));
    assertThat(lifter.on(copy)).containsExactly("row 3x8", "curl 3x10", "row 3x8", "curl 3x10");
    assertThat(linked(lifter, copy)).isEqualTo(2);

    lifter.post(lifter.at("/days/" + MONDAY + "/weeks"), Map.of("weeks", "2"));
    assertThat(linked(lifter, MONDAY.plusWeeks(1))).as("a session for two weeks in one act").isEqualTo(2);
    assertThat(linked(lifter, MONDAY.plusWeeks(2))).isEqualTo(2);
    assertThat(lifter.on(MONDAY.plusWeeks(3))).isEmpty();
    lifter.post(lifter.at("/week/undo"), Map.of("of", "" + MONDAY));
    assertThat(lifter.on(MONDAY.plusWeeks(2))).isEmpty();
    assertThat(lifter.post(lifter.at("/days/" + MONDAY + "/weeks"), Map.of("weeks", "99")).body())
        .contains("the weeks must be from 1 to 16 but were &#39;99&#39;");
  }

  private static int linked(Someone lifter, LocalDate day) {
    return lifter.app().jdbc().sql("select count(*) from slot s join training_session t on t.id = s.session_id where "
        + "t.lifter_id = :l and t.day = :d and s.link_of is not null")
        .param("l", lifter.id()).param("d", day).query(Integer.class).single();
  }

  private static List<Integer> groupNumbers(Someone lifter) {
    return lifter.app().jdbc().sql("select s.group_no from slot s join training_session t on t.id = s.session_id where "
        + "t.lifter_id = :l and t.day = :d order by s.position")
        .param("l", lifter.id()).param("d", MONDAY).query((row, n) -> (Integer) row.getObject(1)).list();
  }

  @Test
  void isNotUndoneOverALaterChange(TestApp app) {
    Someone lifter = Someone.called(app, "Cosmo Hartwell", Map.of("squat", "150"));
    write(lifter, List.of(line(MONDAY, "squat", "3x5 70%", null)), false);
    Change first = newest(lifter);
    write(lifter, List.of(line(MONDAY, "bench", "3x5", null)), false);
    assertThat(undo(lifter, first)).startsWith("2026-03-02 was changed again since");
    assertThat(lifter.on(MONDAY)).containsExactly("squat 3x5 70%", "bench 3x5");
    assertThat(undo(lifter, newest(lifter))).isEqualTo("The days stand as before.");
    assertThat(undo(lifter, first)).isEqualTo("The days stand as before.");
    assertThat(lifter.on(MONDAY)).isEmpty();
  }

  @Test
  void whatIsBegunStays(TestApp app) {
    Someone lifter = Someone.called(app, "Delphine Roe", Map.of("squat", "150"));
    write(lifter, List.of(line(MONDAY, "squat", "1x5 70%", null), line(MONDAY, "bench", "3x5", null)), false);
    Change written = newest(lifter);
    long session = app.jdbc().sql("select id from training_session where lifter_id = :l").param("l", lifter.id()).query(Long.class)
        .single();
    lifter.coach().post("/sessions/" + session + "/sets", Map.of("key", UUID.randomUUID().toString(), "slot",
        app.line(lifter.slot(MONDAY, "squat")), "part", "1", "set", "1", "issue", "1",
        "seen", "-1", "load", "105", "reps", "5", "rpe", ""));
    assertThat(undo(lifter, written)).contains("are logged: only what lies ahead can change");
    write(lifter, List.of(line(MONDAY, "row", "3x8", null)), true);
    assertThat(lifter.on(MONDAY)).containsExactly("squat 1x5 70%", "row 3x8");
    assertThat(lifter.post("/slots/" + lifter.slot(MONDAY, "squat") + "/to", Map.of("to", "" + MONDAY.plusDays(1))).body())
        .contains("It stays: sets of it are logged");
  }

  @Test
  void aDayHasAtMostFortyLines(TestApp app) {
    Someone lifter = Someone.called(app, "Evander Moss", Map.of());
    List<NewLine> many = IntStream.range(0, 45).mapToObj(i -> line(MONDAY, "row", (i + 1) + "x8", null)).toList();
    assertThat(write(lifter, many, false)).isEqualTo(40);
    assertThat(lifter.on(MONDAY)).hasSize(40);
    assertThat(lifter.post("/slots/" + lifter.slot(MONDAY, "row") + "/to", Map.of("to", "" + MONDAY, "copy", "1")).body())
        .contains("has 40 lines already");
  }

  @Test
  void linesOfACircuitMoveTogetherWithTheirExposure(TestApp app) {
    Someone lifter = Someone.called(app, "Felicity Voss", Map.of("deadlift", "200"));
    app.jdbc().sql("update lift_numbers set goal_ng = 210000000000000, goal_unit = 'KG', goal_on = :d where lifter_id = :l")
        .param("d", MONDAY.plusWeeks(11)).param("l", lifter.id()).update();
    lifter.method("Deadlift", "goal-wave", MONDAY, Map.of("p.assistance", "row, plank"));
    assertThat(lifter.on(MONDAY)).containsExactly("deadlift 1x3 75% goal; 8x3 60% goal rest 90s", "row 3x8", "plank 3x8");
    lifter.post(lifter.at("/deloads"), Map.of("monday", "" + MONDAY, "kind", "DAYS_OFF"));
    assertThat(lifter.on(MONDAY)).isEmpty();
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("deadlift 1x3 75% goal; 8x3 60% goal rest 90s", "row 3x8", "plank 3x8");
    assertThat(app.jdbc().sql("select count(distinct s.group_no) from slot s join training_session t on t.id = s.session_id "
        + "where t.lifter_id = :l and t.day = :d and s.group_no is not null")
        .param("l", lifter.id()).param("d", MONDAY.plusWeeks(1)).query(Integer.class).single()).isEqualTo(1);
  }
}
