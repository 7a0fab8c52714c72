package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.MaxTracker.Estimate;
import org.yarbel.core.track.MaxTracker.Tested;
import org.yarbel.core.track.MaxTracker.Track;

/**
 * The expected figures were worked step by step outside this code from the equations of a scalar Kalman filter (Kalman
 * 1960, J Basic Eng 82(1)) and the constants of the class; the constants are our own default.
 */
class MaxTrackerTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
  private static final Tested TESTED = new Tested(kg("200"), DAY);

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Observation set(int day, String load, int reps, Double rpe) {
    return Observation.of(DAY.plusDays(day), kg(load), reps, rpe == null ? null : Rpe.of(rpe));
  }

  private static Track run(Level level, Tested tested, Observation... sets) {
    return new MaxTracker(level, tested).run(List.of(sets), MassUnit.KG);
  }

  private static void assertEstimate(Estimate estimate, double max, double sd) {
    assertThat(estimate).isNotNull();
    assertThat(estimate.max().nanograms() / 1e12).as("estimate").isCloseTo(max, within(0.005));
    assertThat(estimate.sd().nanograms() / 1e12).as("sd").isCloseTo(sd, within(0.005));
  }

  @Test
  void weighsASetAgainstTheTestedMax() {
    // P = 0.02² + 7·0.0025², R = 0.022², z = ln(180/0.93)
    Track track = run(Level.ADVANCED, TESTED, set(7, "180", 1, 8.0));
    assertEstimate(track.now(), 196.888, 2.996);
    assertThat(track.points()).singleElement().satisfies(p -> assertThat(p.raw().number()).isEqualTo("193.55"));
  }

  @Test
  void startsFromTheFirstSetWithoutATest() {
    // 140/0.83; sd √(0.046² + 0.03²)
    assertEstimate(run(Level.ADVANCED, null, set(0, "140", 5, 8.0)).now(), 168.675, 9.263);
  }

  @Test
  void takesTheMostTellingSetOfADaySoThatTiredBackOffsDoNotPullItDown() {
    Track alone = run(Level.ADVANCED, TESTED, set(7, "180", 1, 8.0));
    Track withBackOffs = run(Level.ADVANCED, TESTED, set(7, "150", 4, 9.0), set(7, "180", 1, 8.0), set(7, "150", 4, 9.5));
    assertThat(withBackOffs.now()).isEqualTo(alone.now());
    assertThat(withBackOffs.skipped()).as("not chosen is not skipped").isEmpty();
  }

  @Test
  void countsASetToFailureForMore() {
    // (1.5 + 0.6·9)·0.7 %, 150/0.75, q = 0.6 % a day
    assertEstimate(run(Level.BEGINNER, TESTED, set(7, "150", 10, null).toFailure(true)).now(), 200.0, 4.515);
  }

  @Test
  void trustsAContestSingleMost() {
    Observation single = new Observation(DAY.plusDays(7), kg("205"), 1, null, false, true, true, false, false);
    assertEstimate(run(Level.INTERMEDIATE, TESTED, single).now(), 204.752, 0.998);
  }

  @Test
  void aBadDayHardlyMovesItAndARunOfThemDoes() {
    // 170/0.95 on three flagged days: sd ×2.5, ×2.5, then in full
    Observation[] days = {
      set(7, "170", 1, 9.0).flagged(true), set(14, "170", 1, 9.0).flagged(true), set(21, "170", 1, 9.0).flagged(true)
    };
    Track track = run(Level.ADVANCED, TESTED, days);
    assertThat(track.points()).extracting(p -> p.estimate().max().number()).containsExactly("196.21", "193.32", "185.54");
  }

  @Test
  void anUnflaggedDayStartsTheCountAgain() {
    Track track = run(Level.ADVANCED, TESTED, set(7, "170", 1, 9.0).flagged(true), set(14, "190", 1, 9.5),
        set(21, "170", 1, 9.0).flagged(true), set(28, "170", 1, 9.0).flagged(true));
    List<Mass> estimates = track.points().stream().map(p -> p.estimate().max()).toList();
    assertThat(estimates.get(2).ratioTo(estimates.get(1))).as("first again").isGreaterThan(0.98);
    assertThat(estimates.get(3).ratioTo(estimates.get(2))).as("second").isGreaterThan(0.98);
  }

  @Test
  void fallsInALayoffAndNotFromATestAlone() {
    // 30 days, 16 beyond the 14: x − 16·0.0022, P + 16·0.0057²
    List<Observation> light = List.of(set(0, "60", 5, null));
    MaxTracker tracker = new MaxTracker(Level.ADVANCED, TESTED);
    assertEstimate(tracker.run(light, DAY.plusDays(30), MassUnit.KG).now(), 193.082, 6.425);
    assertEstimate(tracker.run(light, DAY.plusDays(200), MassUnit.KG).now(), 160.504, 14.078);
    assertThat(tracker.run(List.of(), DAY.plusDays(200), MassUnit.KG).now().max().hits(kg("200"))).isTrue();
  }

  @Test
  void anUnratedSetThatWasMadeIsAFloor() {
    Track raised = run(Level.ADVANCED, TESTED, set(7, "190", 3, null));
    assertThat(raised.points()).singleElement().satisfies(p -> assertThat(p.raw().number()).isEqualTo("204.3"));
    assertThat(raised.now().max().number()).isEqualTo("203.5");
    assertThat(raised.skipped()).isEmpty();

    Track under = run(Level.ADVANCED, TESTED, set(7, "150", 3, null));
    assertThat(under.points()).isEmpty();
    assertThat(under.skipped()).containsExactly(0);
  }

  @Test
  void showsButDoesNotFilterWhatCameBeforeTheTest() {
    Track track = run(Level.ADVANCED, TESTED, set(-7, "150", 1, 8.0), set(7, "180", 1, 8.0));
    assertThat(track.points().get(0).estimate()).isNull();
    assertEstimate(track.now(), 196.888, 2.996);
  }

  @Test
  void skipsMissesHighRepsAndUnratedSets() {
    Track track = run(Level.ADVANCED, null, set(0, "200", 0, 10.0), set(0, "100", 12, 8.0), set(0, "100", 5, null));
    assertThat(track.now()).isNull();
    assertThat(track.points()).isEmpty();
    assertThat(track.skipped()).containsExactly(0, 1, 2);
  }

  @Test
  void givesTheSameWhateverTheOrderOfTheLog() {
    List<Observation> sets = new ArrayList<>();
    for (int day = 0; day < 60; day += 3) {
      sets.add(set(day, "170", 1 + day % 4, 8.0));
      sets.add(set(day, "150", 5, 8.5));
    }
    Track inOrder = new MaxTracker(Level.INTERMEDIATE, TESTED).run(sets, MassUnit.KG);
    Collections.shuffle(sets, new Random(5));
    assertThat(new MaxTracker(Level.INTERMEDIATE, TESTED).run(sets, MassUnit.KG).now()).isEqualTo(inOrder.now());
  }

  @Test
  void aRatedContestSingleCountsForLessThanOneThatWasAllThereWas() {
    // 205/0.975, half a rep left; sd 2 % instead of 0.5; P = 0.02² + 7·0.0035²
    Observation rated = new Observation(DAY.plusDays(7), kg("205"), 1, Rpe.of(9.5), false, true, false, false, false);
    assertEstimate(run(Level.INTERMEDIATE, TESTED, rated).now(), 205.561, 3.045);
  }

  @Test
  void touchAndGoRepsSayLessAboutTheSingle() {
    Observation still = set(7, "180", 3, 9.0);
    Observation bounced = new Observation(still.date(), still.load(), 3, still.rpe(), false, false, false, false, true);
    Estimate from = run(Level.ADVANCED, TESTED, still).now();
    Estimate fromBounced = run(Level.ADVANCED, TESTED, bounced).now();
    assertThat(fromBounced.sd()).as("sd ×1.5").isGreaterThan(from.sd());
    Observation single = new Observation(still.date(), still.load(), 1, still.rpe(), false, false, false, false, true);
    assertThat(run(Level.ADVANCED, TESTED, single).now()).as("not of a single")
        .isEqualTo(run(Level.ADVANCED, TESTED, set(7, "180", 1, 9.0)).now());
  }

  @Test
  void ofEquallyTellingSetsTheHighestCounts() {
    Track track = run(Level.ADVANCED, TESTED, set(7, "180", 1, 8.0), set(7, "185", 1, 8.0), set(7, "182.5", 1, 8.0));
    assertThat(track.points()).singleElement().satisfies(p -> assertThat(p.raw().number()).as("185/0.93").isEqualTo("198.92"));
  }

  @Test
  void aFloorIgnoresFlagsAndTakesTheHeaviestOfTheDay() {
    Track track = run(Level.ADVANCED, TESTED, set(7, "195", 3, null).flagged(true), set(7, "190", 3, null), set(7, "150", 5, null));
    assertThat(track.points()).singleElement().satisfies(p -> assertThat(p.raw().number()).as("195/0.93").isEqualTo("209.68"));
    assertThat(track.skipped()).as("the other two did not serve").containsExactly(1, 2);
  }

  @Test
  void anUnratedSetBeforeAnyEstimateStartsNothing() {
    Track track = run(Level.ADVANCED, null, set(0, "150", 3, null), set(7, "150", 3, 8.0));
    assertThat(track.points()).singleElement().satisfies(p -> assertThat(p.date()).isEqualTo(DAY.plusDays(7)));
    assertThat(track.skipped()).containsExactly(0);
  }

  @Test
  void aNewLayoffMayFallAsFarAgain() {
    MaxTracker tracker = new MaxTracker(Level.ADVANCED, TESTED);
    List<Observation> light = List.of(set(0, "60", 5, null), set(200, "60", 5, null));
    double max = tracker.run(light, DAY.plusDays(400), MassUnit.KG).now().max().nanograms() / 1e12;
    assertThat(max).as("200·e^(−0.44)").isCloseTo(128.807, within(0.005));
  }

  @Test
  void growsLessSureByLevel() {
    for (Level level : Level.values()) {
      Estimate later = new MaxTracker(level, TESTED).run(List.of(), DAY.plusDays(100), MassUnit.KG).now();
      double growth = switch (level) {
        case BEGINNER -> 0.006;
        case INTERMEDIATE -> 0.0035;
        case ADVANCED -> 0.0025;
      };
      assertEstimate(later, 200, 200 * Math.sqrt(0.02 * 0.02 + 100 * growth * growth));
    }
  }

  @Test
  void aFlaggedDayOnTheOtherSideStartsTheCountAgain() {
    Track track = run(Level.ADVANCED, TESTED, set(7, "170", 1, 9.0).flagged(true), set(14, "170", 1, 9.0).flagged(true),
        set(21, "200", 1, 9.0).flagged(true), set(28, "170", 1, 9.0).flagged(true));
    List<Mass> estimates = track.points().stream().map(p -> p.estimate().max()).toList();
    assertThat(estimates.get(2)).isGreaterThan(estimates.get(1));
    assertThat(estimates.get(3).ratioTo(estimates.get(2))).as("counted little: the first again").isGreaterThan(0.98);
  }

  @Test
  void refusesADayBeforeTheLastSet() {
    assertThatThrownBy(() -> new MaxTracker(Level.ADVANCED, TESTED).run(List.of(set(7, "180", 1, 8.0)), DAY, MassUnit.KG))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage("The day asked for, 2026-03-02, is before the last set, 2026-03-09");
  }

  @Test
  void whatOnlyTrainedTheLiftKeepsItFromALayoffAndTeachesNothing() {
    Observation rated = Observation.of(DAY, kg("180"), 1, Rpe.of(9));
    Observation cluster = Observation.of(DAY.plusDays(20), kg("175"), 6, null).asPractice();
    MaxTracker tracker = new MaxTracker(Level.ADVANCED, null);
    MaxTracker.Track with = tracker.run(List.of(rated, cluster), MassUnit.KG);
    assertThat(with.points()).as("no point for the cluster").hasSize(1);
    assertThat(with.standing().on(DAY.plusDays(30)).max()).as("trained ten days ago, not thirty")
        .isGreaterThan(tracker.run(List.of(rated), MassUnit.KG).standing().on(DAY.plusDays(30)).max());
  }

  /** Handbook, layoff: 0.22 % a day from the fifteenth, at most 22 % of one layoff, in however many steps it is looked at. */
  @Test
  void oneLayoffFallsByItsMostAndNoMoreInHoweverManySteps() {
    Estimate last = run(Level.INTERMEDIATE, TESTED, set(0, "190", 1, 9.0)).now();
    double most = last.max().nanograms() * Math.exp(-0.22) / 1e12;
    Track once = new MaxTracker(Level.INTERMEDIATE, TESTED).run(List.of(set(0, "190", 1, 9.0)), DAY.plusDays(300), MassUnit.KG);
    assertThat(once.now().max().nanograms() / 1e12).isCloseTo(most, within(1e-6));
    // a miss is a look at the bar, and no training: the layoff goes on
    for (int[] days : new int[][] {{60}, {60, 90}, {100, 113, 114, 115, 200}}) {
      List<Observation> sets = new ArrayList<>(List.of(set(0, "190", 1, 9.0)));
      for (int day : days) {
        sets.add(set(day, "200", 0, null));
      }
      Track stepwise = new MaxTracker(Level.INTERMEDIATE, TESTED).run(sets, DAY.plusDays(300), MassUnit.KG);
      assertThat(stepwise.now().max().nanograms() / 1e12).as("looked at after %s days", Arrays.toString(days))
          .isCloseTo(most, within(1e-6));
      assertThat(stepwise.standing().on(DAY.plusDays(400)).max().nanograms() / 1e12).isCloseTo(most, within(1e-6));
    }
    assertThat(once.standing().layoffOn(DAY.plusDays(14))).isFalse();
    assertThat(once.standing().layoffOn(DAY.plusDays(15))).isTrue();
  }
}
