package org.yarbel.core.track;

import org.yarbel.core.effort.Rpe;

/**
 * A set as the filters see it: which of the three kinds of evidence it is, and its figures as numbers.
 *
 * @param lnLoad ln of the load in kg
 * @param reserve reps in reserve as rated; not a number where it was not
 * @param easier rated under 6
 * @param failed a further rep was tried and missed; that wins over a rating
 */
record WorkSet(double lnLoad, int reps, double reserve, boolean easier, boolean failed, boolean touchAndGo) {
  private static final double NANOGRAMS_A_KILOGRAM = 1e12;

  static WorkSet of(Observation set) {
    Rpe rpe = set.rpe();
    return new WorkSet(lnKilograms(set.load().nanograms()), set.reps(), rpe == null ? Double.NaN : rpe.repsInReserve(),
        set.is(Observation.Trait.EASIER), set.failed(), set.is(Observation.Trait.TOUCH_AND_GO));
  }

  static double lnKilograms(double nanograms) {
    return Math.log(nanograms / NANOGRAMS_A_KILOGRAM);
  }

  static double nanograms(double lnKilograms) {
    return Math.exp(lnKilograms) * NANOGRAMS_A_KILOGRAM;
  }

  boolean made() {
    return reps >= 1;
  }

  boolean rates() {
    return made() && !failed && reps <= Constants.RATED_REPS && (easier || !Double.isNaN(reserve));
  }

  boolean floors() {
    return made() && reps <= Constants.LIMIT_REPS;
  }

  boolean misses() {
    return failed && reps < Constants.LIMIT_REPS;
  }

  /** Whether it is evidence of any kind; over 15 reps only train. */
  boolean teaches() {
    return rates() || floors() || misses();
  }

  /** The max it speaks for when nothing else is known. */
  double firstLnMax() {
    return lnLoad + Capacity.over(Math.min(reps + firstReserve(), Capacity.MOST_REPS));
  }

  private double firstReserve() {
    if (failed) {
      return Constants.FIRST_RESERVE_FAILED;
    }
    if (easier) {
      return Constants.FIRST_RESERVE_EASIER;
    }
    return Double.isNaN(reserve) ? Constants.FIRST_RESERVE_UNRATED : reserve;
  }
}
