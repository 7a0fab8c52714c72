package org.yarbel.core.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** When a best was all there was: what a test of a max means in the trade. Common practice, no source. */
class LiftDayTest {

  private static Attempt at(int number, String kg, Verdict verdict) {
    return Attempt.of(number, Mass.of(kg, MassUnit.KG), verdict);
  }

  private static LiftDay day(Attempt... attempts) {
    return new LiftDay("squat", new ArrayList<>(List.of(attempts)));
  }

  @Test
  void asMuchOrMoreThatWasTooHeavyMakesItTheLimit() {
    assertThat(day(at(1, "200", Verdict.good(null)), at(2, "207.5", Verdict.not(Verdict.Reason.STRENGTH))).toItsLimit()).isTrue();
    assertThat(day(at(1, "200", Verdict.not(null)), at(2, "200", Verdict.good(null))).toItsLimit()).isTrue();
  }

  @Test
  void aMissOfFormOrOfALighterLoadDoesNot() {
    assertThat(day(at(1, "200", Verdict.good(null)), at(2, "207.5", Verdict.not(Verdict.Reason.DEPTH))).toItsLimit()).isFalse();
    assertThat(day(at(1, "190", Verdict.not(null)), at(2, "200", Verdict.good(Verdict.Look.EASY))).toItsLimit()).isFalse();
  }

  @Test
  void whatMayNotBeChangedAnyMoreLeavesNothingToChoose() {
    RuleSet rules = RuleSet.usual();
    Attempt opener = new Attempt(1, Mass.of("200", MassUnit.KG), 0, null);
    assertThat(day(opener).changesLeft(rules)).as("an opener once").isEqualTo(1);
    Attempt changed = new Attempt(1, Mass.of("205", MassUnit.KG), 1, null);
    assertThat(day(changed).changesLeft(rules)).isZero();
    Attempt second = new Attempt(2, Mass.of("210", MassUnit.KG), 0, null);
    assertThat(day(at(1, "200", Verdict.good(null)), second).changesLeft(rules)).as("a second never").isZero();
    assertThat(day().changesLeft(rules)).as("nothing is handed in").isZero();
  }

  @Test
  void neitherDoesALookExceptOfTheBestAtTheLimit() {
    assertThat(day(at(1, "200", Verdict.good(Verdict.Look.LIMIT))).toItsLimit()).isTrue();
    assertThat(day(at(1, "200", Verdict.good(Verdict.Look.RIGHT))).toItsLimit()).isFalse();
    assertThat(day(at(1, "200", Verdict.good(Verdict.Look.LIMIT)), at(2, "205", Verdict.good(Verdict.Look.EASY))).toItsLimit()).isFalse();
    assertThat(day(at(1, "200", Verdict.not(null))).toItsLimit()).as("nothing was made").isFalse();
  }
}
