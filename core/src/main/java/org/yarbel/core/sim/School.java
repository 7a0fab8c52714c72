package org.yarbel.core.sim;

import java.util.random.RandomGenerator;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** A kind of made-up lifters whom a coach has to judge: how they rate, how uneven their days are, what they do with a plan. Invented. */
public enum School {
  STEADY("steady"),
  UNEVEN("uneven days"),
  UNDERSHOOTING("rates too hard"),
  OVERREACHING("does more than asked"),
  LAYOFF("three weeks away"),
  TECHNIQUE("technique fails above 90 %");

  private static final double EVEN = 0.012;
  private static final double UNEVEN_DAYS = 0.027;
  private static final double RATES = 0.4;
  private static final double RATES_BADLY = 0.6;
  private static final double TOO_FEW = -1.3;
  private static final double DIFFER = 0.3;

  private final String word;

  School(String word) {
    this.word = word;
  }

  /** The words a person reads: {@code uneven days}. */
  public String word() {
    return word;
  }

  /** What is true of one of them in a lift. */
  Traits traits(RandomGenerator random, int from, int to) {
    Mass max = Mass.of(Integer.toString(random.nextInt(from, to)), MassUnit.KG);
    double bias = this == UNDERSHOOTING ? TOO_FEW : DIFFER * random.nextGaussian();
    return Traits.steady(max, 0, this == UNEVEN ? UNEVEN_DAYS : EVEN, bias, this == UNEVEN ? RATES_BADLY : RATES);
  }

  /** How much of a planned load they take. */
  double takes(RandomGenerator random) {
    return this == OVERREACHING && random.nextDouble() < 0.6 ? 1.05 : 1;
  }

  /** Whether they are away in a week, from 0. */
  boolean away(int week) {
    return this == LAYOFF && week >= 10 && week < 13;
  }
}
