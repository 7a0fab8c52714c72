package org.yarbel.core.call;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.MarkList;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.SlotKind;

/** Pain, form, tiredness, days missed, body mass; each on both sides of its limit. All limits are our own defaults. */
class LifeTest {
  private final Pictures lifter = new Pictures();

  private Call call(String rule) {
    return Objects.requireNonNull(lifter.call(rule), rule);
  }

  @Test
  void aKneeThatHurtsHalvesTheSquatOrSwapsIt() {
    // the story: a knee at 5, squats to come; nothing heavier while it stands
    lifter.said(0, 7.0, 4, 3, Pictures.pain(BodyPlace.KNEE, Pain.Side.LEFT, 5)).ahead(1, "squat", "3x5 75%").ahead(2, "bench", "3x5 75%")
        .lifted(4, "squat", "3x5 75% @8", "135x5 @6").lifted(0, "squat", "3x5 75% @8", "135x5 @6");
    Call call = call("hurts");
    assertThat(call.sentence()).isEqualTo("The left knee hurts: 5 of 10, today. 1 line of the coming week loads it.");
    assertThat(Pictures.writes(call)).containsExactly("squat 3x5 37.5%");
    assertThat(Pictures.writes(call.proposals().get(1))).containsExactly("box-squat 3x5 75% cap @7");
    assertThat(call.urgency()).isEqualTo(Urgency.CAUTION);
    assertThat(call.safe()).isFalse();
    assertThat(lifter.calls().get(0)).as("cautions first").isEqualTo(call);
    assertThat(lifter.call("too-easy-or-hard")).as("never an increase while it stands").isNull();
  }

  @Test
  void whatIsDoneBesideTheMainWorkLoadsAPlaceToo() {
    Pain knee = Pictures.pain(BodyPlace.KNEE, Pain.Side.LEFT, 5);
    lifter.said(0, 7.0, 4, 3, knee).line(1, SlotKind.ASSISTANCE, "box-squat", "3x6-10 80kg", null, "")
        .line(2, SlotKind.PREPARE, "squat", "2x8 40kg", null, "");
    assertThat(call("hurts").sentence()).as("getting ready is no load").contains("1 line of the coming week loads it.");
    assertThat(Pictures.writes(call("hurts"))).containsExactly("box-squat 3x6-10 40kg");
  }

  @ParameterizedTest
  @CsvSource({"4, true", "3, false"})
  void painFromFourMakesACall(int score, boolean called) {
    lifter.said(0, null, null, null, Pictures.pain(BodyPlace.KNEE, null, score)).ahead(1, "squat", "3x5 75%");
    assertThat(lifter.call("hurts") != null).isEqualTo(called);
  }

  @Test
  void painThatRisesMakesACallFromThree() {
    lifter.said(3, null, null, null, Pictures.pain(BodyPlace.SHOULDER, Pain.Side.RIGHT, 1))
        .said(0, null, null, null, Pictures.pain(BodyPlace.SHOULDER, Pain.Side.RIGHT, 3)).ahead(1, "bench", "3x5 75%");
    assertThat(call("hurts").sentence()).contains("3 of 10, rising, for 3 days");
  }

  @ParameterizedTest
  @CsvSource({"5, 13, false", "5, 14, true", "6, 0, true"})
  void aClinicianIsNamedFromSixOrAfterTwoWeeks(int score, int days, boolean named) {
    lifter.said(days, null, null, null, Pictures.pain(BodyPlace.KNEE, null, 4));
    lifter.said(0, null, null, null, Pictures.pain(BodyPlace.KNEE, null, score));
    lifter.ahead(1, "squat", "3x5 75%");
    assertThat(call("hurts").sentence().endsWith("A clinician should look at it.")).isEqualTo(named);
  }

  @Test
  void whatHurtBeforeIsNoSwap() {
    lifter.said(0, null, null, null, Pictures.pain(BodyPlace.KNEE, null, 5)).ahead(1, "squat", "3x5 75%")
        .lifted(9, "box-squat", "3x5 70%", "110x5 pain");
    assertThat(Pictures.writes(call("hurts").proposals().get(1))).containsExactly("wide-stance-squat 3x5 75% cap @7");
  }

  @Test
  void aPainThatIsGoneMakesNoCall() {
    lifter.said(3, null, null, null, Pictures.pain(BodyPlace.KNEE, null, 6)).said(0, null, null, null, Pictures.pain(BodyPlace.KNEE, null, 0))
        .ahead(1, "squat", "3x5 75%");
    assertThat(lifter.call("hurts")).isNull();
  }

  @Test
  void aWordOnAPainHoldsForTwoWeeks() {
    lifter.said(13, null, null, null, Pictures.pain(BodyPlace.KNEE, null, 5)).ahead(1, "squat", "3x5 75%");
    assertThat(lifter.call("hurts")).isNotNull();
    Pictures old = new Pictures().said(14, null, null, null, Pictures.pain(BodyPlace.KNEE, null, 5)).ahead(1, "squat", "3x5 75%");
    assertThat(old.call("hurts")).isNull();
  }

  @Test
  void theSameMarkInThreeOfFiveSessionsResetsUnderIt() {
    lifter.lifted(12, "squat", "3x5 80%", "145x5 hips first").lifted(9, "squat", "3x5 75%", "135x5").lifted(6, "squat", "3x5 80%",
        "145x5 hips first").lifted(2, "squat", "3x5 80%", "142.5x5 hips first").ahead(2, "squat", "3x5 80%").ahead(5, "squat", "3x5 70%");
    Call call = call("form-went");
    assertThat(call.sentence()).isEqualTo("Squat: 'hips first' in 3 of the last 4 sessions, from 142.5 kg on. Weak: hips that rise first.");
    // 95 % of 142.5 is 135.4, of 145 (80 % of 180 loads to 145) 93.4 %: 74.5 %
    assertThat(Pictures.writes(call)).containsExactly("squat 3x5 74.5%", "+high-bar-squat 3x6 @7");
    assertThat(call.proposals()).extracting(Proposal::words).containsExactly("Under 142.5 kg, and work on quads", "Only the work on quads",
        "Only the lighter loads", "Watch it");
    assertThat(((Effect.Rewrite) call.proposals().get(0).effects().get(0)).cue()).isEqualTo("Mind: hips first");
    Pictures two = new Pictures().lifted(6, "squat", "3x5 80%", "145x5 hips first").lifted(2, "squat", "3x5 80%", "142.5x5 hips first")
        .ahead(2, "squat", "3x5 80%");
    assertThat(two.call("form-went")).isNull();
  }

  @Test
  void aLineOfAnEasyWeekSaysWhatItWasAndWhatItWouldBe() {
    lifter.ahead(8, "squat", "3x5 80%");
    LineChange change = LineChange.of(lifter.make(), List.of(new Effect.EasyWeek(Pictures.TODAY.plusWeeks(1), Deload.HALF_LOAD, null)))
        .get(0);
    assertThat(change.was()).isEqualTo("3x5 80%");
    assertThat(change.work()).isEqualTo("3x5 40%");
  }

  @Test
  void whatShowsInLightWorkTooIsNoMatterOfTheLoad() {
    // 60 % of 180 is 108
    lifter.lifted(9, "squat", "3x5 45%", "80x5 knees in").lifted(6, "squat", "3x5 80%", "145x5 knees in")
        .lifted(2, "squat", "3x5 80%", "142.5x5 knees in").ahead(2, "squat", "3x5 80%");
    Call call = call("form-went");
    assertThat(call.sentence()).startsWith("Squat: 'knees in' in 3 of the last 3 sessions, with light loads, too.");
    assertThat(call.proposals()).extracting(Proposal::words).containsExactly("A cue, and work on hips and thighs, each side by itself",
        "Only the work on hips and thighs, each side by itself", "Only the cue", "Watch it");
    Effect.Rewrite cue = (Effect.Rewrite) call.proposals().get(2).effects().get(0);
    assertThat(cue.after()).as("the loads stay").isEqualTo("3x5 80%").isEqualTo(cue.before());
    assertThat(cue.cue()).isEqualTo("Mind: knees in");
  }

  @Test
  void formThatWentTwiceResetsAlthoughTheRepsWereMade() {
    lifter.lifted(6, "deadlift", "3x3 85%", "187.5x2/3 form went").lifted(2, "deadlift", "3x3 82.5%", "182.5x3/3 form went")
        .ahead(2, "deadlift", "3x3 85%");
    assertThat(call("form-went").sentence()).isEqualTo("Deadlift: form went twice at 182.5 kg and more.");
    assertThat(call("form-went").safe()).as("from 187.5 to 172.5").isFalse();
  }

  @Test
  void aLowerBackIsACaution() {
    for (int ago : List.of(1, 4, 8)) {
      lifter.lifted(ago, "deadlift", "3x3 85%", "187.5x3 lower back");
    }
    lifter.ahead(2, "deadlift", "3x3 85%");
    assertThat(call("form-went").urgency()).isEqualTo(Urgency.CAUTION);
    assertThat(call("form-went").sentence()).contains("A lower back that rounds under load: stop, and go lighter.");
  }

  @Test
  void theTableOfWeakPointsHasEveryMarkButOther() {
    for (MarkList list : MarkList.values()) {
      for (TechniqueMark mark : list.marks()) {
        boolean there = WeakPoints.all().stream().anyMatch(row -> row.list() == list && row.mark() == mark);
        assertThat(there).as(list + " " + mark).isEqualTo(list != MarkList.ASSISTANCE && mark != TechniqueMark.OTHER
            && !(list == MarkList.EVENT && mark == TechniqueMark.LOWER_BACK));
      }
    }
  }

  @Test
  void workOnAWeakPointSuitsKitPainLevelAndWeek() {
    Lift pull = Pictures.LIFTS.ofKey("deadlift").orElseThrow();
    WeakPoints.Row floor = WeakPoints.of(pull, TechniqueMark.SLOW_OFF_THE_FLOOR).orElseThrow();
    assertThat(floor.weak()).as("handbook: slow off the floor: deficits, quads").isEqualTo("off the floor");
    assertThat(WeakPoints.work(lifter.make(), floor, pull)).extracting(Lift::key).containsExactly("deficit-deadlift", "front-squat",
        "leg-press", "paused-deadlift");
    lifter.line(2, SlotKind.ASSISTANCE, "deficit-deadlift", "3x5 70%", null, "");
    assertThat(WeakPoints.work(lifter.make(), floor, pull)).as("it is in the week").extracting(Lift::key).doesNotContain("deficit-deadlift");
    lifter.said(0, null, null, null, Pictures.pain(BodyPlace.KNEE, null, 5));
    assertThat(WeakPoints.work(lifter.make(), floor, pull)).as("what loads a knee that hurts").extracting(Lift::key)
        .containsExactly("paused-deadlift");
    WeakPoints.Row grip = WeakPoints.of(pull, TechniqueMark.GRIP).orElseThrow();
    assertThat(WeakPoints.work(lifter.make(), grip, pull)).as("no farmers handles here").extracting(Lift::key)
        .doesNotContain("farmers-hold").contains("dead-hang");
  }

  @Test
  void aBadFortnightProposesADeload() {
    // the story: two signs, joints twice running and three short nights
    lifter.said(5, 5.5, 3, 3).said(3, 5.0, 3, 2).said(1, 5.5, 3, 2).ahead(1, "squat", "3x5 75%").ahead(8, "squat", "3x5 80%")
        .lifted(3, "squat", "3x5 75%", "135x5");
    Call call = call("deload");
    assertThat(call.sentence()).isEqualTo("Signs of a deload: joints at 2 or less twice running; under six hours of sleep on 3 nights of "
        + "seven.");
    assertThat(call.proposals()).extracting(Proposal::words).containsExactly("Next week easy: half the load", "Next week easy: half the volume",
        "Next week easy: light technique", "Next week easy: days off", "Go on");
    assertThat(call.proposals().get(0).effects()).containsExactly(new Effect.EasyWeek(LocalDate.of(2026, 3, 9), Deload.HALF_LOAD, null));
  }

  @Test
  void oneSignIsNotEnough() {
    lifter.said(5, 5.5, 3, 3).said(3, 5.0, 3, 3).said(1, 5.5, 3, 2).ahead(8, "squat", "3x5 80%").lifted(3, "squat", "3x5 75%", "135x5");
    assertThat(lifter.call("deload")).isNull();
  }

  @ParameterizedTest
  @CsvSource({"5, false", "6, true"})
  void aDeloadIsDueAfterTheIntervalOfTheLevel(int weeks, boolean called) {
    lifter.deloads = new Picture.Deloads(weeks, List.of(), List.of(), Deload.LESS_VOLUME);
    lifter.ahead(8, "squat", "3x5 80%");
    assertThat(lifter.call("deload") != null).isEqualTo(called);
  }

  @Test
  void aPlannedDeloadIsPulledForwardOrWaitedFor() {
    lifter.deloads = new Picture.Deloads(6, List.of(LocalDate.of(2026, 3, 16)), List.of(), Deload.LESS_VOLUME);
    lifter.ahead(8, "squat", "3x5 80%");
    assertThat(call("deload").proposals().get(0).effects()).containsExactly(new Effect.EasyWeek(LocalDate.of(2026, 3, 9), Deload.LESS_VOLUME,
        LocalDate.of(2026, 3, 16)));
    lifter.deloads = new Picture.Deloads(6, List.of(LocalDate.of(2026, 3, 9)), List.of(), Deload.LESS_VOLUME);
    assertThat(lifter.call("deload")).as("next week is one").isNull();
  }

  @Test
  void aThirdDeloadInTwelveWeeksMovesVolumeFirst() {
    lifter.deloads = new Picture.Deloads(3, List.of(), List.of(LocalDate.of(2026, 1, 5), LocalDate.of(2026, 2, 2)), Deload.HALF_LOAD);
    lifter.said(5, 5.5, 3, 3).said(3, 5.0, 3, 2).said(1, 5.5, 3, 2).ahead(1, "squat", "3x5 75%").line(1, SlotKind.SECOND, "deadlift",
        "4x4 75%", null, "").lifted(3, "squat", "3x5 75%", "135x5");
    assertThat(call("deload").proposals().get(0).words()).isEqualTo("First move volume to lifts that cost less");
    assertThat(Pictures.writes(call("deload"))).containsExactly("back-extension 3x8-12");
  }

  @Test
  void everySignIsSeenAndNotBeforeItsLimit() {
    assertThat(signs(new Pictures().points("squat", 4, 184, 182, 180))).containsExactly("the estimate of the squat fell twice, from 184 kg "
        + "to 180 kg");
    assertThat(signs(new Pictures().points("squat", 4, 183, 182, 180))).as("3 kg are the sd").isEmpty();
    assertThat(signs(new Pictures().lifted(21, "squat", "3x5 75%", "135x5 @7").lifted(0, "squat", "3x5 75%", "135x5 @8")))
        .containsExactly("135 kg × 5 was a point harder than on Mon 9 Feb");
    assertThat(signs(new Pictures().lifted(22, "squat", "3x5 75%", "135x5 @7").lifted(0, "squat", "3x5 75%", "135x5 @8"))).isEmpty();
    assertThat(signs(new Pictures().lifted(6, "squat", "3x5 75%", "135x4/5").lifted(0, "bench", "3x5 75%", "90x4/5")))
        .containsExactly("2 minimums missed in seven days");
    assertThat(signs(new Pictures().lifted(7, "squat", "3x5 75%", "135x4/5").lifted(0, "bench", "3x5 75%", "90x4/5"))).isEmpty();
    assertThat(signs(new Pictures().lifted(0, "squat", "1xAMRAP 80%", "145x3 open"))).containsExactly("an open set at 81 % gave 3");
    assertThat(signs(new Pictures().lifted(0, "squat", "1xAMRAP 80%", "145x4 open"))).isEmpty();
    assertThat(signs(new Pictures().said(4, null, 2, null).said(3, null, 2, null).said(2, null, 4, null).said(0, null, 2, null)))
        .containsExactly("energy at 2 or less 3 times of 4");
    assertThat(signs(new Pictures().said(4, null, 2, null).said(3, null, 3, null).said(2, null, 4, null).said(0, null, 2, null))).isEmpty();
  }

  private static List<String> signs(Pictures of) {
    return DeloadSigns.of(of.make()).stream().map(DeloadSigns.Sign::words).toList();
  }

  @Test
  void theBarSlowerThanTheLineOnTwoExposuresIsASign() {
    // a line of 0.9 − 0.004·kg: 0.42 at 120, 0.34 at 140, 0.26 at 160
    for (int week = 3; week <= 5; week++) {
      lifter.lifted(7 * week, "squat", "1x1 120kg; 1x1 140kg; 1x1 160kg", "120x1 0.42 m/s", "140x1 0.34 m/s", "160x1 0.26 m/s");
    }
    Pictures quick = lifter.lifted(9, "squat", "1x1 140kg", "140x1 0.29 m/s");
    quick.lifted(2, "squat", "1x1 140kg", "140x1 0.28 m/s");
    assertThat(call("slower").sentence()).startsWith("Squat: 6 cm/s slower than the lifter's own line on the last 2 exposures.");
    assertThat(signs(lifter)).contains("the bar was slower than the lifter's own line");
  }

  @Test
  void theBarHardlySlowerIsNoSign() {
    for (int week = 3; week <= 5; week++) {
      lifter.lifted(7 * week, "squat", "1x1 120kg; 1x1 140kg; 1x1 160kg", "120x1 0.42 m/s", "140x1 0.34 m/s", "160x1 0.26 m/s");
    }
    lifter.lifted(9, "squat", "1x1 140kg", "140x1 0.30 m/s").lifted(2, "squat", "1x1 140kg", "140x1 0.28 m/s");
    assertThat(lifter.call("slower")).isNull();
  }

  @Test
  void readinessIsFiftyAndTenForEachPart() {
    // by hand: joints 2 → −0.5, energy 1 → −1, sleep 5 h → −0.5; nothing logged: 50 + 10 · (−2) = 30
    lifter.said(0, 5.0, 1, 2).ahead(0, "squat", "3x5 75%");
    Readiness readiness = Readiness.of(lifter.make());
    assertThat(readiness.value()).isEqualTo(30);
    assertThat(readiness.words()).isEqualTo("30 of 100: joints −0.5, energy −1, sleep −0.5; not known: ratings against what was asked, "
        + "minimums made, the estimate against two weeks ago");
    // ratings a point easier +1; no miss in three sessions +0.5; the estimate up by half of two sd: 3/6 = +0.5
    Pictures well = new Pictures().said(0, 8.0, 5, 4).lifted(2, "squat", "3x5 75% @8", "135x5 @7").points("squat", 15, 177, 180);
    assertThat(Readiness.of(well.make()).value()).as("50 + 10·(1 + 0.5 + 0.5 + 0.5 + 1 + 1)").isEqualTo(95);
  }

  @ParameterizedTest
  @CsvSource({"5.0, 2, 3, 40, false", "5.0, 1, 3, 35, true"})
  void readinessUnderFortyOffersAnEasierSession(double sleep, int energy, int joints, int value, boolean called) {
    lifter.said(0, sleep, energy, joints).ahead(0, "squat", "1x3 85%; 3x5 -15%");
    assertThat(Readiness.of(lifter.make()).value()).isEqualTo(value);
    assertThat(lifter.call("readiness-low") != null).isEqualTo(called);
    if (called) {
      Call call = call("readiness-low");
      assertThat(Pictures.writes(call)).containsExactly("squat 1x3 80.5%; 3x5 -15%");
      assertThat(Pictures.writes(call.proposals().get(1))).containsExactly("squat 1x3 85% cap @8; 3x5 -15% cap @8");
      assertThat(Pictures.writes(call.proposals().get(2))).containsExactly("squat 3x3 60%");
    }
  }

  @Test
  void aMissedDayMovesToAFreeDayOrIntoTheNext() {
    lifter.free = Set.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.THURSDAY, DayOfWeek.SATURDAY);
    lifter.lifted(5, "squat", "3x5 75%", "135x5").ahead(-1, "bench", "4x5 75%").ahead(0, "squat", "3x5 75%");
    Call call = call("missed-days");
    assertThat(call.sentence()).isEqualTo("The session of Sun 1 Mar was not begun: Bench press.");
    assertThat(call.proposals().get(0).effects()).containsExactly(new Effect.Move(LocalDate.of(2026, 3, 1), LocalDate.of(2026, 3, 4)));
    assertThat(Pictures.writes(call.proposals().get(1))).containsExactly("+bench 2x5 75%");
    assertThat(call.safe()).isTrue();
  }

  @Test
  void todaysSessionIsNotMissedYet() {
    lifter.lifted(5, "squat", "3x5 75%", "135x5").ahead(0, "bench", "4x5 75%");
    assertThat(lifter.call("missed-days")).isNull();
  }

  @ParameterizedTest
  @CsvSource({"13, false", "14, true"})
  void twoWeeksAwayIsALayoff(int days, boolean called) {
    lifter.lifted(days, "squat", "3x5 75%", "135x5").ahead(1, "squat", "3x5 80%").ahead(8, "squat", "3x5 80%");
    Call call = lifter.call("missed-days");
    assertThat(call != null).isEqualTo(called);
    if (call != null) {
      assertThat(Pictures.writes(call)).as("the first week alone").containsExactly("squat 3x5 72% cap @7");
    }
  }

  @Test
  void afterAnIllnessTheFirstExposureIsLighter() {
    lifter.lifted(4, "squat", "3x5 75%", "135x5 ill").ahead(1, "squat", "3x5 80%").ahead(4, "squat", "3x5 80%");
    assertThat(Pictures.writes(call("missed-days"))).containsExactly("squat 3x5 76%");
    assertThat(lifter.lifted(1, "bench", "3x5 75%", "90x5").call("missed-days")).as("lifted since").isNull();
  }

  @ParameterizedTest
  @CsvSource({"42, 93.5, true", "43, 93.5, false", "42, 93, false"})
  void bodyMassOverTheClassShowsTheDrift(int days, String mass, boolean called) {
    lifter.contest = new Picture.Contest(7, "Spring cup", Pictures.day(days), Pictures.kg("93"));
    lifter.weighs(21, "92").weighs(1, mass);
    assertThat(lifter.call("class") != null).isEqualTo(called);
    if (called) {
      assertThat(call("class").sentence()).isEqualTo("93.5 kg on Sun 1 Mar, up 1.5 kg since Mon 9 Feb; the class for Spring cup, in 42 days, "
          + "ends at 93 kg. Talk about the class, and leave making weight to a dietitian or a physician.");
      assertThat(call("class").tells()).isTrue();
    }
  }

  @Test
  void everyRuleSaysWhatItIsAndWhereItIsFrom() {
    assertThat(CallRules.all()).extracting(CallRule::key).doesNotHaveDuplicates().hasSize(18);
    CallRules.all().forEach(rule -> {
      assertThat(rule.title()).as(rule.key()).isNotBlank();
      assertThat(rule.source()).as(rule.key()).endsWith(".");
      assertThat(rule.when()).as(rule.key()).endsWith(".");
      assertThat(CallRules.ofKey(rule.key())).contains(rule);
    });
    for (CallFigure figure : CallFigure.values()) {
      assertThat(figure.usual()).as(figure.key()).isBetween(figure.least(), figure.most());
      assertThat(CallFigure.ofKey(figure.key())).contains(figure);
    }
  }
}
