package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.hipparchus.stat.regression.SimpleRegression;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.MissedSingles.Single;
import org.yarbel.core.track.VariationRatio.Exposure;

/**
 * Ratings, bar speed, ratios and misses. The rules are our own defaults or common practice; figures were worked by hand,
 * and the regression, the deviation and the filters are checked against Hipparchus.
 */
class EvidenceTest {
  private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

  private static Mass kg(double amount) {
    return Mass.ofRoundedNanograms(amount * 1e12, MassUnit.KG);
  }

  @ParameterizedTest
  @CsvSource(nullValues = "-", value = {
    "8, -, -, 8, false", "8, 9, -, 8.5, false", "8, 9.5, -, 8.5, false", "8, 7, -, 7.5, false", "8, -, 9.5, 8, false",
    "8, 9, 9, 8.5, true", "8, 9, 7, 8.5, false", "8, 8, 9, 8, false", "10, 10, -, 10, false", "6, 6, 7, 6, false",
  })
  void othersMoveARatingByHalfAPointAtMost(double rated, Double seen, Double speed, double taken, boolean waits) {
    RatingEvidence evidence = new RatingEvidence(Rpe.of(rated), seen == null ? null : Rpe.of(seen), speed == null ? null : Rpe.of(speed));
    assertThat(evidence.taken()).isEqualTo(Rpe.of(taken));
    assertThat(evidence.bolderLoadingWaits()).isEqualTo(waits);
    assertThat(evidence.rated()).as("the raw rating is kept").isEqualTo(Rpe.of(rated));
  }

  private static SpeedProfile.Point point(double load, double velocity) {
    return new SpeedProfile.Point(kg(load), velocity, null);
  }

  @Test
  void fitsTheLineThatHipparchusFits() {
    double[][] sets = {{60, 0.72}, {80, 0.58}, {95, 0.49}, {105, 0.38}, {110, 0.36}};
    SimpleRegression reference = new SimpleRegression();
    reference.addData(sets);
    List<SpeedProfile.Point> points = new ArrayList<>();
    for (double[] set : sets) {
      points.add(point(set[0], set[1]));
    }
    SpeedProfile profile = SpeedProfile.fit(points, kg(125));
    assertThat(profile.a()).isCloseTo(reference.getIntercept(), within(1e-9));
    assertThat(profile.b()).isCloseTo(reference.getSlope(), within(1e-12));
    assertThat(profile.r2()).isCloseTo(reference.getRSquare(), within(1e-9));
    assertThat(profile.velocity(kg(100))).isCloseTo(reference.predict(100), within(1e-9));
    double load = (0.17 - reference.getIntercept()) / reference.getSlope();
    assertThat(profile.oneRepMax(0.17, MassUnit.KG).orElseThrow().nanograms() / 1e12).isCloseTo(load, within(1e-6));
  }

  // Izquierdo et al. 2006 (squat); González-Badillo & Sánchez-Medina 2010 (bench), from memory; deadlift common practice
  @Test
  void knowsTypicalVelocitiesOfAMax() {
    assertThat(SpeedProfile.typicalAtMax(Movement.SQUAT)).hasValue(0.30);
    assertThat(SpeedProfile.typicalAtMax(Movement.BENCH)).hasValue(0.17);
    assertThat(SpeedProfile.typicalAtMax(Movement.DEADLIFT)).hasValue(0.15);
    assertThat(SpeedProfile.typicalAtMax(Movement.OTHER)).isEmpty();
  }

  @Test
  void refusesSpeedsThatSayTooLittle() {
    assertThatThrownBy(() -> SpeedProfile.fit(List.of(point(60, 0.7), point(80, 0.6), point(100, 0.5)), kg(125)))
        .hasMessage("A speed profile needs four sets at three loads at least; there are 3 at 3");
    assertThatThrownBy(() -> SpeedProfile.fit(List.of(point(100, 0.7), point(105, 0.6), point(110, 0.5), point(110, 0.5)), kg(125)))
        .hasMessage("The loads of a speed profile must span 20 % of the max but span 8 %");
    assertThatThrownBy(() -> SpeedProfile.fit(List.of(point(60, 0.3), point(80, 0.4), point(100, 0.5), point(110, 0.6)), kg(125)))
        .hasMessageStartingWith("The bar does not slow");
    assertThatThrownBy(() -> SpeedProfile.fit(List.of(point(60, 0.5), point(80, 0.3), point(100, 0.5), point(110, 0.3)), kg(125)))
        .hasMessageStartingWith("The velocities scatter too much for a line (R² ");
    assertThatThrownBy(() -> point(60, 4)).hasMessage("The velocity must be over 0 and at most 3 m/s but was 4.0");
  }

  @Test
  void tellsWhatTheLiftersSinglesCameAt() {
    SpeedProfile profile = SpeedProfile.fit(List.of(
        new SpeedProfile.Point(kg(110), 0.26, Rpe.of(8)), new SpeedProfile.Point(kg(112), 0.24, Rpe.of(8)),
        new SpeedProfile.Point(kg(118), 0.2, Rpe.of(9)), point(80, 0.5)), kg(125));
    assertThat(profile.singles()).containsExactly(
        new SpeedProfile.AtRpe(Rpe.of(8), 0.24, 0.26, 2), new SpeedProfile.AtRpe(Rpe.of(9), 0.2, 0.2, 1));
  }

  @Test
  void learnsARatioAsALinearKalmanFilterDoes() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(5);
    List<Exposure> log = new ArrayList<>();
    ReferenceFilter reference = new ReferenceFilter(Math.log(0.82), Math.pow(6 / 82.0, 2));
    ReferenceFilter.State last = new ReferenceFilter.State(0, 0);
    for (int week = 0; week < 12; week++) {
      double ratio = 0.86 * (1 + 0.03 * random.nextGaussian());
      log.add(new Exposure(DAY.plusWeeks(week), ratio, 2.2, 1.5));
      double growth = week == 0 ? 0 : 7 * 0.0005 * 0.0005;
      last = reference.step(new ReferenceFilter.Seen(Math.log(ratio), 0.022 * 0.022 + 0.015 * 0.015, growth));
    }
    VariationRatio learned = VariationRatio.learn(new Lift.Ratio(82, 6), log, null);
    assertThat(learned.percent()).isCloseTo(100 * Math.exp(last.value()), within(1e-6));
    assertThat(learned.sd()).isCloseTo(learned.percent() * Math.sqrt(last.variance()), within(1e-6));
    assertThat(learned.exposures()).isEqualTo(12);
  }

  // by hand: P = (6/82)² = 0.005354, R = 0.0005, gain 0.9146; ln 0.82 + 0.9146·ln(0.9/0.82)
  @Test
  void oneExposureMovesTheRatioByHand() {
    VariationRatio learned = VariationRatio.learn(new Lift.Ratio(82, 6), List.of(new Exposure(DAY, 0.9, 2, 1)), null);
    assertThat(learned.percent()).isCloseTo(89.285, within(0.005));
    assertThat(VariationRatio.learn(new Lift.Ratio(82, 6), List.of(), DAY)).isEqualTo(new VariationRatio(82, 6, 0));
    assertThat(VariationRatio.learn(new Lift.Ratio(82, 6), List.of(new Exposure(DAY, 0.9, 2, 1)), DAY.plusDays(365)).sd())
        .as("it grows less sure with time").isGreaterThan(learned.sd());
  }

  private static Single single(int day, double load, boolean made) {
    return new Single(DAY.plusDays(day), kg(load), made);
  }

  // misses at 200 and 197.5, heaviest made 190: halfway to 197.5
  @Test
  void twoMissesProposeALowerMaxHalfway() {
    assertThat(MissedSingles.lowerMax(List.of(single(-20, 190, true), single(0, 200, false), single(14, 197.5, false)))
        .orElseThrow().proposed()).isEqualTo(kg(193.75));
  }

  @Test
  void missesThatDoNotHangTogetherProposeNothing() {
    Single made = single(-20, 190, true);
    assertThat(MissedSingles.lowerMax(List.of(made, single(0, 200, false)))).isEmpty();
    assertThat(MissedSingles.lowerMax(List.of(made, single(0, 200, false), single(0, 200, false)))).as("one day").isEmpty();
    assertThat(MissedSingles.lowerMax(List.of(made, single(0, 200, false), single(29, 200, false)))).as("29 days").isEmpty();
    assertThat(MissedSingles.lowerMax(List.of(made, single(0, 200, false), single(7, 200, true), single(14, 200, false))))
        .as("made between").isEmpty();
    assertThat(MissedSingles.lowerMax(List.of(single(0, 200, false), single(14, 200, false)))).as("nothing made").isEmpty();
  }

  @Test
  void aMissWellUnderARepsEstimateIsASignOfSkill() {
    assertThat(MissedSingles.signOfSkill(single(0, 195, false), kg(200))).isTrue();
    assertThat(MissedSingles.signOfSkill(single(0, 196, false), kg(200))).isFalse();
    assertThat(MissedSingles.signOfSkill(single(0, 180, true), kg(200))).isFalse();
  }

  @Test
  void missesHangTogetherForFourWeeks() {
    List<Single> log = new ArrayList<>(List.of(new Single(DAY, kg(180), true), new Single(DAY.plusDays(1), kg(200), false)));
    for (int[] day : new int[][] {{1, 0}, {2, 1}, {29, 1}, {30, 0}}) {
      List<Single> two = new ArrayList<>(log);
      two.add(new Single(DAY.plusDays(day[0]), kg(205), false));
      assertThat(MissedSingles.lowerMax(two).isPresent()).as("%s days after", day[0] - 1).isEqualTo(day[1] == 1);
    }
    List<Single> made = new ArrayList<>(log);
    made.add(new Single(DAY.plusDays(8), kg(205), false));
    assertThat(MissedSingles.lowerMax(made).orElseThrow().proposed()).as("halfway from 180 to 200").isEqualTo(kg(190));
    made.add(new Single(DAY.plusDays(4), kg(199), true));
    assertThat(MissedSingles.lowerMax(made).orElseThrow().proposed()).as("the heaviest made under it").isEqualTo(kg(199.5));
    made.add(new Single(DAY.plusDays(8), kg(200), true));
    assertThat(MissedSingles.lowerMax(made)).as("it was made in between").isEmpty();
  }
}
