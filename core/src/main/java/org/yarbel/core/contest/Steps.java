package org.yarbel.core.contest;

import org.yarbel.core.mass.Mass;

/** Loads that may be asked for: whole steps, never under the bar with its collars. */
public final class Steps {
  private Steps() {}

  /** The heaviest that is not above a load. */
  public static Mass atMost(Mass load, RuleSet rules) {
    return steps(Math.floorDiv(load.nanograms() + Mass.TOLERANCE_NANOGRAMS, step(rules)), rules);
  }

  /** The lightest that is not below a load. */
  public static Mass atLeast(Mass load, RuleSet rules) {
    return steps(-Math.floorDiv(Mass.TOLERANCE_NANOGRAMS - load.nanograms(), step(rules)), rules);
  }

  /** The nearest, the lower of two equally near. */
  public static Mass nearest(Mass load, RuleSet rules) {
    Mass below = atMost(load, rules);
    Mass above = below.plus(rules.attempts().step());
    return load.nanograms() - below.nanograms() <= above.nanograms() - load.nanograms() ? below : above;
  }

  private static long step(RuleSet rules) {
    return rules.attempts().step().nanograms();
  }

  private static Mass steps(long number, RuleSet rules) {
    Mass empty = rules.platform().bar().plus(rules.platform().collar().times(2));
    long least = -Math.floorDiv(-empty.nanograms(), step(rules));
    return Mass.ofNanograms(Math.max(number, least) * step(rules), rules.attempts().step().unit());
  }
}
