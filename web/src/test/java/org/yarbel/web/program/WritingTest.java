package org.yarbel.web.program;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** Weeks that lie behind, lifted and not, and what methods write after them. */
@ExtendWith(TestApp.class)
class WritingTest {
  private static final LocalDate MONDAY = TestApp.TODAY;

  private static void write(Someone lifter, LocalDate from, int weeks) {
    lifter.within(() -> lifter.app().bean(TransactionTemplate.class).execute(status -> {
      Lifter of = lifter.lifter();
      lifter.app().bean(Programs.class).write(of, context(lifter, of), from, weeks);
      return 0;
    }));
  }

  private static LifterContext context(Someone lifter, Lifter of) {
    return lifter.app().bean(LifterContexts.class).of(of, null);
  }

  private static long progression(Someone lifter) {
    return lifter.app().jdbc().sql("select id from progression where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
  }

  /** Third miss running takes a tenth off: 0.9 x 60 is 54, 55 is the nearest there is. */
  @Test
  void whoStopsAfterAMissHasMissedTheSetsThatWereLeft(TestApp app) {
    Someone lifter = Someone.called(app, "Isaura Penn", Map.of("squat", "100"));
    lifter.method("Squat", "novice-linear", MONDAY.minusWeeks(4), Map.of("p.load", "60"));
    for (int week = 4; week > 1; week--) {
      LocalDate day = MONDAY.minusWeeks(week);
      write(lifter, day, 1);
      assertThat(lifter.on(day)).containsExactly("squat 5x5+ 60kg");
      lifter.lift(day, "squat", 5, 5, 3);
    }
    write(lifter, MONDAY.minusWeeks(1), 1);
    assertThat(lifter.on(MONDAY.minusWeeks(1))).containsExactly("squat 5x5+ 55kg");
  }

  @Test
  void aSessionCutShortWithoutAMissIsNoExposure(TestApp app) {
    Someone lifter = Someone.called(app, "Lambert Coyle", Map.of("squat", "100"));
    lifter.method("Squat", "novice-linear", MONDAY.minusWeeks(2), Map.of("p.load", "60"));
    write(lifter, MONDAY.minusWeeks(2), 1);
    lifter.lift(MONDAY.minusWeeks(2), "squat", 5, 5);
    write(lifter, MONDAY.minusWeeks(1), 1);
    assertThat(lifter.on(MONDAY.minusWeeks(1))).containsExactly("squat 5x5+ 60kg");
  }

  @Test
  void fewerDaysAWeekLeaveNoWeekEmpty(TestApp app) {
    Someone lifter = Someone.called(app, "Petronel Ashby", Map.of("squat", "150"));
    lifter.method("Squat", "rpe-weeks", MONDAY.minusWeeks(4), Map.of("days", "MONDAY,THURSDAY"));
    for (int week = 4; week > 0; week--) {
      write(lifter, MONDAY.minusWeeks(week), 1);
      lifter.lift(MONDAY.minusWeeks(week), "squat", 5, 5, 5);
    }
    lifter.method("Squat", "rpe-weeks", MONDAY.minusWeeks(4), Map.of("own", "" + progression(lifter)));
    assertThat(lifter.on(MONDAY)).as("four weeks of a wave are behind").containsExactly("squat 3x5 @7");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).containsExactly("squat 3x5 @8");
    assertThat(lifter.on(MONDAY.plusDays(3))).isEmpty();
  }

  @Test
  void goesOnWhenTheWrittenWeeksRunOutAndKeepsWhatIsWrittenFurther(TestApp app) {
    Someone lifter = Someone.called(app, "Philippa Drew", Map.of("squat", "150"));
    lifter.method("Squat", "rpe-weeks", MONDAY.minusWeeks(3), Map.of());
    write(lifter, MONDAY.minusWeeks(3), 4);
    app.jdbc().sql("delete from slot where planned_on > :d and progression = (select ref from progression where id = :p)")
        .param("d", MONDAY).param("p", progression(lifter)).update();
    lifter.within(() -> {
      app.bean(Programs.class).logged(UUID.fromString(app.line(lifter.slot(MONDAY, "squat"))));
      return 0;
    });
    assertThat(lifter.on(MONDAY.plusWeeks(3))).as("four weeks again").containsExactly("squat 3x5 @9");
    LocalDate far = MONDAY.plusWeeks(7);
    assertThat(lifter.coach().get(lifter.at("/week?of=" + far)).body()).contains("The methods have written up to 23 Mar 2026.");
    assertThat(lifter.post(lifter.at("/progressions/on"), Map.of("of", "" + far)).body()).contains("Written on to here.")
        .doesNotContain("The methods have written up to");
    assertThat(lifter.on(far)).containsExactly("squat 3x5 @9");
    lifter.method("Squat", "rpe-weeks", MONDAY.minusWeeks(3), Map.of("own", "" + progression(lifter), "p.reps", "4"));
    assertThat(lifter.on(far)).as("what is written further follows too").containsExactly("squat 3x4 @9");
    assertThat(lifter.post(lifter.at("/week/undo"), Map.of()).body()).contains("The days stand as before.");
    assertThat(lifter.on(far)).containsExactly("squat 3x5 @9");
    LocalDate tooFar = MONDAY.plusWeeks(40);
    assertThat(lifter.coach().get(lifter.at("/week?of=" + tooFar)).body()).doesNotContain("have written up to");
    assertThat(lifter.post(lifter.at("/progressions/on"), Map.of("of", "" + tooFar)).body()).contains("That is further than methods write");
  }

  /** Or the next log would bring back what was undone. */
  @Test
  void whatIsUndoneTakesTheMethodAlongAndDoneAgainBringsItBack(TestApp app) {
    Someone lifter = Someone.called(app, "Barnaby Quist", Map.of("squat", "100"));
    lifter.method("Squat", "novice-linear", MONDAY, Map.of("p.load", "60", "p.sets", "1"));
    assertThat(lifter.post(lifter.at("/week/undo"), Map.of()).body()).contains("The days stand as before. Methods and easy weeks too.");
    write(lifter, MONDAY, 4);
    assertThat(lifter.on(MONDAY)).as("it writes no more").isEmpty();
    assertThat(lifter.coach().get(lifter.at("/progressions")).body()).contains("Go on");
    lifter.post(lifter.at("/week/redo"), Map.of());
    assertThat(lifter.on(MONDAY)).containsExactly("squat 1x5+ 60kg");
    write(lifter, MONDAY, 4);
    assertThat(lifter.on(MONDAY.plusWeeks(3))).containsExactly("squat 1x5+ 67.5kg");
    lifter.method("Squat", "novice-linear", MONDAY, Map.of("own", "" + progression(lifter), "p.load", "50", "p.sets", "1"));
    assertThat(lifter.on(MONDAY)).containsExactly("squat 1x5+ 50kg");
    lifter.post(lifter.at("/week/undo"), Map.of());
    write(lifter, MONDAY, 4);
    assertThat(lifter.on(MONDAY)).as("as it was set before").containsExactly("squat 1x5+ 60kg");
  }

  @Test
  void whatWasSetUpLaterIsLeftAlone(TestApp app) {
    Someone lifter = Someone.called(app, "Hesper Vance", Map.of("squat", "150", "bench", "100"));
    LocalDate tuesday = MONDAY.plusDays(1);
    lifter.method("Squat", "rpe-weeks", MONDAY, Map.of());
    long first = app.jdbc().sql("select max(id) from change where lifter_id = :l").param("l", lifter.id()).query(Long.class).single();
    lifter.post(lifter.at("/deloads"), Map.of("monday", "" + MONDAY.plusWeeks(20), "kind", "HALF_LOAD"));
    lifter.within(() -> app.bean(TransactionTemplate.class).execute(status -> {
      Progression later = new Progression(lifter.id(), "bench", Method.RPE_WEEKS);
      later.set(Map.of(), MONDAY, Set.of(tuesday.getDayOfWeek()), Turn.EVERY);
      return app.bean(ProgressionRepository.class).saveAndFlush(later);
    }));
    lifter.post("/changes/" + first + "/undo", Map.of("of", "" + MONDAY));
    assertThat(lifter.on(MONDAY)).isEmpty();
    assertThat(app.jdbc().sql("select lift from progression where lifter_id = :l and ends_on is null").param("l", lifter.id())
        .query(String.class).list())
        .as("the method of the bench goes on").containsExactly("bench");
    assertThat(app.jdbc().sql("select count(*) from deload_week where lifter_id = :l").param("l", lifter.id()).query(Integer.class)
        .single())
        .as("so does the easy week").isEqualTo(1);
  }

  @Test
  void anEasyWeekThatIsUndoneIsNoneAnyMore(TestApp app) {
    Someone lifter = Someone.called(app, "Clemency Rusk", Map.of("squat", "150"));
    lifter.method("Squat", "falling-backoffs", MONDAY, Map.of());
    LocalDate next = MONDAY.plusWeeks(1);
    lifter.post(lifter.at("/deloads"), Map.of("monday", "" + next, "kind", "LIGHT_TECHNIQUE"));
    assertThat(lifter.on(next)).containsExactly("squat 3x3 60%");
    lifter.post(lifter.at("/week/undo"), Map.of());
    write(lifter, MONDAY, 4);
    assertThat(lifter.on(next)).containsExactly("squat 1x3 @8; 3x3 -10%");
    assertThat(lifter.coach().get(lifter.at("/week?of=" + next)).body()).doesNotContain("Deload: light technique");
    lifter.post(lifter.at("/week/redo"), Map.of());
    write(lifter, MONDAY, 4);
    assertThat(lifter.on(next)).containsExactly("squat 3x3 60%");
    lifter.post(lifter.at("/deloads/rule"), Map.of("every", "2", "kind", "HALF_LOAD"));
    assertThat(lifter.coach().get(lifter.at("/progressions")).body()).contains("value=\"2\"");
    lifter.post(lifter.at("/week/undo"), Map.of());
    assertThat(lifter.within(lifter::lifter).deloadEvery()).isNull();
    assertThat(lifter.on(next)).as("the one placed by hand stands again").containsExactly("squat 3x3 60%");
  }

  @Test
  void aMissedLineThatSomebodyMovedAheadWaitsThere(TestApp app) {
    Someone lifter = Someone.called(app, "Gideon Larch", Map.of("squat", "100"));
    lifter.method("Squat", "novice-linear", MONDAY, Map.of("p.load", "60", "p.sets", "1"));
    LocalDate thursday = MONDAY.plusDays(3);
    lifter.post("/slots/" + lifter.slot(MONDAY, "squat") + "/to", Map.of("to", "" + thursday));
    write(lifter, MONDAY.plusDays(2), 4);
    assertThat(lifter.on(thursday)).containsExactly("squat 1x5+ 60kg");
    assertThat(lifter.on(MONDAY.plusWeeks(1))).as("as if it were made").containsExactly("squat 1x5+ 62.5kg");
    lifter.lift(thursday, "squat", 4);
    write(lifter, MONDAY.plusDays(4), 4);
    assertThat(lifter.on(MONDAY.plusWeeks(1))).as("it was not").containsExactly("squat 1x5+ 60kg");
  }
}
