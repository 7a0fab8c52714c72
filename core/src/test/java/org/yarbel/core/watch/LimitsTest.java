package org.yarbel.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.yarbel.core.watch.Weeks.MONDAY;
import static org.yarbel.core.watch.Weeks.kg;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.kit.Bar;
import org.yarbel.core.lift.Level;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Method;

/** The limits of the checks: exactly at them, and on both sides. The limits are common practice or our own, as each check says. */
class LimitsTest {
  private final Weeks weeks = new Weeks();

  private boolean told(String check, String... lines) {
    return !weeks.find(check, lines).isEmpty();
  }

  private String said(String check, String... lines) {
    return weeks.find(check, lines).stream().map(Finding::sentence).collect(Collectors.joining(" / "));
  }

  private static Athlete.Goal goal(String max, int days) {
    return new Athlete.Goal(kg(max), MONDAY.plusDays(days), null, null);
  }

  // of 250 kg every percent is a load of whole 2.5 kg
  @Test
  void allThreeRaisedIsMoreThanATenthTwoPointsAndHalfADay() {
    weeks.maxes.put("squat", kg("250"));
    weeks.past.add(weeks.totals("Mon main squat 5x3 75%", "Wed main squat 5x3 70%"));
    weeks.past.add(weeks.totals("Mon main squat 5x3 75%", "Wed main squat 3x3 70%", "Fri main squat 2x3 70%"));
    assertThat(told("all-raised", "Mon main squat 6x3 78%", "Wed main squat 3x3 70%", "Thu main squat 1x3 70%",
        "Fri main squat 2x3 70%")).as("12 sets, 78 %, 4 days").isTrue();
    assertThat(told("all-raised", "Mon main squat 5x3 78%", "Wed main squat 3x3 70%", "Thu main squat 1x3 70%",
        "Fri main squat 2x3 70%")).as("11 of 10 sets").isFalse();
    assertThat(told("all-raised", "Mon main squat 6x3 77%", "Wed main squat 3x3 70%", "Thu main squat 1x3 70%",
        "Fri main squat 2x3 70%")).as("two points").isFalse();
    assertThat(told("all-raised", "Mon main squat 7x3 78%", "Wed main squat 3x3 70%", "Fri main squat 2x3 70%"))
        .as("3 days after 2.5").isFalse();
  }

  @Test
  void allRaisedComparesALiftWithItselfAndNeedsWeeksBefore() {
    String[] raised = {"Mon main squat 6x3 80%", "Wed main squat 6x3 80%", "Fri main squat 6x3 80%"};
    assertThat(told("all-raised", raised)).isFalse();
    weeks.past.add(weeks.totals("Mon main bench 2x3 60%", "Mon main squat 6x3 80%", "Wed main squat 6x3 80%", "Fri main squat 6x3 80%"));
    assertThat(told("all-raised", raised)).as("the bench before is no squat").isFalse();
    weeks.past.clear();
    weeks.past.add(weeks.totals("Mon main bench 6x3 90%", "Tue main bench 6x3 90%", "Wed main bench 6x3 90%", "Mon main squat 4x3 70%"));
    assertThat(told("all-raised", raised)).isTrue();
  }

  /** Law and rule books alike: of age is who has had the eighteenth birthday. */
  @ParameterizedTest
  @CsvSource({"17,true", "18,false"})
  void eighteenIsOfAge(int age, boolean told) {
    weeks.age = age;
    assertThat(told("clearance", "Mon main squat max 1")).isEqualTo(told);
  }

  @Test
  void nearTheLimitIsFromRpeNineAndAHalf() {
    weeks.pains.add(new Athlete.Pain("left knee", 4));
    assertThat(told("clearance", "Mon main squat 3x3 @9.5")).as("pain of four of ten").isTrue();
    assertThat(told("clearance", "Mon main squat 3x3 @9")).isFalse();
    assertThat(told("clearance", "Mon assistance squat 3x3 @9.5")).as("no main work").isFalse();
    assertThat(told("clearance", "Mon main squat negative 1x3 105%")).isTrue();
  }

  /** Zones of Prilepin's table: a day near what a zone bears is hard from 70 % of it, but never in the lowest. */
  @ParameterizedTest
  @CsvSource({"7x2 80%,true", "13x1 80%,false", "7x6 60%,false", "16x1 75%,false", "17x1 75%,true", "7x1 81%; 1x6 72%,false"})
  void repsNearTheLimitOfAZoneMakeADayHard(String work, boolean hard) {
    assertThat(!weeks.of("Mon main squat " + work).hardLifts(MONDAY).isEmpty()).isEqualTo(hard);
  }

  @Test
  void aDayIsHardByMainWorkAlone() {
    assertThat(weeks.of("Mon assistance squat 3x3 90%").hardLifts(MONDAY)).isEmpty();
    assertThat(weeks.of("Mon assistance squat 20x1 80%").hardLifts(MONDAY)).isEmpty();
    assertThat(weeks.of("Mon main squat 3x3 90%").hardLifts(MONDAY)).containsExactly("squat");
    assertThat(weeks.of("Mon main squat density 20 80% in 20:00").hardLifts(MONDAY)).as("work that tells nothing of a max").isEmpty();
  }

  @Test
  void frequentPracticeIsNoHardDayUntilItIsHeavyOrChanged() {
    weeks.method = Method.HIGH_FREQUENCY;
    assertThat(weeks.of("Mon main squat 15x1 80%").hardLifts(MONDAY)).isEmpty();
    assertThat(weeks.of("Mon main squat 3x3 90%").hardLifts(MONDAY)).isNotEmpty();
    weeks.edited = true;
    assertThat(weeks.of("Mon main squat 15x1 80%").hardLifts(MONDAY)).isNotEmpty();
    weeks.edited = false;
    weeks.method = Method.RPE_WEEKS;
    assertThat(weeks.of("Mon main squat 15x1 80%").hardLifts(MONDAY)).isNotEmpty();
  }

  @Test
  void linesThatAreMovedStandInTheOrderOfDays() {
    WatchedWeek moved = weeks.of("Mon main squat 3x3 90%", "Wed main bench 3x3 80%", "Fri main squat 3x3 70%")
        .moved(List.of(1L), MONDAY.plusDays(3));
    assertThat(moved.lines()).extracting(line -> line.counted().id() + " " + line.counted().day().getDayOfWeek())
        .containsExactly("2 WEDNESDAY", "1 THURSDAY", "3 FRIDAY");
    assertThat(moved.hardDays()).containsExactly(MONDAY.plusDays(3));
  }

  @Test
  void aGoalIsCountedDownToFromTheMonday() {
    assertThat(weeks.of().daysToContest()).isEmpty();
    weeks.goals.put("squat", goal("210", -1));
    assertThat(weeks.of().daysToContest()).as("behind").isEmpty();
    weeks.goals.put("bench", new Athlete.Goal(kg("150"), null, null, null));
    assertThat(weeks.of().daysToContest()).as("without a day").isEmpty();
    weeks.goals.put("deadlift", goal("250", 0));
    assertThat(weeks.of().daysToContest()).hasValue(0);
    weeks.goals.put("deadlift", goal("250", 30));
    weeks.goals.put("squat", goal("210", 12));
    assertThat(weeks.of().daysToContest()).as("the nearest").hasValue(12);
  }

  @Test
  void theWeekOfTodayHasSevenDays() {
    for (int day = -1; day <= 7; day++) {
      weeks.today = MONDAY.plusDays(day);
      assertThat(weeks.of().current()).as("day %s", day).isEqualTo(day >= 0 && day < 7);
    }
  }

  /** Volume that rises as a method writes it is no doubt but a note. */
  @Test
  void aRiseIsMoreThanAFifthOfSixSetsOrMore() {
    weeks.past.add(weeks.totals("Mon main squat 5x3 75%"));
    assertThat(said("volume-rise", "Mon main squat 7x3 75%"))
        .contains("7 hard sets after 5 on average of the last week without a deload, 40 % more.").contains("On purpose");
    assertThat(told("volume-rise", "Mon main squat 6x3 75%")).as("a fifth").isFalse();
    weeks.past.set(0, weeks.totals("Mon main squat 3x3 75%"));
    assertThat(told("volume-rise", "Mon main squat 6x3 75%")).isTrue();
    assertThat(told("volume-rise", "Mon main squat 5x3 75%")).as("five sets are few").isFalse();
    weeks.method = Method.RPE_WEEKS;
    assertThat(said("volume-rise", "Mon main squat 6x3 75%")).endsWith("The method writes it so.");
    weeks.edited = true;
    assertThat(said("volume-rise", "Mon main squat 6x3 75%")).endsWith("a deload follows.");
    weeks.edited = false;
    weeks.deloadFollows = true;
    assertThat(told("volume-rise", "Mon main squat 6x3 75%")).isFalse();
  }

  @Test
  void noDeloadIsDueWithinTheLastThreeWeeksNorInAnEmptyWeek() {
    weeks.figures.put(Threshold.DELOAD_WEEKS, 4.0);
    weeks.weeksSinceDeload = 3;
    assertThat(told("deload-due", "Mon main squat 3x5 @7")).as("the fourth week").isFalse();
    weeks.weeksSinceDeload = 4;
    assertThat(told("deload-due", "Mon main squat 3x5 @7")).isTrue();
    assertThat(told("deload-due")).isFalse();
    weeks.goals.put("squat", goal("205", 20));
    assertThat(told("deload-due", "Mon main squat 3x5 @7")).as("the taper is the easy time").isFalse();
    weeks.goals.put("squat", goal("205", 21));
    assertThat(told("deload-due", "Mon main squat 3x5 @7")).isTrue();
  }

  @Test
  void threeDaysRunningAreBunchedUnlessTheyAreAllThereIs() {
    String[] three = {"Mon main squat 3x3 60%", "Tue main bench 3x3 60%", "Wed main deadlift 3x3 60%"};
    assertThat(told("bunched", three[0], three[1])).as("two days").isFalse();
    weeks.figures.put(Threshold.DAYS_OFF, 4.0);
    assertThat(told("bunched", three)).as("four days off").isTrue();
    weeks.figures.put(Threshold.DAYS_OFF, 5.0);
    assertThat(told("bunched", three)).isFalse();
    weeks.figures.clear();
    weeks.free.addAll(List.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY));
    assertThat(told("bunched", three)).as("every free day").isFalse();
    weeks.free.add(DayOfWeek.SATURDAY);
    assertThat(told("bunched", three)).isTrue();
    weeks.goals.put("squat", goal("205", 8));
    assertThat(told("bunched", three)).as("it ends on the platform").isFalse();
    weeks.goals.put("squat", goal("205", 9));
    assertThat(told("bunched", three)).isTrue();
    weeks.deload = Deload.HALF_LOAD;
    assertThat(told("bunched", three)).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"Wed main deadlift 1x1 90%,true", "Wed main deadlift 1x1 88%,false", "Tue main deadlift 1x1 90%,false",
      "Wed assistance deadlift 1x1 90%,false"})
  void heavyIsFromNinetyPercentAndTenDaysOutIsInTime(String line, boolean told) {
    weeks.maxes.put("deadlift", kg("250"));
    weeks.goals.put("deadlift", goal("260", 11));
    assertThat(told("last-heavy-day", line)).isEqualTo(told);
  }

  @Test
  void onTheDayOfTheContestNothingIsTooNear() {
    weeks.goals.put("deadlift", goal("250", 2));
    assertThat(told("last-heavy-day", "Wed main deadlift 1x1 92%")).as("the platform itself").isFalse();
    assertThat(told("last-heavy-day", "Tue main deadlift 1x1 92%")).isTrue();
    weeks.goals.put("overhead-press", goal("90", 2));
    weeks.maxes.put("overhead-press", kg("80"));
    assertThat(told("last-heavy-day", "Tue main overhead-press 1x1 92%")).as("none of the three").isFalse();
  }

  @Test
  void aMethodThatCountsDownMayHaveItTwoDaysNearer() {
    weeks.goals.put("deadlift", goal("250", 9));
    weeks.method = Method.TAPER;
    assertThat(told("last-heavy-day", "Tue main deadlift 1x1 92%")).as("eight days, by the method").isFalse();
    assertThat(told("last-heavy-day", "Wed main deadlift 1x1 92%")).as("seven").isTrue();
    weeks.edited = true;
    assertThat(told("last-heavy-day", "Tue main deadlift 1x1 92%")).isTrue();
  }

  @Test
  void mainWorkIsFortyPercentOfThirtyRepsOrMore() {
    assertThat(told("main-share", "Mon main squat 4x3 60%", "Mon assistance row 1x18")).as("12 of 30 are 40 %").isFalse();
    assertThat(told("main-share", "Mon main squat 1x11 60%", "Mon assistance row 1x19")).isTrue();
    assertThat(told("main-share", "Mon main squat 1x10 60%", "Mon assistance row 1x19")).as("29 reps are few").isFalse();
    assertThat(told("main-share", "Mon assistance row 3x20")).as("no main work at all").isFalse();
    weeks.peaking = true;
    assertThat(told("main-share", "Mon main squat 1x11 60%", "Mon assistance row 1x19")).as("another check says it").isFalse();
    assertThat(told("assistance-outnumbers", "Mon main squat 5x3 60%", "Mon assistance row 1x15")).as("as many").isFalse();
    assertThat(told("assistance-outnumbers", "Mon main squat 5x3 60%", "Mon assistance row 1x16")).isTrue();
    assertThat(told("assistance-outnumbers", "Mon assistance row 1x16")).isFalse();
  }

  @ParameterizedTest
  @CsvSource({"85,true", "82.5,false"})
  void loadsMayNotFallWithTheVolumeWhereTheyWereHeavy(String before, boolean told) {
    weeks.past.add(weeks.totals("Mon main squat 3x3 " + before + "%"));
    weeks.goals.put("squat", goal("205", 12));
    assertThat(told("taper", "Mon main squat 2x3 78%")).isEqualTo(told);
    assertThat(told("taper", "Mon main squat 2x3 80%")).as("80 % are kept").isFalse();
    assertThat(told("taper", "Mon main squat 2x20")).as("no share known").isFalse();
  }

  // 50 % are left in the week before; what is within 15 points of it is near enough
  @ParameterizedTest
  @CsvSource({"6,3,false", "6,4,true", "5,5,false", "20,13,false", "20,14,true"})
  void theVolumeFallsByAboutHalfAWeekBefore(int usual, int sets, boolean told) {
    weeks.past.add(weeks.totals("Mon main squat " + usual + "x3 85%"));
    weeks.goals.put("squat", goal("205", 7));
    assertThat(told("taper", "Mon main squat " + sets + "x3 85%")).isEqualTo(told);
    assertThat(told("taper", "Mon main bench " + sets + "x3 85%")).as("nobody aims at the bench").isFalse();
  }

  @Test
  void aTaperTakesTwoWeeksOfMostOneOfTheNewThreeOfTheAdvanced() {
    weeks.past.add(weeks.totals("Mon main squat 10x3 85%"));
    Map.of(Level.BEGINNER, 1, Level.INTERMEDIATE, 2, Level.ADVANCED, 3).forEach((level, count) -> {
      weeks.level = level;
      for (int week = 0; week < 4; week++) {
        weeks.goals.put("squat", goal("205", 7 * week + 6));
        assertThat(told("taper", "Mon main squat 10x3 85%")).as("%s, %s weeks out", level, week).isEqualTo(week < count);
      }
    });
    weeks.goals.put("squat", goal("205", -1));
    assertThat(told("taper", "Mon main squat 10x3 85%")).as("the contest is behind").isFalse();
    weeks.goals.put("squat", new Athlete.Goal(kg("205"), null, null, null));
    assertThat(told("taper", "Mon main squat 10x3 85%")).as("no day").isFalse();
  }

  // the window of a mark is 0.6 % on both sides: at 200 kg 198.8 to 201.2
  @ParameterizedTest
  @CsvSource({"200,195,true", "201.2kg,195,true", "202.5,195,false", "198.75kg,195,false", "180,175,true", "180,180,false",
      "182.5,175,false"})
  void aMilestoneIsTheFirstTimeAtARoundNumber(String load, String ever, boolean told) {
    weeks.heaviest.put("squat", kg(ever));
    assertThat(told("milestone", "Mon main squat 1x1 " + load.replace("kg", "") + "kg")).isEqualTo(told);
  }

  @Test
  void aMilestoneIsSaidOnceOfALiftThatWasLiftedBefore() {
    weeks.heaviest.put("squat", kg("195"));
    assertThat(weeks.find("milestone", "Mon main squat 1x1 200kg", "Fri main squat 1x1 200kg")).hasSize(1);
    assertThat(told("milestone", "Mon main bench 1x1 100kg")).as("never lifted here").isFalse();
    weeks.heaviest.put("front-squat", kg("95"));
    assertThat(told("milestone", "Mon main front-squat 1x1 100kg")).as("no lift of powerlifting").isFalse();
    weeks.maxes.put("squat", kg("216"));
    assertThat(weeks.find("milestone", "Mon main squat 1x1 @8")).as("about 92.5 % of it are 200, and no load is written").singleElement()
        .satisfies(found -> assertThat(found.mend()).isNull());
    weeks.maxes.put("squat", kg("200"));
    assertThat(weeks.find("milestone", "Mon main squat 3x3 70%; 1x1 100%").get(0).mend().work()).isEqualTo("3x3 70%; 1x1 197.5kg");
  }

  @ParameterizedTest
  @CsvSource({"70%,false", "72%,true", "60% @6,false", "60% @6.5,true"})
  void lightTechniqueEndsAtSeventyPercentAndRpeSix(String effort, boolean told) {
    weeks.maxes.put("squat", kg("250"));
    weeks.deload = Deload.LIGHT_TECHNIQUE;
    assertThat(told("under-ceiling", "Mon main squat 1x3 " + effort)).isEqualTo(told);
  }

  @Test
  void aDeloadIsSaidToGoToWhatIsKnown() {
    weeks.maxes.put("squat", kg("250"));
    weeks.deload = Deload.DAYS_OFF;
    assertThat(said("under-ceiling", "Mon main squat 3x5 80%")).endsWith("this goes to 80 %, RPE 7.");
    assertThat(said("under-ceiling", "Mon main squat 1x2 50%")).endsWith("this goes to 50 %.");
    assertThat(said("under-ceiling", "Mon main overhead-press 3x5 60kg @8")).endsWith("this goes to RPE 8.");
    assertThat(said("under-ceiling", "Mon main overhead-press 3x5")).endsWith("this goes to work.");
    assertThat(told("under-ceiling", "Mon prepare squat 3x5 80%")).as("it counts for nothing").isFalse();
    weeks.method = Method.RPE_WEEKS;
    assertThat(told("under-ceiling", "Mon main squat 3x5 80%")).as("a method makes its own easy").isFalse();
  }

  @Test
  void fewerSetsHelpOnlyWhereTheEffortIsWritten() {
    weeks.deload = Deload.LESS_VOLUME;
    assertThat(weeks.find("under-ceiling", "Mon main squat 4x5 80% @9")).allSatisfy(found -> assertThat(found.mend()).isNotNull())
        .isNotEmpty();
    assertThat(weeks.find("under-ceiling", "Mon main squat 4x5 85%")).allSatisfy(found -> assertThat(found.mend()).isNull()).isNotEmpty();
    assertThat(weeks.find("under-ceiling", "Mon main squat 4x5 @9; 2x3 90%")).allSatisfy(found -> assertThat(found.mend()).isNull())
        .isNotEmpty();
  }

  // 90 s of rest are not short, a tempo of six seconds is slow; the 9.5 of it is RPE 9.5 by the chart
  @ParameterizedTest
  @CsvSource({"rest 90s,false", "rest 89s,true", "tempo 3-1-1-0,false", "tempo 3-1-2-0,true", "tempo 3-1-X-1,false"})
  void shortRestsAndSlowTempoAreStrictFromALimitOn(String option, boolean told) {
    weeks.figures.put(Threshold.FAILURE_RPE_SHORT, 9.0);
    assertThat(told("to-failure", "Mon main squat 3x5 85% " + option)).isEqualTo(told);
  }

  @Test
  void onlyPlannedSetsOfTheLiftItselfGoToFailureByTheChart() {
    assertThat(told("to-failure", "Mon main squat 1x1 101kg; 3x6 85%")).isTrue();
    assertThat(said("to-failure", "Mon main squat 1x1 105%")).startsWith("1 rep at 105 % of the estimate come to RPE 10 and beyond");
    assertThat(told("to-failure", "Mon main squat 3x6 @10")).as("an effort that is written is meant").isFalse();
    assertThat(told("to-failure", "Mon main squat cluster 3x4 90% gap 20s")).isFalse();
    assertThat(told("to-failure", "Mon main squat 2x6+ 85%")).as("the last is open, the one before is not").isTrue();
    assertThat(told("to-failure", "Mon main squat 1x6+ 85%")).isFalse();
    weeks.maxes.put("pin-squat", kg("200"));
    assertThat(told("to-failure", "Mon main pin-squat 3x6 85%"))
        .isEqualTo(!Weeks.LIFTS.ofKey("pin-squat").orElseThrow().variation().partial());
  }

  @Test
  void sharesOfAGoalAreJudgedInTheWeekOfToday() {
    weeks.goals.put("squat", goal("210", 60));
    weeks.method = Method.GOAL_WAVE;
    assertThat(told("to-failure", "Mon main squat 3x6 85% goal")).isTrue();
    weeks.today = MONDAY.minusDays(1);
    assertThat(told("to-failure", "Mon main squat 3x6 85% goal")).as("the max grows until then").isFalse();
    assertThat(told("to-failure", "Mon main squat 3x6 85%")).as("a share of the estimate does not").isTrue();
    weeks.edited = true;
    assertThat(told("to-failure", "Mon main squat 3x6 85% goal")).isTrue();
  }

  @Test
  void onWhatNobodyLiftsItIsSaidFromTheBoundOn() {
    weeks.maxes.put("squat", kg("250"));
    assertThat(said("out-of-reach", "Mon main squat 1x1 270kg")).startsWith("108 % of the max to expect");
    assertThat(told("out-of-reach", "Mon main squat 1x1 267.5kg")).isFalse();
    assertThat(told("out-of-reach", "Mon main squat 3x5 50kg")).as("a fifth").isFalse();
    assertThat(told("out-of-reach", "Mon main squat 3x5 47.5kg")).isTrue();
    assertThat(told("out-of-reach", "Mon main squat 3x5 110%")).isTrue();
    assertThat(told("out-of-reach", "Mon main squat 3x5 @8")).as("nobody wrote a load").isFalse();
    weeks.forecast = true;
    assertThat(told("out-of-reach", "Mon main squat 1x1 270kg")).as("another check says it of a forecast").isFalse();
  }

  @Test
  void aBeginnerMayWorkUpToWhatIsLeftShortOfTheMax() {
    weeks.level = Level.BEGINNER;
    assertThat(told("method-for-level", "Mon main squat max 1 @8.5")).isFalse();
    assertThat(told("method-for-level", "Mon main squat max 1 @9")).isTrue();
    assertThat(said("method-for-level", "Mon main squat cluster 3x4 85% gap 20s")).startsWith("Clusters of heavy singles are not");
  }

  @Test
  void disagreementIsMoreThanAPoint() {
    // 83 % is good for seven: five of them are RPE 8 by the chart, to the point
    weeks.maxes.put("squat", kg("250"));
    weeks.figures.put(Threshold.DISAGREE, 1.0);
    assertThat(said("percent-against-rpe", "Mon main squat 3x5 100% @9")).contains("RPE 10 and beyond");
    assertThat(said("percent-against-rpe", "Mon main squat 3x1 75% @9")).contains("is about RPE under 5");
    assertThat(told("percent-against-rpe", "Mon main squat 3x5 75% @8", "Mon main squat 3x5 75%")).isTrue();
    assertThat(weeks.find("percent-against-rpe", "Mon main squat 3x5 75–80% @9").get(0).mend())
        .as("a range is the lifter's to choose in").isNull();
  }

  @Test
  void goalsAreJudgedWhileTheyLieAhead() {
    weeks.goals.put("bench", goal("160", 0));
    assertThat(told("believable-goal", "Mon main bench 3x5 @7")).as("today").isFalse();
    weeks.goals.put("bench", goal("160", 7));
    assertThat(said("believable-goal", "Mon main bench 3x5 @7")).contains("over the estimate with 1 week to go; 0.7 % is believable");
    weeks.today = MONDAY.minusDays(7);
    assertThat(told("believable-goal", "Mon main bench 3x5 @7")).as("only in the week of today").isFalse();
    weeks.today = MONDAY;
    weeks.goals.put("bench", new Athlete.Goal(kg("150"), MONDAY.plusWeeks(5), kg("140"), MONDAY.minusWeeks(5)));
    weeks.maxes.put("bench", kg("141"));
    assertThat(said("believable-goal", "Mon main bench 3x5 @7")).as("judged from where it began, 9.8 kg of 140 in ten weeks")
        .contains("7.1 % over the max it began from, with 10 weeks for it; 7 % is believable");
    weeks.goals.put("bench", new Athlete.Goal(kg("149.8"), MONDAY.plusWeeks(5), kg("140"), MONDAY.minusWeeks(5)));
    assertThat(told("believable-goal", "Mon main bench 3x5 @7")).as("exactly what can be believed").isFalse();
    weeks.goals.put("bench", new Athlete.Goal(kg("150"), MONDAY.plusWeeks(5), kg("140"), MONDAY.plusDays(1)));
    assertThat(said("believable-goal", "Mon main bench 3x5 @7")).as("what begins tomorrow is judged by today's")
        .contains("over the estimate");
  }

  // the line from 100 to 110 kg in ten weeks says 105 at half the way
  @ParameterizedTest
  @CsvSource({"101.8,true", "101.9,false"})
  void behindTheLineIsThreePercentOrMore(String estimate, boolean told) {
    weeks.goals.put("bench", new Athlete.Goal(kg("110"), MONDAY.plusWeeks(5), kg("100"), MONDAY.minusWeeks(5)));
    weeks.maxes.put("bench", kg(estimate));
    assertThat(told("goal-off-course", "Mon main bench 3x5 @7")).isEqualTo(told);
    weeks.today = MONDAY.minusDays(7);
    assertThat(told("goal-off-course", "Mon main bench 3x5 @7")).as("another week").isFalse();
  }

  @ParameterizedTest
  @CsvSource({"0,false", "1,true", "42,true", "43,false"})
  void aRoundThatCameShortIsRememberedSixWeeks(int days, boolean told) {
    weeks.clusters.put("squat", new Around.ShortCluster(MONDAY.minusDays(days), kg("200"), 3));
    assertThat(told("cluster-too-heavy", "Mon main squat cluster 3x6 200kg gap 20s")).isEqualTo(told);
    assertThat(told("cluster-too-heavy", "Mon main squat 3x6 200kg")).as("no cluster").isFalse();
    weeks.method = Method.CLUSTER;
    assertThat(told("cluster-too-heavy", "Mon main squat cluster 3x6 200kg gap 20s")).as("the method writes it lighter itself").isFalse();
  }

  // five percent off 200 is 190; half a step more is as good
  @ParameterizedTest
  @CsvSource({"190,false", "191.25,false", "192.5,true"})
  void aLighterClusterIsFivePercentLighter(String load, boolean told) {
    weeks.clusters.put("squat", new Around.ShortCluster(MONDAY.minusDays(7), kg("200"), 3));
    assertThat(told("cluster-too-heavy", "Mon main squat cluster 3x6 " + load + "kg gap 20s")).isEqualTo(told);
  }

  @ParameterizedTest
  @CsvSource({"6,true", "5,false"})
  void whereTheWorkSitsIsToldOfSixHardSetsOrMore(int sets, boolean told) {
    assertThat(told("where-it-sits", "Mon main squat " + sets + "x2 70%")).isEqualTo(told);
    weeks.pains.add(new Athlete.Pain("left knee", 1));
    assertThat(told("where-it-sits", "Mon main squat " + sets + "x2 70%")).as("who hurts stays lower").isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"85", "95"})
  void theEndsOfTheRangeOfALevelAreWithinIt(String percent) {
    assertThat(told("where-it-sits", "Mon main squat 6x1 " + percent + "%")).isFalse();
    assertThat(told("where-it-sits", "Mon main squat 3x1 " + percent + "%; 3x1 70%")).as("the middle of the sets is meant").isFalse();
    weeks.method = Method.RPE_WEEKS;
    assertThat(told("where-it-sits", "Mon main squat 6x1 70%")).as("a method sits where it is written").isFalse();
  }

  @ParameterizedTest
  @CsvSource({"22,true", "23,false"})
  void whatWasNotTrainedForFourWeeksIsNotMissed(int daysBefore, boolean told) {
    weeks.lastTrained.put("deadlift", MONDAY.minusDays(daysBefore));
    assertThat(told("seldom", "Mon main squat 3x5 @7")).isEqualTo(told);
    weeks.deload = Deload.HALF_LOAD;
    assertThat(told("seldom", "Mon main squat 3x5 @7")).isFalse();
  }

  @Test
  void lifeAndMethodAreToldOfTheLiftThatUsesThem() {
    weeks.level = Level.BEGINNER;
    weeks.methods.put("bench", List.of(Method.HIGH_FREQUENCY));
    weeks.methods.put("squat", List.of(Method.ROTATION));
    assertThat(said("method-for-life", "Mon main bench 3x5 60%", "Tue main squat 3x5 60%")).contains("The bench is not learned yet")
        .contains("Rotating maxes are not for a beginner in the squat.")
        .doesNotContain("Dieting").doesNotContain("Two waves");
    assertThat(told("method-for-life", "Mon main deadlift 3x5 60%")).as("neither lift is trained").isFalse();
    weeks.methods.clear();
    weeks.methods.put("deadlift", List.of(Method.NOVICE_LINEAR));
    assertThat(told("method-for-life", "Mon main deadlift 1x5 70%; 1x5 60%", "Tue main squat 3x5 60%")).as("one day").isFalse();
    weeks.level = Level.INTERMEDIATE;
    assertThat(told("method-for-life", "Mon main deadlift 1x5 70%", "Thu main deadlift 1x5 70%")).isFalse();
    weeks.methods.clear();
    weeks.methods.put("squat", List.of(Method.GOAL_WAVE));
    assertThat(told("method-for-life", "Mon main squat 3x5 @7")).as("one wave, not dieting").isFalse();
  }

  @Test
  void theWrongBarIsToldWhereItMatters() {
    weeks.bar = new Bar("Trap bar", kg("25"), List.of(), false, false);
    assertThat(told("bar-for-pins", "Mon main deadlift 3x3 90%")).as("no safeties at a deadlift").isFalse();
    assertThat(told("bar-for-pins", "Mon main bench 3x3 90%")).isTrue();
    assertThat(told("bar-for-pins", "Mon main squat 3x3 60%")).as("not hard").isFalse();
    weeks.bar = new Bar("Pin bar", kg("25"), List.of(), true, false);
    assertThat(told("bar-for-pins", "Mon main squat 3x3 60% chains 20kg")).isFalse();
    weeks.bar = null;
    assertThat(told("bar-for-pins", "Mon main squat 3x3 90%")).isFalse();
  }

  @Test
  void latePercentagesCountWhatTrainsHalfOfTheSameMuscles() {
    weeks.figures.put(Threshold.LATE_SETS, 5.0);
    assertThat(told("late-percentage", "Mon main squat 5x5 75%", "Mon main bench 3x5 75%",
        "Mon second front-squat 3x5 60% of squat")).isTrue();
    assertThat(told("late-percentage", "Mon main squat 4x5 75%", "Mon main bench 3x5 75%",
        "Mon second front-squat 3x5 60% of squat")).as("four sets of five").isFalse();
    assertThat(told("late-percentage", "Mon main squat 5x5 75%", "Mon second front-squat 3x5 60% of squat"))
        .as("the second line is not late").isFalse();
    assertThat(told("late-percentage", "Mon main squat 5x5 75%", "Mon main bench 3x5 75%",
        "Mon second front-squat 3x5 60% of squat @8")).as("an effort is written").isFalse();
  }

  @Test
  void hardDaysRunOverTheMondayAndCountFromTheBound() {
    weeks.maxes.put("front-squat", kg("160"));
    weeks.before("Sat main squat 3x3 90%", "Sun main bench 3x3 90%");
    List<Finding> found = weeks.find("hard-days-running", "Mon main deadlift 3x3 90%");
    assertThat(found).singleElement().satisfies(one -> {
      assertThat(one.sentence()).startsWith("3 hard days running, Saturday to Monday");
      assertThat(one.day()).isEqualTo(MONDAY);
    });
    weeks.before("Fri main squat 3x3 90%");
    assertThat(weeks.find("hard-days-running", "Mon main deadlift 3x3 90%").get(0).day()).as("three were full on Sunday").isEqualTo(MONDAY);
    assertThat(told("hard-days-running", "Tue main deadlift 3x3 90%")).as("what is behind is not told").isFalse();
    weeks.before.clear();
    assertThat(weeks.find("hard-days-running", "Mon main squat 3x3 90%", "Tue main bench 3x3 90%", "Wed main deadlift 3x3 90%",
        "Fri main squat 3x3 90%").get(0).day())
        .isEqualTo(MONDAY.plusDays(2));
  }

  @Test
  void aZoneIsExceededByWhatStandsThereByHand() {
    assertThat(weeks.find("zone-limit", "Mon main squat 8x5 60%").get(0).severity()).as("under 70 % it is only noted")
        .isEqualTo(Severity.NOTE);
    weeks.method = Method.RPE_WEEKS;
    assertThat(said("zone-limit", "Mon main squat 7x3 82%")).endsWith("The method writes it so by design.");
    assertThat(weeks.find("zone-limit", "Mon main squat 12x1 92%").get(0).severity()).as("from 90 % nothing is by design")
        .isEqualTo(Severity.DOUBT);
    weeks.edited = true;
    assertThat(said("zone-limit", "Mon main squat 7x3 82%")).endsWith("(best 15).");
    assertThat(told("zone-limit", "Mon assistance squat 7x3 82%")).isFalse();
  }

  @Test
  void wordsOfFiguresRoundAndCutAsTheyAreRead() {
    assertThat(Words.number(72.25)).isEqualTo("72.3");
    assertThat(Words.number(100)).isEqualTo("100");
    assertThat(Words.number(0)).isEqualTo("0");
    assertThat(Words.halfBelow(72.99).toPlainString()).isEqualTo("72.5");
    assertThat(Words.halfBelow(100).toPlainString()).isEqualTo("100");
    assertThat(Severity.DOUBT.word()).isEqualTo("doubt");
    assertThat(Threshold.DAYS_OFF.words()).contains("bunched");
    assertThat(Threshold.PAIN.least()).isEqualTo(1);
    assertThat(Threshold.HARD_DAYS.least()).isEqualTo(3);
  }
}
