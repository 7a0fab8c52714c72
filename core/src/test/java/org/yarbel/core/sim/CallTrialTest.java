package org.yarbel.core.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.CallRules;
import org.yarbel.core.call.Picture;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** The made-up half year with and without calls. Its figures are invented: what is tested is that they answer as they are said to. */
class CallTrialTest {
  private static final long SEED = 7;
  /** Four days a week. */
  private static final int DAYS = 4 * CallTrial.WEEKS;

  private static RandomGenerator random() {
    return RandomGeneratorFactory.of("L64X128MixRandom").create(SEED);
  }

  private static Mass kg(String kilograms) {
    return Mass.of(kilograms, MassUnit.KG);
  }

  @Test
  void theSameNumberGivesTheSameLifters() {
    assertThat(CallTrial.of(School.UNEVEN, rule -> true, 1, SEED)).isEqualTo(CallTrial.of(School.UNEVEN, rule -> true, 1, SEED))
        .isNotEqualTo(CallTrial.of(School.UNEVEN, rule -> true, 1, SEED + 1));
  }

  @Test
  void withoutCallsNobodyIsCalled() {
    TrialResult none = CallTrial.of(School.STEADY, rule -> false, 2, SEED);
    assertThat(none.lifters()).isEqualTo(2);
    assertThat(none.calls()).isZero();
    assertThat(none.callsAWeek()).hasSize(2 * CallTrial.WEEKS).containsOnly(0);
    assertThat(none.days()).isEqualTo(2 * DAYS);
    assertThat(none.gained()).as("training does something").isPositive();
  }

  @Test
  void onlyTheRulesAskedForAreTaken() {
    TrialResult one = CallTrial.of(School.OVERREACHING, rule -> rule.equals("over-plan"), 2, SEED);
    assertThat(one.byRule().keySet()).allMatch(rule -> rule.equals("over-plan") || rule.startsWith("undone: over-plan"));
    assertThat(one.byRule().get("over-plan")).isEqualTo(one.calls()).isPositive();
  }

  @Test
  void whoDoesMoreThanAskedMissesLessWithCalls() {
    TrialResult with = CallTrial.of(School.OVERREACHING, rule -> true, 5, SEED);
    TrialResult without = CallTrial.of(School.OVERREACHING, rule -> false, 5, SEED);
    assertThat(with.missesAMonth()).isLessThan(without.missesAMonth());
    assertThat(with.painFreeDays()).isGreaterThanOrEqualTo(without.painFreeDays());
  }

  @Test
  void whoIsAwayTrainsThreeWeeksLess() {
    assertThat(CallTrial.of(School.LAYOFF, rule -> false, 1, SEED).days()).isEqualTo(DAYS - 3 * 4);
  }

  @Test
  void aPictureHasALogBehindAndAPlanAhead() {
    Picture picture = CallTrial.after(School.TECHNIQUE, 14, SEED);
    assertThat(picture.sessions()).anyMatch(session -> session.day().isBefore(picture.today()) && session.lines().stream()
        .anyMatch(line -> !line.sets().isEmpty()));
    assertThat(picture.sessions()).anyMatch(session -> !session.day().isBefore(picture.today()));
    assertThat(CallRules.look(picture)).extracting(Call::sentence).isNotEmpty()
        .isEqualTo(CallRules.look(CallTrial.after(School.TECHNIQUE, 14, SEED)).stream().map(Call::sentence).toList());
  }

  @Test
  void sumsAndSharesAreWorkedOutByHand() {
    TrialResult one = new TrialResult(1, 100, 13, 50, 49, 0.06, List.of(0, 0, 3), 3, 1, 4, 1, Map.of("missed", 3));
    TrialResult both = one.plus(new TrialResult(1, 100, 0, 50, 41, 0.02, List.of(1, 5), 5, 3, 4, 1, Map.of("missed", 1, "pain", 4)));
    assertThat(both.missesAMonth()).as("13 in 2 × 26 weeks, 4.345 weeks a month").isCloseTo(13 / (52 / 4.345), within(1e-9));
    assertThat(both.painFreeDays()).isEqualTo(90);
    assertThat(both.gained()).isCloseTo(4, within(1e-9));
    assertThat(both.medianCalls()).as("0, 0, 1, 3, 5").isEqualTo(1);
    assertThat(both.meanCalls()).isCloseTo(1.8, within(1e-9));
    assertThat(both.safeShare()).isEqualTo(50);
    assertThat(both.flipShare()).isEqualTo(25);
    assertThat(both.byRule()).containsOnly(Map.entry("missed", 4), Map.entry("pain", 4));
    assertThat(TrialResult.NONE.medianCalls() + TrialResult.NONE.meanCalls() + TrialResult.NONE.safeShare() + TrialResult.NONE.flipShare())
        .isZero();
  }

  @Test
  void aBodyTiresAndRests() {
    TrainedBody body = new TrainedBody(School.STEADY, random());
    TrainedBody.InLift squat = body.new InLift(Traits.steady(kg("200"), 0, 0, 0, 0), true);
    body.startDay(0);
    squat.startDay(0);
    squat.lift(kg("150"), 5, false);
    double tired = body.tired();
    assertThat(tired).isPositive();
    body.startDay(9);
    assertThat(body.tired()).as("e times less after nine days of rest").isCloseTo(tired / Math.E, within(1e-9));
  }

  @Test
  void setsNearTheLimitRaiseTheMaxAndEasyOnesHardlyDo() {
    assertThat(gain("160", 5)).as("two or three in reserve").isGreaterThan(5 * gain("80", 5));
  }

  private static double gain(String load, int reps) {
    TrainedBody body = new TrainedBody(School.STEADY, random());
    TrainedBody.InLift squat = body.new InLift(Traits.steady(kg("200"), 0, 0, 0, 0), true);
    Mass before = squat.trueMax();
    for (int day = 0; day < 40; day += 4) {
      body.startDay(day);
      squat.startDay(day);
      squat.lift(kg(load), reps, false);
    }
    return squat.trueMax().ratioTo(before) - 1;
  }

  @Test
  void formGoesOnlyWhereTechniqueFailsAndOnlyWhenItIsHeavy() {
    assertThat(formGone(School.TECHNIQUE, "190")).isBetween(20, 45);
    assertThat(formGone(School.TECHNIQUE, "160")).isZero();
    assertThat(formGone(School.STEADY, "190")).isZero();
  }

  private static int formGone(School school, String load) {
    TrainedBody body = new TrainedBody(school, random());
    TrainedBody.InLift squat = body.new InLift(Traits.steady(kg("200"), 0, 0, 0, 0), true);
    int gone = 0;
    for (int day = 0; day < 400; day += 9) {
      body.startDay(day);
      squat.startDay(day);
      gone += squat.lift(kg(load), 1, false).form() ? 1 : 0;
    }
    return gone;
  }
}
